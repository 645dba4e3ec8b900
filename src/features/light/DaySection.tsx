import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { evNeededFor, lightColour } from '@/core';
import { withShot } from '@/answers/choose-shot';
import { exposureDemands } from '@/answers/answer';
import { useShootPage } from '@/features/shoot/ShootContext';
import type { Plan } from '@/features/shoot/use-plan';
import { LightChart, LineKey } from '@/figures/LightChart';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Heading, Text } from '@/ui/Text';
import {
  linesOfMarks,
  linesOfPositions,
  shotsThrough,
  turningsOf,
  worstOf,
  type Turning,
} from '@/answers/light-plan';
import { lightThroughInWords, TURNING_WORDS } from '@/features/shoot/light-words';
import { useLines, type DrawnLine } from './use-lines';

const LINES = [
  { value: 'marks', label: 'Every mark, from here' },
  { value: 'positions', label: 'This mark, from everywhere' },
] as const;

type Seen = Extract<Plan['seen'], { ok: true }>;

/** The hours as a chart, what turns in them, and when each shot ends. */
export function DaySection() {
  const { seen } = useShootPage().plan;
  return seen.ok ? <Day seen={seen} /> : null;
}

/** What the chart shows, for those who can't see it. */
function chartInWords(
  { name, series }: DrawnLine & { readonly series: NonNullable<DrawnLine['series']> },
  turnings: readonly Turning[],
  clock: Plan['clock'],
): string {
  const last = series.timeMs.length - 1;
  const [first, end] = [series.ev[0] ?? 0, series.ev[last] ?? 0];
  return [
    `Light on ${name}: EV ${first.toFixed(1)} at ${clock(series.timeMs[0] ?? 0)}`,
    ...turnings.map(({ timeMs, what }) => `${TURNING_WORDS[what]} at ${clock(timeMs)}`),
    `EV ${end.toFixed(1)} at ${clock(series.timeMs[last] ?? 0)}`,
  ].join('; ');
}

function Day({ seen }: { readonly seen: Seen }) {
  const { plan } = useShootPage();
  const { setup, hours, clock, atMs, ribbon } = plan;
  const [by, setBy] = useState<'marks' | 'positions'>('marks');
  const [widthPx, setWidthPx] = useState(340);
  const asked = useMemo(
    () => (by === 'marks' ? linesOfMarks(setup) : linesOfPositions(setup)),
    [by, setup],
  );
  const { lines, trouble } = useLines(asked, hours);
  const drawn = lines.flatMap((line) => (line.series ? [{ ...line, series: line.series }] : []));
  const others = drawn.filter(({ chosen }) => !chosen);
  const main = drawn.find(({ chosen }) => chosen);
  const turnings = main ? turningsOf(main.series) : [];
  const silhouette = seen.view.wanted.technique === 'silhouette';
  const neededEv = evNeededFor(exposureDemands(seen.view, setup.choice));
  const lampsRuleMs = turnings.find(({ what }) => what === 'lampsRule')?.timeMs;
  return (
    <View role="region" aria-label="Light through the hours" className="gap-3">
      <Heading level={2} kind="figure">
        Through the hours
      </Heading>
      <Choice label="Lines" value={by} options={LINES} onChange={setBy} />
      <View onLayout={({ nativeEvent }) => setWidthPx(nativeEvent.layout.width)}>
        {main ? (
          <LightChart
            {...hours}
            lines={drawn}
            needed={
              silhouette
                ? undefined
                : {
                    ev: neededEv,
                    text: `EV ${neededEv.toFixed(1)} needed for ${seen.view.mark.name}`,
                  }
            }
            events={ribbon.events}
            lampsRuleMs={lampsRuleMs}
            atMs={atMs}
            clock={clock}
            widthPx={widthPx}
            label={chartInWords(main, turnings, clock)}
          />
        ) : (
          <View className="h-[270px] items-center justify-center border border-line">
            <Text ink="quiet" aria-live="polite">
              {trouble ? `No chart: ${trouble}` : 'Computing the light'}
            </Text>
          </View>
        )}
      </View>
      {main ? (
        <View role="list" aria-label="Lines of the chart" className="gap-1">
          {[main, ...others].map((line, i) => (
            <View key={line.id} role="listitem" className="flex-row items-center gap-2">
              <LineKey at={i - 1} />
              <Text kind="small">{line.name}</Text>
            </View>
          ))}
          <Text kind="tiny" ink="quiet">
            EV at ISO 100 on the face. The tinted band is what cloud and doubt leave open; the heavy
            bar along the horizon is sun on the face; the diamond is where lamps take over.
          </Text>
        </View>
      ) : null}
      <Text kind="small">{colourInWords(seen, clock(atMs))}</Text>
      <Turnings turnings={turnings} />
      {by === 'marks' ? <Shots lines={drawn} /> : null}
    </View>
  );
}

function colourInWords({ answer }: Seen, at: string): string {
  const { kelvin, name } = lightColour(answer.light);
  return `White balance at ${at}: ${name}; fix ${kelvin} K so that frames match.`;
}

/** Sun, twilight, shade and lamps in the order they come. */
function Turnings({ turnings }: { readonly turnings: readonly Turning[] }) {
  const { ribbon, clock } = useShootPage().plan;
  const all = [
    ...ribbon.events.map(({ timeMs, name }) => ({ timeMs, what: name })),
    ...turnings.map(({ timeMs, what }) => ({ timeMs, what: TURNING_WORDS[what] })),
  ].sort((a, b) => a.timeMs - b.timeMs);
  return (
    <View role="list" aria-label="Sun during the shoot">
      {all.map(({ timeMs, what }) => (
        <View
          key={`${timeMs} ${what}`}
          role="listitem"
          className="flex-row justify-between border-b border-line py-2"
        >
          <Text ink="quiet">{what}</Text>
          <Text kind="strong">{clock(timeMs)}</Text>
        </View>
      ))}
      {all.length === 0 ? (
        <Text ink="quiet" role="listitem">
          No sunrise, sunset, twilight or change of light within these hours.
        </Text>
      ) : null}
    </View>
  );
}

/** When each promised shot comes to lack light. */
function Shots({
  lines,
}: {
  readonly lines: readonly (DrawnLine & { readonly series: NonNullable<DrawnLine['series']> })[];
}) {
  const { plan, update } = useShootPage();
  const { setup, hours, clock } = plan;
  const shots = shotsThrough(
    setup,
    (markId) => lines.find(({ id }) => id === markId)?.series,
    hours,
  );
  if (setup.shots.length === 0) return null;
  return (
    <View className="gap-2">
      <Heading level={3} kind="strong">
        When each shot ends
      </Heading>
      <View role="list" aria-label="When each shot ends" className="gap-2">
        {shots.map(({ shot, light }) => {
          const worstMs = worstOf(light);
          return (
            <View key={shot.id} role="listitem" className="gap-1">
              <Text kind="label">{shot.name}</Text>
              <Text kind="small">{lightThroughInWords(light, clock)}</Text>
              {worstMs === undefined ? null : (
                <Button
                  label={`See what saves it at ${clock(worstMs)}`}
                  onPress={() =>
                    update((current) => ({
                      ...withShot(current, shot),
                      atLocal: localMinuteOf(worstMs, current.place.timeZone),
                    }))
                  }
                />
              )}
            </View>
          );
        })}
      </View>
    </View>
  );
}
