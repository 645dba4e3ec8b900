import { useState } from 'react';
import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { LARGEST_TABLE_BYTES, writeOrder } from '@/formats/order-csv';
import { writeCalendar } from '@/formats/order-ics';
import { fileStem } from '@/formats/shoot-json';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { Button } from '@/ui/Button';
import { chooseFile, downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import type { DayLine } from '@/features/shoot/day-lines';
import { daysOf, noteFor } from './import';
import { ImportSheet, isCalendar, type OrderFile } from './ImportSheet';
import type { LightCell } from './light-column';
import type { DayEventRecord } from '@/records/day';

/** The running order in and out, as a table or a calendar. */
export function FilesSection({
  lines,
  cells,
}: {
  readonly lines: readonly DayLine[];
  readonly cells: (
    event: DayEventRecord,
    positionId: string,
    atMs: number,
  ) => LightCell | undefined;
}) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const say = useToast();
  const [file, setFile] = useState<OrderFile>();
  const reading = useReading();
  const open = async () => {
    const chosen = await chooseFile('.csv,.tsv,.txt,.ics,text/csv,text/calendar');
    if (!chosen) return;
    const { startLocal, endLocal, place } = shoot;
    const options = { days: daysOf({ startLocal, endLocal }), timeZone: place.timeZone };
    const read = await reading.read(chosen, LARGEST_TABLE_BYTES, async (service, file) => {
      const text = await file.text();
      return isCalendar(chosen.name, text)
        ? { text, calendar: await service.calendar(text, options) }
        : { text, table: await service.table(text) };
    });
    if (read.ok) setFile({ name: chosen.name, ...read.value });
    else if (read.reason) say({ text: `“${chosen.name}” could not be read: ${read.reason}` });
  };
  const stem = fileStem(shoot.title);
  const saveCalendar = () => {
    const byId = new Map(lines.map((line) => [line.event.id, line]));
    const text = writeCalendar(
      shoot,
      (event) => {
        const line = byId.get(event.id);
        if (!line) return { lines: [] };
        const cell = line.stop && cells(event, line.stop.positionId, line.stop.fromMs);
        return noteFor(shoot, line, cell, clock);
      },
      Date.now(),
    );
    downloadText(`${stem}.ics`, text, 'text/calendar');
  };
  const none = shoot.events.length === 0;
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        In and out
      </Heading>
      <Button label="Bring in a running order" onPress={() => void open()} />
      <ReadingNow reading={reading} />
      <Button
        label="Save as a table"
        disabled={none}
        onPress={() => downloadText(`${stem}-order.csv`, writeOrder(shoot), 'text/csv')}
      />
      <Button label="Save as a calendar" disabled={none} onPress={saveCalendar} />
      <Text kind="small" ink="quiet">
        Tables are CSV, calendars iCalendar. A calendar carries where to stand and an alarm at each
        second call.
      </Text>
      {file ? <ImportSheet key={file.name} file={file} onClose={() => setFile(undefined)} /> : null}
    </View>
  );
}
