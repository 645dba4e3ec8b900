import { memo } from 'react';
import { View } from 'react-native';
import { Path, Rect, Svg } from 'react-native-svg';
import { scaleSqrt } from 'd3-scale';
import { GRADE_LIMIT_CIRCLES, type PartSmear } from '@/core';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';

const ROW_PX = 14;
const MOST_CIRCLES = 12;

const inCircles = (widthPx: number) =>
  scaleSqrt().domain([0, MOST_CIRCLES]).range([0, widthPx]).clamp(true);

const Row = memo(function Row({
  part,
  px,
  word,
  lengthPx,
  widthPx,
}: {
  readonly part: string;
  readonly px: string;
  readonly word: string;
  readonly lengthPx: number;
  readonly widthPx: number;
}) {
  const inks = useInks();
  const x = inCircles(widthPx);
  return (
    <View>
      <View className="flex-row justify-between">
        <Text kind="small">{part}</Text>
        <Text kind="small">
          <Text kind="label">{px}</Text> {word}
        </Text>
      </View>
      <Svg width={widthPx} height={ROW_PX} aria-hidden>
        <Rect x={0} y={4} width={lengthPx} height={6} fill={inks.ink} />
        <Path
          d={Object.values(GRADE_LIMIT_CIRCLES)
            .map((limit) => `M${x(limit).toFixed(1)} 0V${ROW_PX}`)
            .join('')}
          stroke={inks.quiet}
        />
      </Svg>
    </View>
  );
});

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
  const x = inCircles(widthPx);
  return (
    <View className="gap-2">
      {smear.map((part) => (
        <Row
          key={part.part}
          part={part.part}
          px={`${part.deliveredPx.toFixed(1)} px`}
          word={gradeWord(part)}
          lengthPx={Math.round(x(part.circles))}
          widthPx={widthPx}
        />
      ))}
    </View>
  );
}
