import { Pressable, View } from 'react-native';
import { endsInFocus } from '@/answers/perch';
import { hardlyMoves } from '@/answers/pictured';
import { focusInWords, otherEndInWords } from '@/features/shoot/perch-words';
import { formatShutter, type PanOn } from '@/core';
import { PAN_LESSON } from '@/features/shoot/lessons';
import { useLessons } from '@/features/shoot/use-lessons';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { focusPlan, motionSaid, swingOf } from './motion-words';
import { SaidList } from './Said';
import { usePractised } from './use-practised';

type Seen = Extract<Plan['seen'], { ok: true }>;

/** A pan rung by rung, and everything else that moves. */
export function MotionTab({ seen }: { readonly seen: Seen }) {
  const { view, answer } = seen;
  const practised = usePractised();
  return (
    <View className="gap-5">
      <Ladder seen={seen} />
      <View className="gap-1">
        <Heading level={2} kind="figure">
          What moves besides
        </Heading>
        <SaidList label="What moves" said={motionSaid(view, answer.exposure.settings, practised)} />
      </View>
    </View>
  );
}

/** Where to focus and when to press. */
export function FocusTab({ seen }: { readonly seen: Seen }) {
  const { setup } = useShown('setup');
  const { view, answer } = seen;
  const ends = endsInFocus(view, setup, answer.exposure.settings.aperture);
  const practised = usePractised();
  return (
    <View className="gap-1">
      <Heading level={2} kind="figure">
        Focus and the moment
      </Heading>
      <SaidList label="Focus" said={focusPlan(view, answer.exposure.settings, practised).said} />
      {ends ? <Text kind="small">{`${focusInWords(ends)} ${otherEndInWords(ends)}`}</Text> : null}
    </View>
  );
}

const percent = (share: number) =>
  `${share < 0.1 ? (share * 100).toFixed(1) : Math.round(share * 100)} %`;
/** More frames than this for one sharp one, and nobody plans on it. No source. */
const FRAMES_MOST = 60;
const framesSaid = (frames: number) =>
  frames > FRAMES_MOST
    ? 'too rare to plan on'
    : `${frames} ${frames === 1 ? 'frame' : 'frames'} for a 90 % chance of a sharp one`;

function rungInWords({ streakShare, sharpChance, framesFor90 }: PanOn): string {
  return `background drawn out over ${percent(streakShare)} of the frame; ${percent(sharpChance)} sharp, ${framesSaid(framesFor90)}`;
}

/** How evenly someone pans, in words: as a usual hand of some years, or by their own swings. */
function skillInWords(sigma: number, own: boolean): string {
  if (own) return 'by your own swings';
  if (sigma <= 0.05) return 'as after years of it';
  return sigma <= 0.1 ? 'as after a season of it' : 'as at the beginning';
}

function Ladder({ seen }: { readonly seen: Seen }) {
  const plan = useShown('setup');
  const { update } = useEdits();
  const { view } = seen;
  const { rungs, tryS, comesAtYou } = view.ladder;
  const { panSigma } = plan.setup.choice;
  const own = useLessons()?.some(({ id, use }) => id === PAN_LESSON && use === true) ?? false;
  const { shot } = view;
  const arc = swingOf(view);
  const panning = view.wanted.technique === 'pan';
  if (hardlyMoves(view)) {
    return <Text>It hardly moves: there is nothing to pan with.</Text>;
  }
  if (comesAtYou) {
    return <Text>From here it comes at you: nothing to pan. Stand where it passes.</Text>;
  }
  const take = (shutterS: number) =>
    update((current) => ({
      ...current,
      shots: current.shots.map((entry) => (entry.id === shot?.id ? { ...entry, shutterS } : entry)),
    }));
  return (
    <View role="region" aria-label="Pan" className="gap-3">
      <Heading level={2} kind="figure">
        Pan
      </Heading>
      <Text>
        {`At its closest the camera turns ${rungs[0]?.rateDegS.toFixed(0) ?? 0}° a second. From here the whole swing is ${arc.totalDeg.toFixed(0)}°, from a second before the moment to the follow-through: it is on the plan. Keep it clear of people.`}
      </Text>
      <Slider
        label="How evenly you swing"
        value={Math.round(panSigma * 100)}
        min={1}
        max={30}
        step={1}
        bigStep={5}
        valueText={`off by ${Math.round(panSigma * 100)} %, ${skillInWords(panSigma, own)}`}
        onChange={(next) =>
          update(
            (current) => ({
              ...current,
              choice: {
                ...current.choice,
                panSigma: next(Math.round(current.choice.panSigma * 100)) / 100,
              },
            }),
            'pan skill',
          )
        }
      />
      <View role={panning ? 'radiogroup' : 'list'} aria-label="Pan ladder">
        {rungs.map((rung) => {
          const chosen = panning && rung.shutterS === (shot?.shutterS ?? tryS);
          const words = `${rungInWords(rung)}${rung.shutterS === tryS ? '. Proposed: one frame in three' : ''}`;
          return (
            <Pressable
              key={rung.shutterS}
              role={panning ? 'radio' : 'listitem'}
              {...(panning && {
                'aria-checked': chosen,
              })}
              disabled={!panning}
              onPress={() => take(rung.shutterS)}
              className={`min-h-touch flex-row items-center gap-3 border-b border-line py-2 ${chosen ? 'border-l-4 border-l-signal pl-2' : ''}`}
            >
              <Text kind="figure" className="w-[68px]">
                {formatShutter(rung.shutterS)}
              </Text>
              <Text kind="small" className="shrink grow basis-0">
                {words}
              </Text>
            </Pressable>
          );
        })}
      </View>
      <Text kind="small" ink="quiet">
        {panning
          ? 'Press a rung to take it. One smooth swing: pick it up early, press in the middle, follow through, feet wide.'
          : 'To set the dials for a pan, take up a shot whose technique is Pan.'}
      </Text>
    </View>
  );
}
