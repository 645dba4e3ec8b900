import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { exposedEv } from '@/core';
import { ballOf } from '@/answers/answer';
import { groundClicks } from '@/answers/light-plan';
import { unlitFromMs } from '@/answers/step-states';
import { Overlay } from '@/features/shoot/Overlay';
import { clicksInWords } from '@/features/shoot/light-words';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import type { PlanSheet } from '@/features/shoot/plan-use';
import { useEdits, useShown, useWalk } from '@/features/shoot/open-shoot';
import { StepFrame } from '@/features/shoot/StepFrame';
import { WideFrame } from '@/features/shoot/WideFrame';
import { lightInWords, sunInWords, troubleInWords } from '@/features/shoot/words';
import { LitBall } from '@/figures/LitBall';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { FlickerSection } from './FlickerSection';
import { HourFrames } from './HourFrames';
import { ChartKey, HoursChart } from './HoursChart';
import { MoonPart } from '@/features/shoot/MoonPart';
import { ShadeList } from '@/features/shoot/ShadeList';
import { colourInWords, ShotsThrough, Turnings } from './HoursLists';
import { MeterSection } from './MeterSection';
import { agreement, Readings, TakeReadings, WalkPanel } from './ReadingsSection';
import { LampControls, lampsInWords, SkyControls, skyInWords } from './SkyControls';
import { useDayLight, type DayLight, type LinesBy, type Seen } from './use-day-light';

const TITLE = 'Light through the hours';

const LINES = [
  { value: 'marks', label: 'Every mark, from here' },
  { value: 'positions', label: 'This mark, from everywhere' },
] as const;

/** What lies a press deeper. */
type Deeper =
  'frames' | 'lamps' | 'sky' | 'shots' | 'readings' | 'turns' | 'lines' | 'flicker' | 'meter';
const DEEPER: Readonly<Record<Deeper, string>> = {
  frames: 'The picture through the hours',
  lamps: 'Lamps',
  sky: 'Sky',
  shots: 'When each shot ends',
  readings: 'Readings',
  turns: 'What turns when',
  lines: 'Lines of the chart',
  flicker: 'Flickering lamps',
  meter: 'Scenes that fool a meter',
};

/** The light of the shoot: as computed, as measured, and what cameras make of it. */
export function LightScreen() {
  const { seen } = useShown('seen');
  if (!seen.ok) {
    return (
      <StepFrame title={TITLE}>
        <View className="p-4">
          <Text>{troubleInWords(seen.trouble)}</Text>
        </View>
      </StepFrame>
    );
  }
  return <Lit seen={seen} />;
}

function Lit({ seen }: { readonly seen: Seen }) {
  const [by, setBy] = useState<LinesBy>('marks');
  const [deeper, setDeeper] = useState<Deeper>();
  const light = useDayLight(seen, by);
  const { walk } = useWalk();
  const shape = useShape();
  const parts = { seen, light, by, setBy, onOpen: setDeeper };
  const sheet = deeper ? (
    <Sheet title={DEEPER[deeper]} open onClose={() => setDeeper(undefined)}>
      <DeeperPart deeper={deeper} {...parts} />
    </Sheet>
  ) : null;
  if (shape === 'wide') return <LightWide {...parts} sheet={sheet} />;
  if (walk) {
    return (
      <PhoneFrame title={TITLE} picture={<WalkedPlan seen={seen} />} contentKey={String(walk.at)}>
        <View className="p-3">
          <WalkPanel seen={seen} />
        </View>
      </PhoneFrame>
    );
  }
  return (
    <PhoneFrame
      title={TITLE}
      tools={
        <View className="border-t border-line px-3 py-2">
          <TakeReadings seen={seen} />
        </View>
      }
      second={
        <View className="px-3 pb-3">
          <Rows {...parts} />
        </View>
      }
    >
      <View className="gap-2 px-3 pb-1 pt-2">
        <Head seen={seen} />
        <Unlit onOpen={setDeeper} />
        <HoursChart seen={seen} light={light} heightPx={shape === 'level' ? 180 : 264} />
        <Sources onOpen={setDeeper} />
      </View>
      {sheet}
    </PhoneFrame>
  );
}

