import { refusalsInWords } from '@/features/shoot/score-words';
import { View } from 'react-native';
import type { Compared } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { Sheet } from '@/ui/Sheet';
import { SortHead } from '@/ui/SortHead';
import { Text } from '@/ui/Text';
import { partOf, sorted, SORTS, type SortKey } from './compare';

const NAME_WIDTH = 'w-[150px]';
const PART_WIDTH = 'w-[120px]';

/** Positions as rows, the parts of their score as columns, each with its reason; best first by any. */
export function CompareTable({
  compared,
  sort,
  onSort,
  onClose,
}: {
  readonly compared: readonly Compared[];
  readonly sort: SortKey;
  readonly onSort: (sort: SortKey) => void;
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const nameOf = (id: string) => shoot.positions.find((entry) => entry.id === id)?.name ?? id;
  return (
    <Sheet title="Positions side by side, in hundredths" open wide onClose={onClose}>
      <View role="table" aria-label="Positions and the parts of their score">
        <View role="row" className="flex-row border-b-2 border-ink">
          <SortHead name="Position" className={NAME_WIDTH} sorted={undefined} onSort={undefined} />
          {SORTS.map(({ value, head }) => (
            <SortHead
              key={value}
              name={head}
              className={PART_WIDTH}
              sorted={value === sort ? 'descending' : undefined}
              onSort={() => onSort(value)}
            />
          ))}
        </View>
        {sorted(compared, sort).map((entry) => (
          <View key={entry.id} role="row" className="flex-row border-b border-line py-2">
            <View role="rowheader" className={`pr-2 ${NAME_WIDTH}`}>
              <Text kind="strong">{nameOf(entry.id)}</Text>
            </View>
            {SORTS.map(({ value }) => {
              const { points, why } = partOf(entry, value);
              const words = value === 'total' ? refusalsInWords(entry.score.refusals) : why;
              return (
                <View key={value} role="cell" className={`pr-2 ${PART_WIDTH}`}>
                  <Text kind="figure">{points}</Text>
                  <Text kind="tiny">{words}</Text>
                </View>
              );
            })}
          </View>
        ))}
      </View>
    </Sheet>
  );
}
