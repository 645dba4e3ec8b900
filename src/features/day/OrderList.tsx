import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import type { DayEventRecord } from '@/records/day';
import { Reorder } from '@/ui/Reorder';
import { Text } from '@/ui/Text';
import { whoInWords, type DayLine } from '@/features/shoot/day-lines';
import { eventTitle } from '@/records/day-said';
import { cellInWords, type LightCell } from './light-column';

export interface OrderRow {
  readonly id: string;
  readonly line: DayLine;
  readonly cell: LightCell | undefined;
}

export interface OrderProps {
  readonly rows: readonly OrderRow[];
  readonly atMs: number;
  readonly onOpen: (event: DayEventRecord) => void;
  readonly onMove: (from: number, to: number) => void;
}

export const STATUS_WORDS = {
  shoot: 'Shoot',
  others: '',
  missed: 'Missed',
  leftOut: 'Left out',
  cancelled: 'Off',
  unknown: '',
} as const;

const WORTH_WORDS = { must: 'promised', should: '', could: '' } as const;

/** The running order on a phone: an event under the other. With which lens the route and Field say. */
export function OrderList({ rows, atMs, onOpen, onMove }: OrderProps) {
  return (
    <Reorder
      label="Running order"
      rows={rows}
      nameOf={({ line }) => eventTitle(line.event)}
      onMove={onMove}
    >
      {(row, grip) => <Row row={row} grip={grip} atMs={atMs} onOpen={onOpen} />}
    </Reorder>
  );
}

function Row({
  row: { line, cell },
  grip,
  atMs,
  onOpen,
}: {
  readonly row: OrderRow;
  readonly grip: ReactNode;
  readonly atMs: number;
  readonly onOpen: (event: DayEventRecord) => void;
}) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { event, status, startMs, endMs, why, leaveMs, weak } = line;
  const going = startMs <= atMs && endMs > atMs;
  const taken = status === 'shoot';
  const late = event.lateMin ?? 0;
  const notes = [
    WORTH_WORDS[event.worth],
    event.pinnedTo ? 'pinned' : '',
    late === 0 ? '' : `programme ${event.startLocal.slice(11)}`,
  ].filter(Boolean);
  return (
    <View
      className={`flex-row border-b border-line ${going ? 'border-l-4 border-l-signal' : taken ? 'border-l-4 border-l-ink' : 'pl-1'}`}
    >
      <Pressable
        role="button"
        onPress={() => onOpen(event)}
        className="min-h-touch shrink grow basis-0 flex-row gap-3 py-2 pl-2 active:opacity-60"
      >
        <Text kind={taken ? 'strong' : 'body'} className="w-[46px]">
          {clock(startMs)}
        </Text>
        <View className="shrink grow basis-0">
          <Text kind={taken ? 'strong' : 'body'} ink={taken ? 'ink' : 'quiet'}>
            {eventTitle(event)}
          </Text>
          {whoInWords(event, shoot).map((who) => (
            <Text key={who} kind="small">
              {who}
            </Text>
          ))}
          <Text kind="small" ink={taken ? 'ink' : 'quiet'}>
            {[
              status === 'missed' ? 'Missed.' : '',
              why,
              leaveMs === undefined ? '' : `Leave by ${clock(leaveMs)}.`,
              weak ? `Weak from there: ${weak}.` : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
          {cell ? (
            <>
              <Text kind="small">{cellInWords(cell)}</Text>
              <Text kind="small" ink="quiet">
                {`EV ${cell.ev}, ${cell.side.toLowerCase()}`}
              </Text>
            </>
          ) : null}
          {notes.length > 0 ? (
            <Text kind="small" ink="quiet">
              {notes.join(' · ')}
            </Text>
          ) : null}
        </View>
      </Pressable>
      {grip}
    </View>
  );
}