interface Parts {
  readonly seen: Seen;
  readonly light: DayLight;
  readonly by: LinesBy;
  readonly setBy: (by: LinesBy) => void;
  readonly onOpen: (deeper: Deeper) => void;
}

/** Light on the face just now: how much, and from where. */
function Head({ seen: { view, answer } }: Pick<Parts, 'seen'>) {
  const { ev } = answer.light;
  const spread = ev.high - ev.low > 0.2 ? `, ${ev.low.toFixed(1)} to ${ev.high.toFixed(1)}` : '';
  return (
    <View className="flex-row items-center gap-3">
      <View className="min-w-0 flex-1">
        <Text kind="strong">{`EV ${ev.expected.toFixed(1)} on the face${spread} · ${lightInWords(answer)}`}</Text>
        <Text kind="small" ink="quiet">
          {`${view.mark.name} from ${view.position.name}. ${sunInWords(answer.light.sun)}.`}
        </Text>
      </View>
      <LitBall
        sizePx={44}
        label={`Ball lit as the camera sees it: ${lightInWords(answer).toLowerCase()}`}
        light={ballOf(view, answer)}
      />
    </View>
  );
}

/** A shoot that runs past sunset without lamps asks for them at once. */
function Unlit({ onOpen }: Pick<Parts, 'onOpen'>) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const sunsetMs = unlitFromMs(shoot);
  if (sunsetMs === undefined) return null;
  return (
    <View className="flex-row items-center gap-3 border-2 border-signal p-2">
      <Text kind="strong" className="shrink grow">
        {`The sun sets at ${clock(sunsetMs)} and no lamps are set.`}
      </Text>
      <Button label="Set the lamps" onPress={() => onOpen('lamps')} />
    </View>
  );
}

/** What shines, each a press from being changed. */
function Sources({ onOpen }: Pick<Parts, 'onOpen'>) {
  const { light, readings } = useShown('shoot').shoot;
  const guessed = light.lampLux > 0 && readings.length === 0;
  return (
    <View role="list" aria-label="What shines">
      <Source
        name="Lamps"
        value={lampsInWords(light)}
        note={guessed ? 'A guess until a test frame under them settles it.' : ''}
        onChange={() => onOpen('lamps')}
      />
      <Source
        name="Sky"
        value={skyInWords(light)}
        note={skyNote(light)}
        onChange={() => onOpen('sky')}
      />
    </View>
  );
}

/** What is made up is no forecast to plan a paid job by. */
const skyNote = ({ skyFrom, forecast }: Shoot['light']): string => {
  if (skyFrom === 'hand' || !forecast) return '';
  return forecast.simulated
    ? 'Simulated, not measured.'
    : 'A forecast: it may be off by a fifth of the sky.';
};

function Source({
  name,
  value,
  note,
  onChange,
}: {
  readonly name: string;
  readonly value: string;
  readonly note: string;
  readonly onChange: () => void;
}) {
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-line py-1">
      <View className="min-w-0 flex-1">
        <Text>
          <Text kind="strong">{`${name}: `}</Text>
          {value}
        </Text>
        {note ? (
          <Text kind="tiny" ink="quiet">
            {note}
          </Text>
        ) : null}
      </View>
      <Button label={`Change ${name.toLowerCase()}`} onPress={onChange} />
    </View>
  );
}

/** What lies a press deeper, each with its answer in a line. */
function Rows({ seen, by, onOpen }: Parts) {
  const { setup, ribbon, clock } = useShown('setup', 'ribbon', 'clock');
  const { readings, shots } = setup;
  const [sun] = ribbon.events.filter(({ main }) => main);
  const row = (deeper: Deeper, detail: string) => (
    <RowButton name={DEEPER[deeper]} detail={detail} onPress={() => onOpen(deeper)} />
  );
  return (
    <View role="list" aria-label="More of the light">
      {row('frames', 'seen from here, hour by hour')}
      {shots.length > 0 ? row('shots', 'and what would save it') : null}
      {row('readings', agreement(seen, readings.length > 0))}
      {row(
        'turns',
        sun ? `${sun.name} ${clock(sun.timeMs)}, twilight, shade, lamps` : 'sun, shade, lamps',
      )}
      {row('lines', LINES.find(({ value }) => value === by)?.label ?? '')}
      {setup.light.lampLux > 0 ? row('flicker', 'between frames, and what is free of it') : null}
      {row('meter', colourInWords(seen))}
    </View>
  );
}

