import { memo } from 'react';
import { View } from 'react-native';
import { Rect, Svg } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';

export interface BudgetBar {
  readonly name: string;
  readonly stops: number;
  readonly note: string;
  /** Gives light (the day, ISO, lift) or takes it (shutter, aperture). */
  readonly gives: boolean;
}

const ROW_PX = 10;

const Row = memo(function Row({
  name,
  figure,
  note,
  gives,
  lengthPx,
  widthPx,
}: {
  readonly name: string;
  readonly figure: string;
  readonly note: string;
  readonly gives: boolean;
  readonly lengthPx: number;
  readonly widthPx: number;
}) {
  const inks = useInks();
  return (
    <View>
      <View className="flex-row justify-between">
        <Text kind="small">
          <Text kind="label">{figure}</Text> {name}
        </Text>
        <Text kind="small" ink="quiet">
          {note}
        </Text>
      </View>
      <Svg width={widthPx} height={ROW_PX} aria-hidden>
        <Rect
          x={1}
          y={2}
          width={lengthPx}
          height={ROW_PX - 4}
          fill={gives ? 'none' : inks.ink}
          stroke={inks.ink}
          strokeWidth={1.4}
        />
      </Svg>
    </View>
  );
});

/** Light there is and light that is spent, in stops on one scale. */
export function StopBudget({
  bars,
  widthPx,
}: {
  readonly bars: readonly BudgetBar[];
  readonly widthPx: number;
}) {
  const most = Math.max(1, ...bars.map((bar) => bar.stops));
  const x = scaleLinear().domain([0, most]).range([0, widthPx]).clamp(true);
  return (
    <View className="gap-2">
      {bars.map(({ name, stops, note, gives }) => (
        <Row
          key={name}
          name={name}
          figure={`${gives ? '+' : '−'}${stops.toFixed(1)}`}
          note={note}
          gives={gives}
          lengthPx={Math.max(0, Math.round(x(stops)) - 2)}
          widthPx={widthPx}
        />
      ))}
    </View>
  );
}
