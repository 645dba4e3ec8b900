import { useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import {
  MOST_DEBTS,
  MOST_PROMISED,
  personSchema,
  type Person,
  type PersonDebt,
  type Shot,
} from '@/records/brief';
import { withEntry } from '@/records/edit-brief';
import { newId } from '@/records/new-id';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { LARGEST_TABLE_BYTES, type TableRead } from '@/formats/table';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { chooseFile } from '@/ui/files';
import { Picker } from '@/ui/Picker';
import { useToast } from '@/ui/Toast';
import { RosterSheet } from './RosterSheet';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { personInWords } from '@/features/shoot/brief-words';
import { useRemoveEntry } from './use-remove-entry';

/** People and animals to find, and what they are known by. */
export function People() {
  const { people, shots } = useShown('shoot').shoot;
  const [edited, setEdited] = useState<Person>();
  const [roster, setRoster] = useState<{ name: string; table: TableRead }>();
  const reading = useReading();
  const say = useToast();
  const open = async () => {
    const chosen = await chooseFile('.csv,.tsv,.txt,text/csv');
    if (!chosen) return;
    const read = await reading.read(chosen, LARGEST_TABLE_BYTES, async (service, file) =>
      service.table(await service.text(new Uint8Array(await file.arrayBuffer()))),
    );
    if (read.ok) setRoster({ name: chosen.name, table: read.value });
    else if (read.reason) say({ text: `“${chosen.name}” could not be read: ${read.reason}` });
  };
  return (
    <View role="region" aria-label="Who to find" className="gap-2">
      <View role="list" aria-label="People and animals">
        {people.map((person) => (
          <RowButton
            key={person.id}
            name={person.name}
            detail={[
              person.client,
              person.scratched ? 'scratched' : debtInWords(person, shots),
              personInWords(person),
              person.habits,
            ]
              .filter(Boolean)
              .join('. ')}
            onPress={() => setEdited(person)}
          />
        ))}
      </View>
      <Button
        label="Add someone to find"
        disabled={people.length >= MOST_PROMISED}
        onPress={() => setEdited({ id: newId(), name: '' })}
      />
      <Button label="Bring in a roster" onPress={() => void open()} />
      <ReadingNow reading={reading} />
      {roster ? (
        <RosterSheet {...roster} key={roster.name} onClose={() => setRoster(undefined)} />
      ) : null}
      {edited ? (
        <PersonSheet
          key={edited.id}
          person={edited}
          fresh={!people.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}

/** "2 owed: 1 of Sprint finish, 1 of any shot." */
function debtInWords({ owed = [] }: Person, shots: readonly Shot[]): string {
  const sum = owed.reduce((total, { keepers }) => total + keepers, 0);
  if (sum === 0) return '';
  const nameOf = (id: string | undefined) => shots.find((shot) => shot.id === id)?.name;
  const only = owed.length === 1 ? nameOf(owed[0]?.shotId) : undefined;
  return owed.length === 1
    ? `${sum} owed${only ? ` of ${only}` : ''}`
    : `${sum} owed: ${owed.map(({ keepers, shotId }) => `${keepers} of ${nameOf(shotId) ?? 'any shot'}`).join(', ')}`;
}

const NOT_SAID = 'none';
const SIDES = [
  { value: NOT_SAID, label: 'Not said' },
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'both', label: 'Both' },
] as const;
const SIDED = [
  { key: 'breathes', label: 'Breathes to' },
  { key: 'foot', label: 'Foot' },
  { key: 'hand', label: 'Hand' },
] as const;
const WRITTEN = [
  { key: 'client', label: 'School, club or client', most: 80 },
  { key: 'number', label: 'Number', most: 12 },
  { key: 'cap', label: 'Cap or kit', most: 40 },
  { key: 'habits', label: 'Habits', most: 300 },
] as const;
const STARTS = [
  { value: 'in', label: 'Starts' },
  { value: 'out', label: 'Scratched' },
] as const;
const NO_LANE = -1;

/** A person without what is empty: nothing said is nothing kept. */
function said(draft: Person): Person {
  return Object.fromEntries(
    Object.entries(draft).filter(([, value]) => value !== '' && value !== undefined),
  ) as Person;
}

function PersonSheet({
  person,
  fresh,
  onClose,
}: {
  readonly person: Person;
  readonly fresh: boolean;
  readonly onClose: () => void;
}) {
  const { update } = useEdits();
  const removeEntry = useRemoveEntry();
  const [draft, setDraft] = useState(person);
  const [left, setLeft] = useState(false);
  const nameless = draft.name.trim() === '';
  const set = (next: Partial<Person>) => setDraft((now) => ({ ...now, ...next }));
  const without = (key: keyof Person) => {
    const { [key]: _gone, ...rest } = draft;
    setDraft(rest as Person);
  };
  const save = () => {
    setLeft(true);
    const checked = personSchema.safeParse(said(draft));
    if (!checked.success) return;
    update((current) => withEntry(current, 'people', checked.data));
    onClose();
  };
  const lane = draft.lane ?? NO_LANE;
  return (
    <Sheet title={fresh ? 'Someone to find' : person.name} open onClose={onClose}>
      <Field
        label="Name, or what to call them"
        value={draft.name}
        maxLength={80}
        onChangeText={(name) => set({ name })}
        error={left && nameless ? 'give a name, such as “Keeper, home”' : undefined}
      />
      {WRITTEN.map(({ key, label, most }) => (
        <Field
          key={key}
          label={label}
          value={draft[key] ?? ''}
          maxLength={most}
          onChangeText={(written) => set({ [key]: written })}
        />
      ))}
      <Stepper
        label="Lane"
        value={lane}
        min={NO_LANE}
        max={20}
        valueText={lane === NO_LANE ? 'none' : String(lane)}
        onStep={(clicks) =>
          lane + clicks === NO_LANE ? without('lane') : set({ lane: lane + clicks })
        }
      />
      {SIDED.map(({ key, label }) => (
        <Choice
          key={key}
          label={label}
          value={draft[key] ?? NOT_SAID}
          options={SIDES}
          onChange={(side) => (side === NOT_SAID ? without(key) : set({ [key]: side }))}
        />
      ))}
      <Owed
        owed={draft.owed ?? []}
        onChange={(owed) => (owed.length > 0 ? set({ owed }) : without('owed'))}
      />
      {fresh ? null : (
        <Choice
          label="On the day"
          value={draft.scratched ? 'out' : 'in'}
          options={STARTS}
          onChange={(starts) =>
            starts === 'out' ? set({ scratched: true }) : without('scratched')
          }
        />
      )}
      <Button label={fresh ? 'Add them' : 'Save'} kind="primary" onPress={save} />
      {fresh ? null : (
        <Button
          label="Take them away"
          onPress={() => {
            removeEntry('people', person);
            onClose();
          }}
        />
      )}
      <Text kind="small" ink="quiet">
        Names of children only where the club and their parents agree.
      </Text>
    </Sheet>
  );
}

const ANY_SHOT = 'any';

/** How many pictures are owed of someone, and of which shots. */
function Owed({
  owed,
  onChange,
}: {
  readonly owed: readonly PersonDebt[];
  readonly onChange: (owed: PersonDebt[]) => void;
}) {
  const { shots } = useShown('shoot').shoot;
  const rows = owed.length > 0 ? owed : [{ keepers: 0 }];
  const put = (at: number, debt: PersonDebt) =>
    onChange(rows.map((row, i) => (i === at ? debt : row)).filter(({ keepers }) => keepers > 0));
  return (
    <View role="group" aria-label="Pictures owed" className="gap-2">
      {rows.map((debt, i) => (
        // A debt has no id of its own: it is its place among them.
        <View key={i} className="gap-2">
          <Stepper
            label={i === 0 ? 'Pictures owed' : 'And of another shot'}
            value={debt.keepers}
            min={0}
            max={100}
            valueText={debt.keepers === 0 ? 'none: only to be found' : String(debt.keepers)}
            onStep={(clicks) => put(i, { ...debt, keepers: debt.keepers + clicks })}
          />
          {debt.keepers > 0 && shots.length > 0 ? (
            <Picker
              label="Of which shot"
              value={debt.shotId ?? ANY_SHOT}
              options={[
                { value: ANY_SHOT, label: 'Any' },
                ...shots.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(shotId) =>
                put(i, { keepers: debt.keepers, ...(shotId !== ANY_SHOT && { shotId }) })
              }
            />
          ) : null}
        </View>
      ))}
      {owed.length > 0 && owed.length < Math.min(MOST_DEBTS, shots.length) ? (
        <Button
          label="Owe another shot too"
          onPress={() => {
            const free = shots.find(({ id }) => owed.every(({ shotId }) => shotId !== id));
            onChange([...owed, { keepers: 1, ...(free && { shotId: free.id }) }]);
          }}
        />
      ) : null}
    </View>
  );
}
