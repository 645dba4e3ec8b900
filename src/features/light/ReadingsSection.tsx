import { useState } from 'react';
import { View } from 'react-native';
import Trash from 'lucide-react-native/icons/trash';
import { bearingDeg, correctedLight, exposedEv } from '@/core';
import { evSaid } from '@/answers/heard';
import { useOpenShoot, useShown, useWalk } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { engraved, lookedInWords, stops } from '@/features/shoot/words';
import { MOST_READINGS, type Reading } from '@/records/reading';
import { Button, IconButton } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { clicksInWords } from '@/features/shoot/light-words';
import { gridWalk, groundClicks, type WalkPoint } from '@/answers/light-plan';
import { ReadingForm } from './ReadingForm';
import { useReadings } from '@/features/shoot/use-readings';

type Seen = Extract<Plan['seen'], { ok: true }>;

/** How the plan and what was measured agree. */
export function agreement({ answer }: Seen, measured: boolean): string {
  const { correction } = answer.light;
  if (!correction) return 'Nothing measured yet: the light is as computed.';
  const { offsetStops, sigmaStops } = correction;
  const off =
    Math.abs(offsetStops) < 0.05
      ? 'as computed'
      : `${stops(Math.abs(offsetStops))} ${offsetStops < 0 ? 'darker' : 'brighter'} than computed`;
  return `${measured ? 'By your readings' : 'By earlier shoots here'} the light here is ${off}, sure to ±${sigmaStops.toFixed(1)}.`;
}

/** What was measured here, the ground in clicks, and how far the light follows it. */
export function Readings({ seen }: { readonly seen: Seen }) {
  const { readings } = useShown('setup').setup;
  const { remove } = useReadings(seen);
  return (
    <View role="region" aria-label="Readings" className="gap-3">
      <Text aria-live="polite">{agreement(seen, readings.length > 0)}</Text>
      <GroundInClicks seen={seen} />
      <List readings={readings} onRemove={remove} />
    </View>
  );
}

/** A reading here and now, or one after the other over the ground. */
export function TakeReadings({ seen }: { readonly seen: Seen }) {
  const { setup, shoot, clock, atMs } = useShown('setup', 'shoot', 'clock', 'atMs');
  const [open, setOpen] = useState(false);
  const { add } = useReadings(seen);
  const { begin } = useOpenShoot().walk;
  const { view, answer } = seen;
  const full = setup.readings.length >= MOST_READINGS;
  return (
    <View className="gap-1">
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button
            label="Take a reading"
            kind="primary"
            disabled={full}
            onPress={() => setOpen(true)}
          />
        </View>
        <View className="flex-1">
          <Button label="Walk the ground" disabled={full} onPress={() => begin(gridWalk(setup))} />
        </View>
      </View>
      {full ? (
        <Text kind="small">
          {`${MOST_READINGS} readings are kept at most: take old ones away to add others.`}
        </Text>
      ) : null}
      <Sheet
        title={`Reading at ${view.mark.name}, ${clock(atMs)}`}
        open={open}
        onClose={() => setOpen(false)}
      >
        <ReadingForm
          expectedEv={answer.light.ev.expected}
          taken={answer.exposure.settings}
          at={view.mark}
          venue={shoot.id}
          saveLabel="Keep the reading"
          onSave={(measured) => {
            add(view.mark.name, view.mark, measured);
            setOpen(false);
          }}
        />
      </Sheet>
    </View>
  );
}

