import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { LitBall } from '@/figures/LitBall';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { SortHead } from '@/ui/SortHead';
import { Text } from '@/ui/Text';
import { useIsWide } from '@/ui/use-shape';
import { useSorted, type SortColumn, type SortedHead } from '@/ui/use-sorted';
import { allFigures, distanceOf, evOf, fillOf, type FiguresRow } from './all-figures';
import { FigureRow } from './FigureRow';

const COLUMNS: readonly SortColumn<FiguresRow>[] = [
  { id: 'position', head: 'Position', by: ({ position }) => position },
  { id: 'mark', head: 'Mark', by: ({ mark }) => mark },
  { id: 'distanceM', head: 'Distance', by: ({ distanceM }) => distanceM },
  { id: 'fill', head: 'Fill', by: ({ fill }) => fill, largestFirst: true },
  { id: 'ev', head: 'EV', by: ({ ev }) => ev, largestFirst: true },
  { id: 'light', head: 'Light', by: ({ light }) => light },
  { id: 'settings', head: 'Settings', by: ({ settings }) => settings, fixed: true },
];

/** What each column says of a row, and how wide it is. */
const CELLS: Readonly<Record<string, { width: string; say: (row: FiguresRow) => string }>> = {
  position: { width: 'w-[190px]', say: ({ position }) => position },
  mark: { width: 'w-[190px]', say: ({ mark }) => mark },
  distanceM: { width: 'w-[100px]', say: distanceOf },
  fill: { width: 'w-[80px]', say: fillOf },
  ev: { width: 'w-[80px]', say: evOf },
  light: { width: 'w-[190px]', say: ({ light }) => light },
  settings: { width: 'w-[180px]', say: ({ settings, problem }) => (problem ? 'none' : settings) },
};

const FIRST_ORDER = [{ id: 'position', desc: false }];

const SORTS = [
  { value: 'position', label: 'Position' },
  { value: 'mark', label: 'Mark' },
  { value: 'distanceM', label: 'Distance' },
  { value: 'fill', label: 'Fill' },
  { value: 'ev', label: 'EV' },
] as const;
type Sort = (typeof SORTS)[number]['value'];

/** Every position for every mark at this minute: a table that sorts, or cards on a phone. */
export function FiguresSheet({ onClose }: { readonly onClose: () => void }) {
  const { shoot, atMs, clock } = useShown('shoot', 'atMs', 'clock');
  const wide = useIsWide();
  const figures = useMemo(() => allFigures(shoot, atMs), [shoot, atMs]);
  const { rows, heads, order, sortBy } = useSorted(figures, COLUMNS, FIRST_ORDER);
  const [openId, setOpenId] = useState<string>();
  const list = {
    rows,
    openId,
    onToggle: (id: string) => setOpenId(openId === id ? undefined : id),
    onClose,
  };
  return (
    <Sheet title={`Positions and marks at ${clock(atMs)}`} open wide onClose={onClose}>
      {wide ? (
        <Table heads={heads} {...list} />
      ) : (
        <>
          <Picker
            label="In order of"
            value={(order?.id ?? 'position') as Sort}
            options={SORTS}
            onChange={(id) => sortBy(id, id === 'fill' || id === 'ev')}
          />
          <Cards {...list} />
        </>
      )}
    </Sheet>
  );
}

interface ListProps {
  readonly rows: readonly FiguresRow[];
  readonly openId: string | undefined;
  readonly onToggle: (id: string) => void;
  readonly onClose: () => void;
}

/** Caution, and once opened all figures of a row and the way to look from there. */
function Below({
  row,
  open,
  onClose,
}: {
  readonly row: FiguresRow;
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  const { update } = useEdits();
  const look = () => {
    const { positionId, markId } = row;
    update((current) => ({ ...current, choice: { ...current.choice, positionId, markId } }));
    onClose();
  };
  return (
    <>
      {row.cautions ? <Text kind="small">Caution: {row.cautions}.</Text> : null}
      {open ? (
        <View className="gap-2 pb-3">
          {row.problem ? <Text>{row.problem}</Text> : null}
          {row.figures.map((figure) => (
            <FigureRow key={figure.name} {...figure} />
          ))}
          <Button label={`Stand at ${row.position} for ${row.mark}`} onPress={look} />
        </View>
      ) : null}
    </>
  );
}

const BALL_PX = 32;

/** How the face is lit, at a glance. */
function RowBall({ row: { ball, light } }: { readonly row: FiguresRow }) {
  return ball ? (
    <LitBall sizePx={BALL_PX} label={`Lit ball: ${light.toLowerCase()}`} light={ball} />
  ) : null;
}

function Cards({ rows, openId, onToggle, onClose }: ListProps) {
  return (
    <View role="list" aria-label="Positions and marks">
      {rows.map((row) => (
        <View key={row.id} role="listitem" className="gap-1 border-b border-line py-2">
          <View className="flex-row items-center gap-3">
            <RowBall row={row} />
            <Text kind="strong" className="shrink">{`${row.position} → ${row.mark}`}</Text>
          </View>
          <Text kind="small">
            {row.problem ??
              `${distanceOf(row)}, fills ${fillOf(row)}, EV ${evOf(row)}, ${row.light.toLowerCase()}. ${row.settings}.`}
          </Text>
          <Button
            kind="quiet"
            label={openId === row.id ? 'Fewer figures' : 'All figures'}
            onPress={() => onToggle(row.id)}
          />
          <Below row={row} open={openId === row.id} onClose={onClose} />
        </View>
      ))}
    </View>
  );
}

function Table({
  heads,
  rows,
  openId,
  onToggle,
  onClose,
}: ListProps & {
  readonly heads: readonly SortedHead[];
}) {
  return (
    <View role="table" aria-label="Positions and marks">
      <View role="row" className="flex-row border-b-2 border-ink">
        {heads.map(({ id, ...head }) => (
          <SortHead key={id} className={CELLS[id]?.width ?? ''} {...head} />
        ))}
      </View>
      {rows.map((row) => (
        <View key={row.id} role="rowgroup" className="border-b border-line">
          <View role="row" className="flex-row">
            {heads.map(({ id: of }) => {
              const { width = '', say } = CELLS[of] ?? {};
              return (
                <View key={of} role="cell" className={`min-h-touch justify-center pr-2 ${width}`}>
                  {of === 'position' ? (
                    <Pressable
                      role="button"
                      aria-expanded={openId === row.id}
                      aria-label={`${row.position}, ${row.mark}: all figures`}
                      onPress={() => onToggle(row.id)}
                      className="min-h-touch justify-center"
                    >
                      <Text kind="strong" className="underline">
                        {row.position}
                      </Text>
                    </Pressable>
                  ) : (
                    <Text kind="small">{say?.(row)}</Text>
                  )}
                </View>
              );
            })}
          </View>
          <Below row={row} open={openId === row.id} onClose={onClose} />
        </View>
      ))}
    </View>
  );
}
