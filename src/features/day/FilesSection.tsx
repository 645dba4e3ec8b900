import { useState } from 'react';
import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { writeOrder } from '@/formats/order-csv';
import { LARGEST_TABLE_BYTES, type TableRead } from '@/formats/table';
import { fileStem } from '@/formats/shoot-json';
import { PasteSheet } from '@/features/files/PasteSheet';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { readFileApart } from '@/workers/files-client';
import { Button } from '@/ui/Button';
import { chooseFile, downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { useOwedLines } from '@/features/shoot/PeopleOwed';
import { useDay } from '@/features/shoot/use-day';
import { usePrinting } from '@/features/shoot/use-printing';
import { printed } from '@/workers/print-client';
import type { DayLine } from '@/features/shoot/day-lines';
import { dayCalendar } from './day-calendar';
import { daySheet } from './day-sheet';
import { daysOf } from './import';
import { ImportSheet, isCalendar, type OrderFile } from './ImportSheet';
import type { LightCells } from './light-column';

/** The running order in and out, as a table or a calendar. */
export function FilesSection({
  lines,
  cells,
}: {
  readonly lines: readonly DayLine[];
  readonly cells: LightCells;
}) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { whose, all } = useDay();
  const owed = useOwedLines();
  const { printing, save } = usePrinting();
  const say = useToast();
  const [file, setFile] = useState<OrderFile>();
  const [pasting, setPasting] = useState(false);
  const reading = useReading();
  const open = async () => {
    const chosen = await chooseFile('.csv,.tsv,.txt,.ics,text/csv,text/calendar');
    if (!chosen) return;
    const { startLocal, endLocal, place } = shoot;
    const options = { days: daysOf({ startLocal, endLocal }), timeZone: place.timeZone };
    type Held = Pick<OrderFile, 'text' | 'calendar' | 'table'>;
    const read = await reading.read(
      chosen,
      LARGEST_TABLE_BYTES,
      async (service, file): Promise<Held> => {
        const text = await service.text(new Uint8Array(await file.arrayBuffer()));
        return isCalendar(chosen.name, text)
          ? { text, calendar: await service.calendar(text, options) }
          : { text, table: await service.orderTable(text) };
      },
    );
    if (read.ok) setFile({ name: chosen.name, ...read.value } as OrderFile);
    else if (read.reason) say({ text: `“${chosen.name}” could not be read: ${read.reason}` });
  };
  const stem = fileStem(shoot.title);
  const who = shoot.shooters.find((entry) => entry.id === whose.id);
  const savePdf = () =>
    save(
      () => printed(daySheet({ shoot, lines, all, owed, who: who?.name, cells, clock })),
      `${who ? fileStem(`${shoot.title} ${who.name}`) : stem}-day.pdf`,
    );
  const saveCalendar = () => {
    const name = who?.name;
    const text = dayCalendar({ shoot, lines, who: name, cells, clock, stampMs: Date.now() });
    downloadText(`${name ? fileStem(`${shoot.title} ${name}`) : stem}.ics`, text, 'text/calendar');
  };
  const none = shoot.events.length === 0;
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        In and out
      </Heading>
      <Button label="Bring in a running order" onPress={() => void open()} />
      <Button label="Paste a heat sheet" onPress={() => setPasting(true)} />
      <ReadingNow reading={reading} />
      <View className="flex-row flex-wrap gap-2">
        <View className="grow">
          <Button
            label="Save as a table"
            disabled={none}
            onPress={() => downloadText(`${stem}-order.csv`, writeOrder(shoot), 'text/csv')}
          />
        </View>
        <View className="grow">
          <Button label="Save as a calendar" disabled={none} onPress={saveCalendar} />
        </View>
      </View>
      <Button
        label={printing ? 'Making the PDF' : 'Save as a PDF to print'}
        disabled={none || printing}
        onPress={savePdf}
      />
      <Text kind="small" ink="quiet">
        A calendar carries where to stand, and an alarm when to leave.
      </Text>
      {file ? <ImportSheet key={file.name} file={file} onClose={() => setFile(undefined)} /> : null}
      {pasting ? (
        <PasteSheet
          title="Paste a heat sheet"
          label="Heat sheet"
          hint="Lines such as “Event 12 Girls 100 m”, “Heat 1”, “4 Lock, Ash 11 Fernley”"
          most={LARGEST_TABLE_BYTES}
          read={async (text) => {
            const table = await readFileApart<TableRead>((service) => service.orderTable(text));
            if (!table.ok) return table.reason;
            setPasting(false);
            setFile({ name: 'what was pasted', text, table });
            return undefined;
          }}
          onClose={() => setPasting(false)}
        />
      ) : null}
    </View>
  );
}
