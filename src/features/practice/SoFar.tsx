import type { ReactNode } from 'react';
import { View } from 'react-native';
import { TriesChart, type TriesDrawn } from '@/figures/TriesChart';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { countedInWords, shareInWords, type Counted } from './so-far-words';

/** What the tries at a drill come to so far, one by one and together; nothing before the first. */
export function SoFar({
  name,
  counted,
  ofHand = false,
  children,
  ...drawn
}: TriesDrawn & {
  readonly name: string;
  readonly counted: Counted;
  /** What they say of a hand is told instead of the share that was good. */
  readonly ofHand?: boolean;
  readonly children?: ReactNode;
}) {
  const { widthPx, onLayout } = useWidth('practised', 0);
  const { tries } = drawn;
  if (tries.length === 0) return null;
  const good = tries.filter((made) => made.good).length;
  return (
    <View role="region" aria-label={name} className="gap-2" onLayout={onLayout}>
      <Heading level={3}>{name}</Heading>
      {widthPx > 0 ? (
        <TriesChart
          {...drawn}
          widthPx={widthPx}
          label={countedInWords(good, tries.length, counted)}
        />
      ) : null}
      {ofHand ? null : <Text>{shareInWords(good, tries.length, counted)}</Text>}
      {children}
    </View>
  );
}
