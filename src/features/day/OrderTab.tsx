import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { MOST_EVENTS, FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { minutesOn, reordered, startOf } from '@/records/edit-events';
import { newId } from '@/records/new-id';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { RunningLate } from './DayAnswer';
import { EventSheet } from './EventSheet';
import { lightColumn } from './light-column';
import { ManySheet } from './ManySheet';
import { onceEachLens } from './once-each-lens';
import { OrderList } from './OrderList';
import { OrderTable } from './OrderTable';
import { FilesSection } from './FilesSection';
import { useDay } from '@/features/shoot/use-day';

/** As many events are shown at once; a larger day is gone through in pages, from what is on. */
const PAGE = { phone: 10, wide: 60 } as const;

/** The running order: what is on, who is in it, where to be, in what light. */
export function OrderTab({ wide }: { readonly wide: boolean }) {
  const { shoot, setup, atMs } = useShown('shoot', 'setup', 'atMs');
  const { update } = useEdits();
  const { lines, quality } = useDay();
  const [edited, setEdited] = useState<DayEventRecord>();
  const [many, setMany] = useState(false);
  const [page, setPage] = useState<number>();
  const { people, shooters } = shoot;
  const cells = useMemo(
    () => lightColumn({ ...setup, people, shooters }),
    [setup, people, shooters],
  );
  const now = lines.findIndex(({ endMs }) => endMs > atMs);
  const aPage = wide ? PAGE.wide : PAGE.phone;
  const pages = Math.ceil(lines.length / aPage);
  const shownPage = Math.min(pages - 1, page ?? Math.floor(Math.max(0, now) / aPage));
  const from = Math.max(0, shownPage * aPage);
  const shown = lines.slice(from, from + aPage);
  const rows = onceEachLens(
    shown.map((line) => ({
      id: line.event.id,
      line,
      cell: line.stop && cells(line.event, line.stop),
    })),
  );
  const begin = () => {
    const last = shoot.events.at(-1);
    const startLocal = last
      ? minutesOn(startOf(last), Math.ceil(last.durationMin))
      : localMinuteOf(atMs, shoot.place.timeZone);
    setEdited({
      ...FIRST_EVENT,
      id: newId(),
      name: '',
      startLocal,
      entries: [],
      ...(setup.choice.shotId && { shotId: setup.choice.shotId }),
    });
  };
  const move = (a: number, b: number) =>
    update((current) => ({ ...current, events: reordered(current.events, from + a, from + b) }));
  return (
    <View className="gap-4">
      <RunningLate />
      {pages > 1 ? (
        <View className="flex-row items-center gap-2">
          <Button
            label="Earlier"
            disabled={shownPage === 0}
            onPress={() => setPage(shownPage - 1)}
          />
          <Text className="shrink grow text-center">
            {`${from + 1} to ${from + shown.length} of ${lines.length}`}
          </Text>
          <Button
            label="Later"
            disabled={shownPage === pages - 1}
            onPress={() => setPage(shownPage + 1)}
          />
        </View>
      ) : null}
      {wide ? (
        <OrderTable rows={rows} atMs={atMs} onOpen={setEdited} onMove={move} />
      ) : (
        <OrderList rows={rows} atMs={atMs} onOpen={setEdited} onMove={move} />
      )}
      <View className="flex-row flex-wrap gap-2">
        <View className="grow">
          <Button
            label="Add an event"
            disabled={shoot.events.length >= MOST_EVENTS}
            onPress={begin}
          />
        </View>
        {shoot.events.length > 1 ? (
          <View className="grow">
            <Button label="Change many at once" onPress={() => setMany(true)} />
          </View>
        ) : null}
      </View>
      {many ? <ManySheet onClose={() => setMany(false)} /> : null}
      <FilesSection lines={lines} cells={cells} />
      {edited ? (
        <EventSheet
          key={edited.id}
          event={edited}
          fresh={!shoot.events.some(({ id }) => id === edited.id)}
          quality={quality}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}
