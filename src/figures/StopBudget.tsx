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

/** Light there is and light that is spent, in stops on one scale. */
export function StopBudget({
  bars,
  widthPx,
}: {
  readonly bars: readonly BudgetBar[];
  readonly widthPx: number;
}) {
  const inks = useInks();
  const most = Math.max(1, ...bars.map((bar) => bar.stops));
  const x = scaleLinear().domain([0, most]).range([0, widthPx]).clamp(true);
  return (
    <View className="gap-2">
      {bars.map((bar) => (
        <View key={bar.name}>
          <View className="flex-row justify-between">
            <Text kind="small">
              <Text kind="label">
                {bar.gives ? '+' : '−'}
                {bar.stops.toFixed(1)}
              </Text>{' '}
              {bar.name}
            </Text>
            <Text kind="small" ink="quiet">
              {bar.note}
            </Text>
          </View>
          <Svg width={widthPx} height={ROW_PX} aria-hidden>
            <Rect
              x={1}
              y={2}
              width={Math.max(0, x(bar.stops) - 2)}
              height={ROW_PX - 4}
              fill={bar.gives ? 'none' : inks.ink}
              stroke={inks.ink}
              strokeWidth={1.4}
            />
          </Svg>
        </View>
      ))}
    </View>
  );
}
