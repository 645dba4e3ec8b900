import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import GripVertical from 'lucide-react-native/icons/grip-vertical';
import { onKeys } from './keys';
import { useInks } from './theme';

const ROLES = {
  list: { all: 'list', each: 'listitem' },
  table: { all: 'rowgroup', each: 'row' },
} as const;

interface Dragged {
  readonly index: number;
  readonly dy: number;
}

/** Where a dragged row comes to lie: past each neighbour whose middle it has crossed. */
export function dropIndex(
  heights: readonly (number | undefined)[],
  { index, dy }: Dragged,
): number {
  const step = dy > 0 ? 1 : -1;
  let to = index;
  let left = Math.abs(dy);
  for (;;) {
    const height = heights[to + step];
    if (height === undefined || left < height / 2) return to;
    left -= height;
    to += step;
  }
}

/**
 * Rows that are brought into another order by their grip: dragged, or moved by the arrow keys. Each row
 * is given its grip to place.
 */
export function Reorder<T extends { readonly id: string }>({
  label,
  within = 'list',
  rows,
  nameOf,
  onMove,
  children,
}: {
  readonly label: string;
  /** What the rows are: a list of their own, or rows of a table. */
  readonly within?: keyof typeof ROLES;
  readonly rows: readonly T[];
  readonly nameOf: (row: T) => string;
  /** Told the row taken and the place it goes to. */
  readonly onMove: (from: number, to: number) => void;
  readonly children: (row: T, grip: ReactNode) => ReactNode;
}) {
  const [heights, setHeights] = useState<readonly (number | undefined)[]>([]);
  const [dragged, setDragged] = useState<Dragged>();
  const drop = dragged ? dropIndex(heights.slice(0, rows.length), dragged) : undefined;
  const measure = (i: number, height: number) =>
    setHeights((now) =>
      now[i] === height
        ? now
        : Array.from({ length: Math.max(now.length, i + 1) }, (_, at) =>
            at === i ? height : now[at],
          ),
    );
  return (
    <View role={ROLES[within].all} aria-label={label}>
      {rows.map((row, i) => {
        const held = dragged?.index === i;
        const target = drop === i && dragged !== undefined && drop !== dragged.index;
        const edge = !target ? '' : drop > dragged.index ? 'border-b-4' : 'border-t-4';
        return (
          <View
            key={row.id}
            role={ROLES[within].each}
            onLayout={({ nativeEvent: { layout } }) => measure(i, layout.height)}
            className={`${edge} ${edge ? 'border-signal' : ''} ${held ? 'bg-sheet' : ''}`}
            style={held ? { transform: [{ translateY: dragged.dy }], zIndex: 2 } : undefined}
          >
            {children(
              row,
              <Grip
                label={`Move ${nameOf(row)}`}
                onDrag={(dy) => setDragged({ index: i, dy })}
                onDrop={() => {
                  if (drop !== undefined && drop !== i) onMove(i, drop);
                  setDragged(undefined);
                }}
                onStep={(by) => {
                  if (i + by >= 0 && i + by < rows.length) onMove(i, i + by);
                }}
              />,
            )}
          </View>
        );
      })}
    </View>
  );
}

function Grip({
  label,
  onDrag,
  onDrop,
  onStep,
}: {
  readonly label: string;
  readonly onDrag: (dy: number) => void;
  readonly onDrop: () => void;
  readonly onStep: (by: number) => void;
}) {
  const inks = useInks();
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(4)
    .onUpdate(({ translationY }) => onDrag(translationY))
    .onFinalize(() => onDrop());
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        role="button"
        tabIndex={0}
        aria-label={`${label}. Drag, or use the arrow keys, to move it`}
        className="min-h-touch min-w-touch cursor-grab items-center justify-center"
        {...onKeys({ ArrowUp: () => onStep(-1), ArrowDown: () => onStep(1) })}
      >
        <GripVertical color={inks.quiet} size={22} />
      </View>
    </GestureDetector>
  );
}
