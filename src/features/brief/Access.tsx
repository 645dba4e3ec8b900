import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { briefSchema, FORBIDDABLE } from '@/records/brief';
import { firstProblem } from '@/records/parse';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Text } from '@/ui/Text';
import { FORBIDDEN_NAMES } from '@/features/shoot/brief-words';

const FILES = [
  { value: 'raw', label: 'Raw' },
  { value: 'jpeg', label: 'JPEG' },
  { value: 'both', label: 'Both' },
] as const;

/** The client and the deadline, who gave permission and where one may stand, and what is forbidden. */
export function Access({ onDone }: { readonly onDone: () => void }) {
  const plan = useShown('shoot');
  const { update } = useEdits();
  const { brief } = plan.shoot;
  const [client, setClient] = useState(brief.client ?? '');
  const [date, setDate] = useState(brief.deadlineLocal?.slice(0, 10) ?? '');
  const [time, setTime] = useState(brief.deadlineLocal?.slice(11) ?? '');
  const [access, setAccess] = useState(brief.access ?? '');
  const [vest, setVest] = useState(plan.shoot.ground.vest ?? '');
  const [fileForm, setFileForm] = useState(brief.fileForm);
  const [forbidden, setForbidden] = useState(brief.forbidden);
  const [problem, setProblem] = useState<string>();
  const save = () => {
    const checked = briefSchema.safeParse({
      ...(client.trim() && { client }),
      ...((date.trim() || time.trim()) && { deadlineLocal: `${date.trim()}T${time.trim()}` }),
      ...(access.trim() && { access }),
      fileForm,
      forbidden,
    });
    if (!checked.success) {
      setProblem(
        firstProblem(checked.error).replace('deadlineLocal:', 'the deadline: day and time'),
      );
      return;
    }
    update((current) => {
      const { vest: _before, ...ground } = current.ground;
      const by = vest.trim();
      return { ...current, brief: checked.data, ground: { ...ground, ...(by && { vest: by }) } };
    });
    onDone();
  };
  return (
    <View className="gap-3">
      <Field label="Client" value={client} maxLength={120} onChangeText={setClient} />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field label="Deadline, day" hint="Year-month-day" value={date} onChangeText={setDate} />
        </View>
        <View className="flex-1">
          <Field label="Deadline, time" hint="Local clock" value={time} onChangeText={setTime} />
        </View>
      </View>
      <Choice label="Files" value={fileForm} options={FILES} onChange={setFileForm} />
      <Field
        label="Who gave permission, and where you may stand"
        value={access}
        maxLength={1000}
        multiline
        onChangeText={setAccess}
      />
      <Field
        label="Vest: who lets you into the field of play"
        hint="A name or an office. Left empty, no place inside is planned"
        value={vest}
        maxLength={120}
        onChangeText={setVest}
      />
      <View role="group" aria-label="Forbidden here" className="gap-1">
        <Text kind="label" ink="quiet">
          Forbidden here
        </Text>
        {FORBIDDABLE.map((what) => {
          const on = forbidden.includes(what);
          return (
            <Pressable
              key={what}
              role="checkbox"
              aria-checked={on}
              onPress={() =>
                setForbidden(on ? forbidden.filter((one) => one !== what) : [...forbidden, what])
              }
              className="min-h-touch flex-row items-center gap-3 active:opacity-60"
            >
              <View className={`h-5 w-5 border-2 border-ink ${on ? 'bg-ink' : ''}`} />
              <Text>{FORBIDDEN_NAMES[what]}</Text>
            </Pressable>
          );
        })}
      </View>
      {problem ? (
        <Text role="alert" ink="signal">
          {`Change this: ${problem}`}
        </Text>
      ) : null}
      <Button label="Save" kind="primary" onPress={save} />
    </View>
  );
}
