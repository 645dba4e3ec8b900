import { useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/plan/ShootContext';
import { LARGEST_TABLE_BYTES, writeOrder } from '@/formats/order-csv';
import { writeCalendar } from '@/formats/order-ics';
import { fileStem } from '@/formats/shoot-json';
import { Button } from '@/ui/Button';
import { chooseFile, downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import type { DayLine } from './day-lines';
import { noteFor } from './import';
import { ImportSheet, type OrderFile } from './ImportSheet';
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
  const { shoot, clock } = useShootPage().plan;
  const say = useToast();
  const [file, setFile] = useState<OrderFile>();
  const open = async () => {
    const chosen = await chooseFile('.csv,.tsv,.txt,.ics,text/csv,text/calendar');
    if (!chosen) return;
    if (chosen.size > LARGEST_TABLE_BYTES) {
      say({ text: `“${chosen.name}” is over 5 MB: no running order is so large` });
      return;
    }
    try {
      setFile({ name: chosen.name, text: await chosen.text() });
    } catch {
      say({ text: `“${chosen.name}” could not be read` });
    }
  };
  const stem = fileStem(shoot.title);
  const saveCalendar = () => {
    const byId = new Map(lines.map((line) => [line.event.id, line]));
    const text = writeCalendar(
      shoot,
      (event) => {
        const line = byId.get(event.id);
        if (!line) return { lines: [] };
        const cell = line.stop && cells(event, line.stop.positionId, line.startMs);
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
