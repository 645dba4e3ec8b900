import { View } from 'react-native';
import { Line, Rect, Svg } from 'react-native-svg';
import { scaleSqrt } from 'd3-scale';
import { GRADE_LIMIT_CIRCLES, type PartSmear } from '@/core';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';

const ROW_PX = 14;
const MOST_CIRCLES = 12;

/** Blur of each part in the delivered picture as a bar, with the grades' limits across. */
export function SmearRuler({
  smear,
  widthPx,
  gradeWord,
}: {
  readonly smear: readonly PartSmear[];
  readonly widthPx: number;
  readonly gradeWord: (smear: PartSmear) => string;
}) {
  const inks = useInks();
  const x = scaleSqrt().domain([0, MOST_CIRCLES]).range([0, widthPx]).clamp(true);
  return (
    <View className="gap-2">
      {smear.map((part) => (
        <View key={part.part}>
          <View className="flex-row justify-between">
            <Text kind="small">{part.part}</Text>
            <Text kind="small">
              <Text kind="label">{part.deliveredPx.toFixed(1)} px</Text> {gradeWord(part)}
            </Text>
          </View>
          <Svg width={widthPx} height={ROW_PX} aria-hidden>
            <Rect x={0} y={4} width={x(part.circles)} height={6} fill={inks.ink} />
            {Object.values(GRADE_LIMIT_CIRCLES).map((limit) => (
              <Line
                key={limit}
                x1={x(limit)}
                x2={x(limit)}
                y1={0}
                y2={ROW_PX}
                stroke={inks.quiet}
              />
            ))}
          </Svg>
        </View>
      ))}
    </View>
  );
}
