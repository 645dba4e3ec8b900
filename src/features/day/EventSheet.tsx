import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { clockMinutes, durationMinutes } from '@/formats/written-time';
import { eventSchema, FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { minutesOn, startOf, withEvents, withoutEvent } from '@/records/edit-events';
import { firstProblem } from '@/records/parse';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import type { DayReply } from '@/workers/day-job';
import { qualityKey } from '@/workers/day-job';
import { windowNamed } from '@/presets/event-strands';
import { GoesOn } from './GoesOn';
import { CallSteppers } from './CallSteppers';
import { callTimes, lightTime, ownId, pictureKeyOf, pictureOf } from '@/answers/day-request';
import { entriesOf, entriesText } from '@/answers/entries';

const WORTHS = [
  { value: 'must', label: 'Must' },
  { value: 'should', label: 'Should' },
  { value: 'could', label: 'Could' },
] as const;
const TAKEN = [
  { value: 'in', label: 'Take it if it fits' },
  { value: 'out', label: 'Leave it out' },
  { value: 'off', label: 'It is off' },
] as const;
const NONE = 'none';

/** One event: when, who, what it is worth, from where. */
export function EventSheet({
  event,
  fresh,
  quality,
  onClose,
}: {
  readonly event: DayEventRecord;
  readonly fresh: boolean;
  readonly quality: DayReply['quality'] | undefined;
  readonly onClose: () => void;
}) {
  const { shoot, setup } = useShown('shoot', 'setup');
  const { update, undo } = useEdits();
  const say = useToast();
  const [draft, setDraft] = useState(event);
  const [clock, setClock] = useState(startOf(event).slice(11));
  const [lasts, setLasts] = useState(`${event.durationMin} min`);
  const [who, setWho] = useState(entriesText(event.entries));
  const [trouble, setTrouble] = useState<string>();
  const set = (next: Partial<DayEventRecord>) => setDraft((now) => ({ ...now, ...next }));
  const without = (key: keyof DayEventRecord) =>
    setDraft((now) => {
      const { [key]: _gone, ...rest } = now;
      return rest as DayEventRecord;
    });
  // What a name usually means stands until something else is chosen.
  const [chosen, setChosen] = useState(false);
  const guess = (name: string) => {
    const usual = windowNamed(name);
    if (usual) {
      set({ window: usual.window });
      setLasts(`${usual.durationMin} min`);
    } else if (draft.window) {
      without('window');
      setLasts(`${FIRST_EVENT.durationMin} min`);
    }
  };
  const minutes = clockMinutes(clock);
  const durationMin = durationMinutes(lasts);
  const nameless = draft.name.trim() === '';
  const save = () => {
    if (nameless || minutes === undefined || durationMin === undefined) {
      setTrouble('what is marked');
      return;
    }
    const day = startOf(event).slice(0, 10);
    const start = minutesOn(`${day}T00:00`, minutes);
    const checked = eventSchema.safeParse({
      ...draft,
      startLocal: minutesOn(start, -(draft.lateMin ?? 0)),
      durationMin,
      entries: entriesOf(who, shoot.people),
    });
    if (!checked.success) {
      setTrouble(firstProblem(checked.error));
      return;
    }
    update((current) => withEvents(current, [checked.data]));
    onClose();
  };
  const { startMs } = callTimes(event, shoot);
  const pictured = { ...setup, people: shoot.people };
  const where = pictureOf(pictured, draft);
  const picture = pictureKeyOf(pictured, draft);
  const calls = draft.calls ?? shoot.day.calls;
  const shooterId = draft.shooterId ?? ownId(shoot.choice);
  return (
    <Sheet title={fresh ? 'A new event' : 'Change the event'} open onClose={onClose}>
      <Field
        label="Event"
        value={draft.name}
        maxLength={120}
        onChangeText={(name) => {
          set({ name });
          if (fresh && !chosen) guess(name);
        }}
        error={trouble && nameless ? 'give it a name, such as “Junior single 500 m”' : undefined}
      />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field
            label="Starts at"
            value={clock}
            onChangeText={setClock}
            error={minutes === undefined ? 'a time such as 14:30 or 2.30 pm' : undefined}
          />
        </View>
        <View className="flex-1">
          <Field
            label="Takes"
            value={lasts}
            onChangeText={setLasts}
            error={durationMin === undefined ? 'a length such as 12 min or 1h30' : undefined}
          />
        </View>
      </View>
      <Field
        label="Heat or round"
        value={draft.heat ?? ''}
        maxLength={40}
        onChangeText={(heat) => (heat ? set({ heat }) : without('heat'))}
      />
      <Field
        label="Who is in it, one a line"
        hint="A lane after a comma: “Ash Lock, lane 3”"
        value={who}
        multiline
        numberOfLines={4}
        onChangeText={setWho}
      />
      <GoesOn
        window={draft.window}
        onChange={(window) => {
          setChosen(true);
          if (window) set({ window });
          else without('window');
        }}
      />
      <Choice
        label="Worth"
        value={draft.worth}
        options={WORTHS}
        onChange={(worth) => set({ worth })}
      />
      <Picker
        label="Promised shot"
        value={draft.shotId ?? NONE}
        options={[
          { value: NONE, label: 'None that was promised' },
          ...setup.shots.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(shotId) => (shotId === NONE ? without('shotId') : set({ shotId }))}
      />
      {draft.shotId ? null : (
        <Picker
          label="It happens at"
          value={draft.markId ?? setup.marks[0]?.id ?? ''}
          options={setup.marks.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(markId) => set({ markId })}
        />
      )}
      {where.by ? (
        <Text kind="small" ink="quiet">
          {`${where.by === 'side' ? 'By the side of who is in it' : 'By where it ends'}: ${
            setup.marks.find(({ id }) => id === where.markId)?.name ?? ''
          }.`}
        </Text>
      ) : null}
      <Picker
        label="Shoot it from"
        value={draft.pinnedTo ?? NONE}
        options={[
          { value: NONE, label: 'Wherever the day goes best' },
          ...setup.positions.map(({ id, name }) => {
            const lightMs = lightTime(draft, startMs);
            const score = quality?.[qualityKey({ picture, lightMs, positionId: id, shooterId })];
            const serves = score === undefined ? '' : `: ${Math.round(score * 100)} of 100`;
            return { value: id, label: `${name}${serves}` };
          }),
        ]}
        onChange={(pinnedTo) => (pinnedTo === NONE ? without('pinnedTo') : set({ pinnedTo }))}
      />
      {shoot.shooters.length > 0 ? (
        <Choice
          label="Who shoots it"
          value={draft.shooterId ?? NONE}
          options={[
            { value: NONE, label: 'Whoever suits' },
            ...shoot.shooters.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(who) => (who === NONE ? without('shooterId') : set({ shooterId: who }))}
        />
      ) : null}
      <Choice
        label="In the plan"
        value={draft.cancelled ? 'off' : draft.leftOut ? 'out' : 'in'}
        options={TAKEN}
        onChange={(taken) => {
          without('leftOut');
          without('cancelled');
          if (taken === 'out') set({ leftOut: true });
          if (taken === 'off') set({ cancelled: true });
        }}
      />
      {draft.window ? null : (
        <CallSteppers
          calls={calls}
          onStep={(key, clicks) => set({ calls: { ...calls, [key]: calls[key] + clicks } })}
        />
      )}
      {draft.calls ? (
        <Pressable
          role="button"
          onPress={() => without('calls')}
          className="min-h-touch justify-center"
        >
          <Text className="underline">Calls as for the whole day</Text>
        </Pressable>
      ) : null}
      {trouble ? (
        <Text role="alert" ink="signal">{`Not saved yet. Change this: ${trouble}`}</Text>
      ) : null}
      <View className="gap-2">
        <Button label={fresh ? 'Add the event' : 'Save the event'} kind="primary" onPress={save} />
        {fresh ? null : (
          <Button
            label="Take the event away"
            onPress={() => {
              update((current) => withoutEvent(current, event.id));
              say({
                text: `Took away “${event.name}”`,
                action: { label: 'Undo', onPress: undo },
              });
              onClose();
            }}
          />
        )}
      </View>
    </Sheet>
  );
}
