import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Trash from 'lucide-react-native/icons/trash';
import { evSaid } from '@/answers/heard';
import { NoteSheet } from '@/features/shoot/NoteSheet';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { writeLogJson, writeLogTable } from '@/formats/log-table';
import { fileStem } from '@/formats/shoot-json';
import {
  isLogFull,
  inOrder,
  withLogged,
  withoutLogged,
  withoutRehearsal,
} from '@/records/edit-log';
import { newId } from '@/records/new-id';
import type { Shoot } from '@/records/shoot';
import { localSecondOf } from '@/records/times';
import { Button, IconButton } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';
import { entryInWords, KIND_NAMES, logRows } from './log-rows';
import type { MatchedFrame } from '@/answers/matched';

interface Line {
  readonly id: string;
  readonly at: string;
  readonly kind: string;
  readonly what: string;
  readonly rehearsed: boolean;
  readonly without: (shoot: Shoot) => Shoot;
}

const linesOf = (shoot: Shoot): readonly Line[] =>
  [
    ...inOrder(shoot.log.entries).map((entry): Line => ({
      id: entry.id,
      at: entry.atLocal,
      kind: KIND_NAMES[entry.kind],
      what: entryInWords(shoot, entry),
      rehearsed: entry.rehearsed ?? false,
      without: (now) => withoutLogged(now, entry.id),
    })),
    ...shoot.readings.map((reading): Line => ({
      id: reading.id,
      at: `${reading.atLocal}:00`,
      kind: 'Reading',
      what: `EV ${evSaid(reading).toFixed(1)} at ${reading.name}`,
      rehearsed: reading.by === 'frame' && reading.simulated,
      without: (now) => ({
        ...now,
        readings: now.readings.filter(({ id }) => id !== reading.id),
      }),
    })),
  ].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

const SHOWN = 60;

/** What was logged, in order of time, and all of it as files. */
export function EntriesTab({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot, atMs, clock } = useShown('shoot', 'atMs', 'clock');
  const { update, undo } = useEdits();
  const say = useToast();
  const inks = useInks();
  const [shown, setShown] = useState(SHOWN);
  const [noting, setNoting] = useState(false);
  const lines = useMemo(() => linesOf(shoot), [shoot]);
  const rehearsed = lines.filter((line) => line.rehearsed).length;
  const stem = fileStem(shoot.title);
  const takeAway = (how: (now: Shoot) => Shoot, text: string) => {
    update(how);
    say({ text, action: { label: 'Undo', onPress: undo } });
  };
  return (
    <View className="gap-4">
      {lines.length === 0 ? (
        <Text>
          Nothing logged yet. In Field one press logs a keeper, a sighting, who it was or a note;
          what you photograph and measure comes to it here.
        </Text>
      ) : null}
      <View role="list" aria-label="Log entries">
        {lines.slice(0, shown).map((line) => (
          <View
            key={line.id}
            role="listitem"
            className="flex-row items-center gap-3 border-b border-line"
          >
            <Text kind="strong" className="w-[66px]">
              {line.at.slice(11)}
            </Text>
            <View className="min-w-0 flex-1 py-1">
              <Text>{line.what}</Text>
              <Text kind="tiny" ink="quiet">
                {line.kind}
                {line.rehearsed ? ', rehearsed' : ''}
              </Text>
            </View>
            <IconButton
              label={`Take away: ${line.kind} at ${line.at.slice(11)}`}
              onPress={() => takeAway(line.without, `${line.kind} taken away`)}
            >
              <Trash color={inks.quiet} size={20} />
            </IconButton>
          </View>
        ))}
      </View>
      {lines.length > shown ? (
        <Button
          label={`Show more of ${lines.length}`}
          onPress={() => setShown((now) => now + SHOWN)}
        />
      ) : null}
      <Button
        label={`Add a note at ${clock(atMs)}`}
        disabled={isLogFull(shoot)}
        onPress={() => setNoting(true)}
      />
      {rehearsed > 0 ? (
        <Button
          label={`Take away what was rehearsed (${rehearsed})`}
          onPress={() => takeAway(withoutRehearsal, 'The rehearsal is out of the log')}
        />
      ) : null}
      <NoteSheet
        open={noting}
        onClose={() => setNoting(false)}
        onKeep={(text) => {
          const { markId, positionId, shotId } = shoot.choice;
          update((current) =>
            withLogged(current, {
              id: newId(),
              kind: 'note',
              atLocal: localSecondOf(atMs, shoot.place.timeZone),
              markId,
              positionId,
              ...(shotId !== undefined && { shotId }),
              text,
            }),
          );
          setNoting(false);
        }}
      />
      <View className="gap-2">
        <Heading level={2} kind="figure">
          As files
        </Heading>
        <Button
          label="Save the log as a table"
          onPress={() =>
            downloadText(`${stem}-log.csv`, writeLogTable(logRows(shoot, frames)), 'text/csv')
          }
        />
        <Button
          label="Save the log as JSON"
          onPress={() =>
            downloadText(
              `${stem}-log.json`,
              writeLogJson(
                { shoot: shoot.title, timeZone: shoot.place.timeZone },
                logRows(shoot, frames),
              ),
              'application/json',
            )
          }
        />
      </View>
    </View>
  );
}
