import { useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { useDay } from '@/features/shoot/use-day';
import { clockMinutes } from '@/formats/written-time';
import { minutesOn } from '@/records/edit-events';
import {
  asShooter,
  withoutShooter,
  withShooter,
  withShooterChanged,
} from '@/records/edit-shooters';
import { lensOf } from '@/records/kit';
import { newId } from '@/records/new-id';
import { MOST_SHOOTERS, type Shooter } from '@/records/shooter';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Picker } from '@/ui/Picker';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';

const ANYWHERE = 'anywhere';

/** Whose day of several is looked at. */
export function WhoseDay() {
  const { shoot } = useShown('shoot');
  const { whose } = useDay();
  if (!whose.id) return null;
  return (
    <Choice
      label="Whose day"
      value={whose.id}
      options={shoot.shooters.map(({ id, name }) => ({ value: id, label: name }))}
      onChange={whose.choose}
    />
  );
}

/** "On this phone. From 10:00, at Bank." */
function shooterInWords(
  { id, fromLocal, atPositionId, kit }: Shooter,
  { choice, positions, kit: own }: Pick<Shoot, 'choice' | 'positions' | 'kit'>,
): string {
  const at = positions.find((entry) => entry.id === atPositionId)?.name;
  const comes = [fromLocal ? `from ${fromLocal.slice(11)}` : '', at ? `at ${at}` : '']
    .filter(Boolean)
    .join(', ');
  return [
    id === choice.shooterId ? 'The bag and settings of this phone' : lensOf(kit ?? own).name,
    comes,
  ]
    .filter(Boolean)
    .join('; ');
}

/** Who shoots the day together: each with a bag, a start and a day of their own. */
export function WhoShoots() {
  const { shoot } = useShown('shoot');
  const [adding, setAdding] = useState(false);
  const [editedId, setEditedId] = useState<string>();
  const { shooters } = shoot;
  const edited = shooters.find(({ id }) => id === editedId);
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        Who shoots
      </Heading>
      {shooters.length === 0 ? (
        <Text kind="small" ink="quiet">
          You alone. With a second shooter the day is planned for both at once: who shoots what,
          from where, and each has a day, a calendar and a sheet of their own.
        </Text>
      ) : (
        <View role="list" aria-label="Who shoots">
          {shooters.map((shooter) => (
            <RowButton
              key={shooter.id}
              name={shooter.name}
              detail={shooterInWords(shooter, shoot)}
              onPress={() => setEditedId(shooter.id)}
            />
          ))}
        </View>
      )}
      <Button
        label="Add a shooter"
        disabled={shooters.length >= MOST_SHOOTERS}
        onPress={() => setAdding(true)}
      />
      {adding ? <AddShooter onClose={() => setAdding(false)} /> : null}
      {edited ? (
        <ShooterSheet key={edited.id} shooter={edited} onClose={() => setEditedId(undefined)} />
      ) : null}
    </View>
  );
}

function AddShooter({ onClose }: { readonly onClose: () => void }) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const first = shoot.shooters.length === 0;
  const [own, setOwn] = useState('');
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState(false);
  const lacks = (written: string) => trouble && written.trim() === '';
  const add = () => {
    if (name.trim() === '' || (first && own.trim() === '')) {
      setTrouble(true);
      return;
    }
    update((current) => withShooter(current, { own: own.trim(), name: name.trim() }, newId));
    onClose();
  };
  return (
    <Sheet title="Add a shooter" open onClose={onClose}>
      {first ? (
        <Field
          label="Your name"
          value={own}
          maxLength={40}
          onChangeText={setOwn}
          error={lacks(own) ? 'a name, so that each knows their own day' : undefined}
        />
      ) : null}
      <Field
        label="Their name"
        value={name}
        maxLength={40}
        onChangeText={setName}
        error={lacks(name) ? 'a name, so that each knows their own day' : undefined}
      />
      <Text kind="small" ink="quiet">
        Their bag begins as a copy of yours. Switch this phone to them to change it in Kit.
      </Text>
      <Button label="Add to the day" kind="primary" onPress={add} />
    </Sheet>
  );
}

function ShooterSheet({
  shooter,
  onClose,
}: {
  readonly shooter: Shooter;
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const { update, undo } = useEdits();
  const { whose } = useDay();
  const say = useToast();
  const { id, name, fromLocal, atPositionId } = shooter;
  const [from, setFrom] = useState(fromLocal?.slice(11) ?? '');
  const own = id === shoot.choice.shooterId;
  const set = (how: (shooter: Shooter) => Shooter, step?: string) =>
    update((current) => withShooterChanged(current, id, how), step);
  const minutes = clockMinutes(from);
  const fromWrong = from.trim() !== '' && minutes === undefined;
  return (
    <Sheet title={name} open onClose={onClose}>
      <Field
        label="Name"
        value={name}
        maxLength={40}
        onChangeText={(next) => {
          if (next.trim()) set((current) => ({ ...current, name: next }), `shooter ${id}`);
        }}
      />
      <Field
        label="On the ground from"
        hint="Empty: from the start"
        value={from}
        onChangeText={(next) => {
          setFrom(next);
          const at = clockMinutes(next);
          if (at === undefined && next.trim() !== '') return;
          set(
            ({ fromLocal: _was, ...current }) => ({
              ...current,
              ...(at !== undefined && {
                fromLocal: minutesOn(`${shoot.startLocal.slice(0, 10)}T00:00`, at),
              }),
            }),
            `shooter ${id}`,
          );
        }}
        error={fromWrong ? 'a time such as 14:30 or 2.30 pm' : undefined}
      />
      <Picker
        label="Comes to"
        value={atPositionId ?? ANYWHERE}
        options={[
          { value: ANYWHERE, label: 'Wherever the day begins best' },
          ...shoot.positions.map((entry) => ({ value: entry.id, label: entry.name })),
        ]}
        onChange={(at) =>
          set(({ atPositionId: _was, ...current }) => ({
            ...current,
            ...(at !== ANYWHERE && { atPositionId: at }),
          }))
        }
      />
      {own ? null : (
        <View className="gap-1">
          <Button
            label={`Switch this phone to ${name}`}
            onPress={() => {
              update((current) => asShooter(current, id));
              whose.choose(id);
              say({
                text: `Kit, Settings and Field are ${name}’s now`,
                action: { label: 'Undo', onPress: undo },
              });
              onClose();
            }}
          />
          <Text kind="small" ink="quiet">
            {`Kit, Settings, Day and Field are ${name}’s then: on ${name}’s own phone, or to change their bag.`}
          </Text>
        </View>
      )}
      <Button
        label={`Take ${name} off the day`}
        onPress={() => {
          update((current) => withoutShooter(current, id));
          say({ text: `${name} is off the day`, action: { label: 'Undo', onPress: undo } });
          onClose();
        }}
      />
    </Sheet>
  );
}
