import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { LightChart, LineKey } from '@/figures/LightChart';
import { Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import type { DayLight, Seen } from './use-day-light';

/** What the chart shows, for those who can't see it. */
function chartInWords(
  { main, turned }: Pick<DayLight, 'turned'> & { readonly main: NonNullable<DayLight['main']> },
  clock: (ms: number) => string,
): string {
  const { name, series } = main;
  const last = series.timeMs.length - 1;
  const [first, end] = [series.ev[0] ?? 0, series.ev[last] ?? 0];
  return [
    `Light on ${name}: EV ${first.toFixed(1)} at ${clock(series.timeMs[0] ?? 0)}`,
    ...turned.map(({ timeMs, text }) => `${text} at ${clock(timeMs)}`),
    `EV ${end.toFixed(1)} at ${clock(series.timeMs[last] ?? 0)}`,
  ].join('; ');
}

/** The hours as a chart: light on the face, what the shot needs, and what turns when. */
export function HoursChart({
  seen,
  light,
  heightPx,
}: {
  readonly seen: Seen;
  readonly light: DayLight;
  readonly heightPx: number;
}) {
  const { hours, clock, atMs, ribbon } = useShown('hours', 'clock', 'atMs', 'ribbon');
  const { widthPx, onLayout } = useWidth('hours chart', 340);
  const { drawn, main, trouble, turned, lampsRuleMs, neededEv } = light;
  const sun = ribbon.events.filter((event) => event.main);
  return (
    <View onLayout={onLayout} style={{ minHeight: heightPx }}>
      {main ? (
        <LightChart
          {...hours}
          lines={drawn}
          needed={
            neededEv === undefined
              ? undefined
              : {
                  ev: neededEv,
                  text: `${seen.view.shot?.name ?? seen.view.mark.name} needs EV ${neededEv.toFixed(1)}`,
                }
          }
          events={ribbon.events}
          notes={[...sun.map(({ timeMs, name }) => ({ timeMs, text: name })), ...turned].map(
            ({ timeMs, text }) => ({ timeMs, text: `${text} ${clock(timeMs)}` }),
          )}
          lampsRuleMs={lampsRuleMs}
          atMs={atMs}
          clock={clock}
          widthPx={widthPx}
          heightPx={heightPx}
          label={chartInWords({ main, turned }, clock)}
        />
      ) : (
        <View
          className="items-center justify-center border border-line"
          style={{ height: heightPx }}
        >
          <Text ink="quiet" aria-live="polite">
            {trouble ? `No chart: ${trouble}` : 'Computing the light'}
          </Text>
        </View>
      )}
    </View>
  );
}

/** Which line of the chart is which, and what its signs mean. */
export function ChartKey({ light: { drawn, main } }: { readonly light: DayLight }) {
  if (!main) return null;
  const others = drawn.filter(({ chosen }) => !chosen);
  return (
    <View role="list" aria-label="Lines of the chart" className="gap-1">
      {[main, ...others].map((line, i) => (
        <View key={line.id} role="listitem" className="flex-row items-center gap-2">
          <LineKey at={i - 1} />
          <Text kind="small">{line.name}</Text>
        </View>
      ))}
      <Text kind="tiny" ink="quiet">
        EV at ISO 100 on the face. The tinted band is what cloud and doubt leave open; the heavy bar
        along the horizon is sun on the face; the diamond is where lamps take over.
      </Text>
    </View>
  );
}