function DeeperPart({ deeper, seen, light, by, setBy }: Parts & { readonly deeper: Deeper }) {
  const { shoot, hours, clock, atMs } = useShown('shoot', 'hours', 'clock', 'atMs');
  const { update } = useEdits();
  switch (deeper) {
    case 'frames':
      return <HourFrames />;
    case 'lamps':
      return <LampControls shoot={shoot} hours={hours} clock={clock} update={update} />;
    case 'sky':
      return <SkyControls shoot={shoot} hours={hours} clock={clock} atMs={atMs} update={update} />;
    case 'shots':
      return <ShotsThrough />;
    case 'readings':
      return <Readings seen={seen} />;
    case 'turns':
      return (
        <View className="gap-5">
          <Turnings light={light} />
          <MoonPart />
          <ShadeList />
        </View>
      );
    case 'lines':
      return (
        <View className="gap-3">
          <Choice label="Lines" value={by} options={LINES} onChange={setBy} />
          <ChartKey light={light} />
        </View>
      );
    case 'flicker':
      return <FlickerSection />;
    case 'meter':
      return (
        <View className="gap-3">
          <Text>{colourInWords(seen)}</Text>
          <MeterSection />
        </View>
      );
  }
}

/** The plan with the point of the walk that is next, and the ground in clicks. */
function WalkedPlan({ seen }: Pick<Parts, 'seen'>) {
  const { walk } = useWalk();
  const { setup, atMs } = useShown('setup', 'atMs');
  const clicks =
    setup.readings.length === 0
      ? undefined
      : groundClicks(setup, seen.view, atMs, exposedEv(seen.answer.exposure.settings)).map(
          ({ x, y, clicks: off }) => ({ at: { x, y }, text: clicksInWords(off) }),
        );
  return (
    <PlanPicture
      probed={walk?.points[walk.at]}
      overlay={(sheet: PlanSheet) => <Overlay {...sheet} clicks={clicks} />}
    />
  );
}

function LightWide({ sheet, ...parts }: Parts & { readonly sheet: React.ReactNode }) {
  const { seen, light, by, setBy, onOpen } = parts;
  const { walk } = useWalk();
  const [heightPx, setHeightPx] = useState(400);
  return (
    <WideFrame
      title={TITLE}
      left={
        <View className="gap-4 p-4">
          <Head seen={seen} />
          <Unlit onOpen={onOpen} />
          {walk ? <WalkPanel seen={seen} /> : <TakeReadings seen={seen} />}
          <Sources onOpen={onOpen} />
          <Readings seen={seen} />
          <Button label={DEEPER.frames} onPress={() => onOpen('frames')} />
          <Button label={DEEPER.flicker} onPress={() => onOpen('flicker')} />
          <Button label={DEEPER.meter} onPress={() => onOpen('meter')} />
          <Text kind="small">{colourInWords(seen)}</Text>
          {sheet}
        </View>
      }
      middle={
        walk ? (
          <WalkedPlan seen={seen} />
        ) : (
          <ScrollView
            tabIndex={0}
            className="flex-1"
            contentContainerClassName="gap-4 p-4"
            onLayout={({ nativeEvent }) =>
              setHeightPx(Math.max(300, Math.round(nativeEvent.layout.height * 0.6)))
            }
          >
            <HoursChart seen={seen} light={light} heightPx={heightPx} />
            <Choice label="Lines" value={by} options={LINES} onChange={setBy} />
            <ChartKey light={light} />
            <Heading level={3} kind="figure">
              {DEEPER.shots}
            </Heading>
            <ShotsThrough />
            <Heading level={3} kind="figure">
              {DEEPER.turns}
            </Heading>
            <Turnings light={light} />
            <MoonPart />
            <ShadeList />
          </ScrollView>
        )
      }
    />
  );
}
