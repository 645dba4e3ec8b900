import { View } from 'react-native';
import type { PlanScale } from '@/figures/plan-scale';
import type { ItemRef } from '@/records/edit-site';
import type { Shoot } from '@/records/shoot';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';

/** A mark or position that lies under a finger with others. */
export interface Sign extends ItemRef {
  readonly name: string;
}

/** Signs whose middles are nearer to each other than this lie under one finger. */
const FINGER_PX = 30;

/** The signs that a finger covers when it touches one of them, that one first. */
export function together(
  { marks, positions, choice }: Pick<Shoot, 'marks' | 'positions' | 'choice'>,
  { list, id }: ItemRef,
  { toPx }: Pick<PlanScale, 'toPx'>,
): readonly Sign[] {
  const all = [
    ...positions.map((entry) => ({ ...entry, list: 'positions' as const })),
    ...marks.map((entry) => ({ ...entry, list: 'marks' as const })),
  ];
  const touched = all.find((entry) => entry.list === list && entry.id === id);
  if (!touched) return [];
  const at = toPx(touched);
  return all
    .map((entry) => {
      const px = toPx(entry);
      return { entry, awayPx: Math.hypot(px.x - at.x, px.y - at.y) };
    })
    .filter(
      ({ entry, awayPx }) =>
        awayPx < FINGER_PX && entry.id !== choice.markId && entry.id !== choice.positionId,
    )
    .sort((a, b) => a.awayPx - b.awayPx)
    .map(({ entry: { list: of, id: one, name } }) => ({ list: of, id: one, name }));
}

/** Asks which of several signs under one finger was meant. */
export function OneOf({
  signs,
  onPick,
  onClose,
}: {
  readonly signs: readonly Sign[];
  readonly onPick: (item: ItemRef) => void;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title="Which one?" open onClose={onClose}>
      <View role="list" aria-label="Under your finger">
        {signs.map(({ list, id, name }) => (
          <RowButton
            key={`${list} ${id}`}
            name={name}
            detail={list === 'marks' ? 'Mark' : 'Position'}
            onPress={() => {
              onPick({ list, id });
              onClose();
            }}
          />
        ))}
      </View>
    </Sheet>
  );
}
