import { useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { MOST_PROMISED, personSchema, type Person } from '@/records/brief';
import { withEntry } from '@/records/edit-brief';
import { newId } from '@/records/new-id';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { personInWords } from '@/features/shoot/brief-words';
import { useRemoveEntry } from './use-remove-entry';

/** People and animals to find, and what they are known by. */
export function People() {
  const { people } = useShown('shoot').shoot;
  const [edited, setEdited] = useState<Person>();
  return (
    <View role="region" aria-label="Who to find" className="gap-2">
      <View role="list" aria-label="People and animals">
        {people.map((person) => (
          <RowButton
            key={person.id}
            name={person.name}
            detail={[personInWords(person), person.habits].filter(Boolean).join('. ')}
            onPress={() => setEdited(person)}
          />
        ))}
      </View>
      <Button
        label="Add someone to find"
        disabled={people.length >= MOST_PROMISED}
        onPress={() => setEdited({ id: newId(), name: '' })}
      />
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
  { key: 'number', label: 'Number', most: 12 },
  { key: 'cap', label: 'Cap or kit', most: 40 },
  { key: 'habits', label: 'Habits', most: 300 },
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
