import { View } from 'react-native';
import {
  exposedEv,
  exposureMode,
  momentsWithin,
  nearestMark,
  formatShutter,
  solveExposure,
  type AutoIso,
  type ModeAdvice,
} from '@/core';
import { groundClicks } from '@/answers/light-plan';
import { clicksInWords } from '@/features/shoot/light-words';
import { fooledStops } from '@/answers/fooled';
import { exposureDemands } from '@/answers/answer';
import { useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { sentence, stops } from '@/features/shoot/words';
import { modeWhyInWords } from './mode-words';
import { METER_SCENES } from '@/presets/meter-scenes';
import { Heading, Text } from '@/ui/Text';

type Seen = Extract<Plan['seen'], { ok: true }>;

const MODES: Readonly<Record<ModeAdvice['mode'], string>> = {
  manual: 'Manual',
  manualForSun: 'Manual, for the sun',
  autoIso: 'Manual with automatic ISO',
  aperturePriority: 'Aperture priority, ISO by eye',
};

const BY_CLICKS =
  'Others leave ISO automatic with limits: fewer clicks, frames that differ a little.';
/** What another school would do in its place. */
const OTHERS: Readonly<Record<ModeAdvice['mode'], string>> = {
  manual: BY_CLICKS,
  manualForSun: BY_CLICKS,
  autoIso:
    'Others let the camera choose the shutter at a set aperture, and watch ISO by eye: then a dark frame is a blurred one.',
  aperturePriority: 'Others keep shutter and aperture and leave ISO automatic with limits.',
};

/** Frames of a ground's own colour and with dark stands behind: what a meter meets at a game. */
const MET = METER_SCENES.filter(({ id }) => id === 'turf' || id === 'darkCrowd');

/** Which mode, why, and what goes with it. */
export function ModeSection({ seen }: { readonly seen: Seen }) {
  const { setup, atMs, ribbon, hours } = useShown('setup', 'atMs', 'ribbon', 'hours');
  const { view, answer } = seen;
  const { settings } = answer.exposure;
  const { ev } = answer.light;
  const places = groundClicks(setup, view, atMs, exposedEv(settings));
  const evs = places.map((place) => place.ev);
  const through = momentsWithin(ribbon.series, hours).map((moment) => moment.ev);
  const advice = exposureMode({
    unevennessStops: Math.max(...evs) - Math.min(...evs),
    unsureStops: Math.max(...places.map((place) => place.apartStops)),
    variabilityStops: ev.high - ev.low,
    throughStops: through.length > 0 ? Math.max(...through) - Math.min(...through) : 0,
    meterErrors: MET.map((scene) => fooledStops(scene, scene.share)),
    timeMatters: !view.atRest,
  });
  // Automatic ISO meets every place one shoots into, not the chosen one alone.
  const { autoIso } = solveExposure({
    ...exposureDemands(view, setup.choice),
    held: { shutterS: settings.shutterS, aperture: settings.aperture },
    ev: {
      low: Math.min(ev.low, ...evs),
      expected: ev.expected,
      high: Math.max(ev.high, ...evs),
    },
  });
  return (
    <View role="region" aria-label="Mode" className="gap-2">
      <Heading level={2} kind="figure">
        {MODES[advice.mode]}
      </Heading>
      <Text>{sentence(modeWhyInWords(advice))}</Text>
      {advice.mode === 'autoIso' ? (
        <AutoIsoLimits autoIso={autoIso} shutterS={settings.shutterS} />
      ) : (
        <View role="list" aria-label="Clicks for each place">
          {places.map(({ id, name, clicks }) => (
            <View key={id} role="listitem" className="flex-row gap-3 border-b border-line py-1">
              <Text kind="strong" className="w-10 text-right">
                {clicksInWords(clicks)}
              </Text>
              <Text className="shrink">{name}</Text>
            </View>
          ))}
        </View>
      )}
      <Text kind="small" ink="quiet">
        {OTHERS[advice.mode]}
      </Text>
      <Text kind="small">
        Before the first frame: compensation at 0. Left on from before, it spoils what follows.
      </Text>
    </View>
  );
}

function AutoIsoLimits({
  autoIso,
  shutterS,
}: {
  readonly autoIso: AutoIso;
  readonly shutterS: number;
}) {
  const { lowestIso, highestIso, tooBrightStops, tooDarkStops, shutterForFloorS } = autoIso;
  const iso = (value: number) => nearestMark('iso', value).label;
  return (
    <View className="gap-1">
      <Text kind="strong">{`${iso(lowestIso)} to ${iso(highestIso)} over all these places`}</Text>
      {tooBrightStops > 1 / 6 ? (
        <Text>
          {`At its brightest it reaches minimum ISO and is ${stops(tooBrightStops)} over: set ${formatShutter(shutterForFloorS)} in place of ${formatShutter(shutterS)}.`}
        </Text>
      ) : null}
      {tooDarkStops > 1 / 6 ? (
        <Text>{`At its dimmest it is ${stops(tooDarkStops)} under at the highest you use.`}</Text>
      ) : null}
      {tooBrightStops <= 1 / 6 && tooDarkStops <= 1 / 6 ? (
        <Text>Neither end runs into a limit.</Text>
      ) : null}
    </View>
  );
}