/** One point of the walk after the other. */
export function WalkPanel({ seen }: { readonly seen: Seen }) {
  const plan = useShown('scene', 'heard', 'atMs', 'shoot');
  const { walk } = useWalk();
  const { next, end } = useOpenShoot().walk;
  const { add } = useReadings(seen);
  const point: WalkPoint | undefined = walk?.points[walk.at];
  if (!walk || !point || !plan.scene) return null;
  const { answer, view } = seen;
  const scene = {
    ...plan.scene,
    target: { ...plan.scene.target, x: point.x, y: point.y },
    faceAzimuthDeg: bearingDeg(point, view.position),
  };
  const expectedEv = correctedLight(scene, plan.heard)(plan.atMs).ev.expected;
  return (
    <View role="group" aria-label="Walk" className="gap-3 border-2 border-signal p-3">
      <Text kind="strong">
        {`Point ${walk.at + 1} of ${walk.points.length}: the cross on the plan`}
      </Text>
      <ReadingForm
        key={walk.at}
        expectedEv={expectedEv}
        taken={answer.exposure.settings}
        at={point}
        venue={plan.shoot.id}
        saveLabel="Keep, and on to the next"
        onSave={(measured) => {
          add(point.name, point, measured);
          next();
        }}
      />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button label="Skip this point" onPress={next} />
        </View>
        <View className="flex-1">
          <Button label="End the walk" onPress={end} />
        </View>
      </View>
    </View>
  );
}

/** Every place in clicks from the settings shown. */
function GroundInClicks({ seen }: { readonly seen: Seen }) {
  const { setup, atMs } = useShown('setup', 'atMs');
  const { settings } = seen.answer.exposure;
  const baseEv = baseEvOf(seen.answer.exposure);
  const places = groundClicks(setup, seen.view, atMs, baseEv);
  const { shutter, aperture, iso } = engraved(settings);
  const range = places.map(({ clicks }) => clicks);
  const spread = Math.max(...range) - Math.min(...range);
  if (places.length < 2) return null;
  return (
    <View className="gap-1">
      <Heading level={3} kind="strong">
        {`The ground in clicks from ${shutter}, ${aperture}, ${iso}`}
      </Heading>
      <Text kind="small" ink="quiet">
        {spread === 0
          ? 'Even: one setting for all of it.'
          : `${spread} ${spread === 1 ? 'click' : 'clicks'} from its darkest place to its brightest. A plus is brighter: close by as many clicks.`}
      </Text>
      <View role="list" aria-label="The ground in clicks" className="flex-row flex-wrap">
        {places.map(({ id, name, clicks, ev }) => (
          <View
            key={id}
            role="listitem"
            className="w-1/2 min-w-[160px] flex-row items-baseline gap-2 py-1 pr-2"
          >
            <Text kind="figure" className="w-9 text-right">
              {clicksInWords(clicks)}
            </Text>
            <Text kind="small" className="min-w-0 shrink">
              {`${name}, EV ${ev.toFixed(1)}`}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

/** The light that the settings shown are right for. */
const baseEvOf = ({ settings }: Seen['answer']['exposure']): number => exposedEv(settings);

const saidInWords = (reading: Reading): string => {
  if (reading.by === 'meter') return reading.simulated ? 'simulated meter' : 'meter';
  const { shutter, aperture, iso } = engraved({ ...reading.frame, liftStops: 0 });
  return `${shutter} ${aperture} ${iso} looked ${lookedInWords(reading.frame.looksDarkStops)}`;
};

function List({
  readings,
  onRemove,
}: {
  readonly readings: readonly Reading[];
  readonly onRemove: (reading: Reading) => void;
}) {
  const inks = useInks();
  if (readings.length === 0) return null;
  return (
    <View role="list" aria-label="Readings kept">
      {[...readings].reverse().map((reading) => (
        <View
          key={reading.id}
          role="listitem"
          className="flex-row items-center justify-between gap-2 border-b border-line"
        >
          <View className="min-w-0 flex-1">
            <Text kind="strong">{`EV ${evSaid(reading).toFixed(1)} · ${reading.name}`}</Text>
            <Text kind="small" ink="quiet">
              {`${reading.atLocal.slice(11)}, ${saidInWords(reading)}`}
            </Text>
          </View>
          <IconButton
            label={`Take away the reading at ${reading.name}, ${reading.atLocal.slice(11)}`}
            onPress={() => onRemove(reading)}
          >
            <Trash color={inks.ink} size={20} />
          </IconButton>
        </View>
      ))}
    </View>
  );
}
