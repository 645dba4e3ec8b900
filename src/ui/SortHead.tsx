import { Pressable, View } from 'react-native';
import { Text } from './Text';

const ARROWS = { ascending: ' ↑', descending: ' ↓' } as const;

/** The head of a table's column, pressed to bring the rows into its order. */
export function SortHead({
  name,
  className = '',
  sorted,
  onSort,
}: {
  readonly name: string;
  readonly className?: string;
  /** The order in which the rows stand by this column, if they do. */
  readonly sorted: keyof typeof ARROWS | undefined;
  /** Nothing for a column that rows are not put in order by. */
  readonly onSort: (() => void) | undefined;
}) {
  const words = <Text kind="strong">{`${name}${sorted ? ARROWS[sorted] : ''}`}</Text>;
  return (
    <View role="columnheader" className={className} {...{ 'aria-sort': sorted ?? 'none' }}>
      {onSort ? (
        <Pressable
          role="button"
          aria-label={`Sort by ${name}`}
          onPress={onSort}
          className="min-h-touch justify-center"
        >
          {words}
        </Pressable>
      ) : (
        <View className="min-h-touch justify-center">{words}</View>
      )}
    </View>
  );
}
