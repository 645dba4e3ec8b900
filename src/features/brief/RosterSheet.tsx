import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { groups } from 'd3-array';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { inALine } from '@/records/day-said';
import { readRoster, type RosterPerson } from '@/formats/roster';
import type { TableRead } from '@/formats/table';
import { MOST_PROMISED } from '@/records/brief';
import { knownAmong, withListed, type ListedPerson } from '@/records/edit-people';
import { newId } from '@/records/new-id';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';

const MOST_SHOWN = 6;

/** A roster before anyone of it is taken: who is new, who is known, and how many pictures are owed of each. */
export function RosterSheet({
  name,
  table,
  onClose,
}: {
  readonly name: string;
  readonly table: TableRead;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title={`Bring in ${name}`} open onClose={onClose}>
      {table.ok ? (
        <Ready table={table.table} onClose={onClose} />
      ) : (
        <Text role="alert">{`Nothing was brought in: ${table.reason}.`}</Text>
      )}
    </Sheet>
  );
}

function Ready({
  table,
  onClose,
}: {
  readonly table: Extract<TableRead, { ok: true }>['table'];
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const [each, setEach] = useState(1);
  const { people, problems, read, left } = useMemo(() => readRoster(table), [table]);
  const listed = useMemo(
    () =>
      people.map(({ keepers = each, ...person }: RosterPerson): ListedPerson => ({
        ...person,
        ...(keepers > 0 && { owed: [{ keepers }] }),
      })),
    [people, each],
  );
  const known = knownAmong(shoot.people, listed).size;
  const fresh = listed.length - known;
  const tooMany = shoot.people.length + fresh > MOST_PROMISED;
  const says = people.some(({ keepers }) => keepers !== undefined);
  const who = `${listed.length} ${listed.length === 1 ? 'person' : 'people'}`;
  return (
    <>
      <Text kind="strong">{`${who}: ${fresh} new, ${known} known already.`}</Text>
      <Text kind="small" ink="quiet">
        {`Read: ${inALine(read)}.${left.length > 0 ? ` Left: ${inALine(left)}.` : ''}`}
      </Text>
      <View role="list" aria-label="Of the roster">
        {groups(listed, ({ client }) => client ?? '').map(([client, theirs]) => (
          <Text key={client} kind="small" role="listitem">
            {client ? <Text kind="label">{`${client}: `}</Text> : null}
            {theirs.map((person) => person.name).join(' · ')}
          </Text>
        ))}
      </View>
      {problems.length > 0 ? (
        <View role="alert" className="gap-1">
          <Text kind="strong">
            {`${problems.length} ${problems.length === 1 ? 'row' : 'rows'} can’t be read:`}
          </Text>
          {problems.slice(0, MOST_SHOWN).map(({ line, reason }) => (
            <Text key={line}>{`Row ${line}: ${reason}.`}</Text>
          ))}
        </View>
      ) : null}
      {says ? null : (
        <Stepper
          label="Pictures owed of each"
          value={each}
          min={0}
          max={20}
          valueText={each === 0 ? 'none: only to be found' : String(each)}
          onStep={(clicks) => setEach((now) => now + clicks)}
        />
      )}
      {tooMany ? (
        <Text role="alert">{`A shoot holds at most ${MOST_PROMISED} people: take some out of the roster.`}</Text>
      ) : null}
      <Button
        label={`Bring in ${who}${problems.length > 0 ? `, without ${problems.length}` : ''}`}
        kind="primary"
        disabled={tooMany || listed.length === 0}
        onPress={() => {
          update((current) => withListed(current, listed, newId));
          say({
            text: `${fresh} added${known > 0 ? `, ${known} brought up to date` : ''}`,
            action: { label: 'Undo', onPress: undo },
          });
          onClose();
        }}
      />
      <Text kind="small" ink="quiet">
        Names of children only where the club and their parents agree.
      </Text>
    </>
  );
}
