import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { briefSchema, FORBIDDABLE, type Brief } from '@/records/brief';
import { firstProblem } from '@/records/parse';
import { dayOf } from '@/records/day-said';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { FORBIDDEN_NAMES } from './brief-words';

const FILES = [
  { value: 'raw', label: 'Raw' },
  { value: 'jpeg', label: 'JPEG' },
  { value: 'both', label: 'Both' },
] as const;
const FILE_NAMES = { raw: 'raw files', jpeg: 'JPEG', both: 'raw and JPEG' } as const;

/** For whom, by when, with whose leave, and what is forbidden. */
export function Leave() {
  const { brief } = useShootPage().plan.shoot;
  const [open, setOpen] = useState(false);
  const { client, deadlineLocal, fileForm, access, forbidden } = brief;
  const due = deadlineLocal
    ? `by ${deadlineLocal.slice(11)} on ${dayOf(deadlineLocal)}`
    : 'no deadline set';
  return (
    <View role="region" aria-label="For whom, and with whose leave" className="gap-2">
      <Heading level={2} kind="figure">
        For whom, and with whose leave
      </Heading>
      <Text kind="strong">{client ?? 'Nobody named yet'}</Text>
      <Text kind="small">{`${FILE_NAMES[fileForm]}, ${due}`}</Text>
      <Text kind="small">
        {access ?? 'Nobody’s leave is noted. Ask who gives it, and where you may stand.'}
      </Text>
      {forbidden.length > 0 ? (
        <Text kind="strong">
          {`Forbidden: ${forbidden.map((what) => FORBIDDEN_NAMES[what].toLowerCase()).join(', ')}`}
        </Text>
      ) : null}
      <Button label="Change this" onPress={() => setOpen(true)} />
      {open ? <LeaveSheet brief={brief} onClose={() => setOpen(false)} /> : null}
    </View>
  );
}

function LeaveSheet({ brief, onClose }: { readonly brief: Brief; readonly onClose: () => void }) {
  const { update } = useShootPage();
  const [client, setClient] = useState(brief.client ?? '');
  const [date, setDate] = useState(brief.deadlineLocal?.slice(0, 10) ?? '');
  const [time, setTime] = useState(brief.deadlineLocal?.slice(11) ?? '');
  const [access, setAccess] = useState(brief.access ?? '');
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
    update((current) => ({ ...current, brief: checked.data }));
    onClose();
  };
  return (
    <Sheet title="For whom, and with whose leave" open onClose={onClose}>
      <Field label="For whom" value={client} maxLength={120} onChangeText={setClient} />
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
        label="Who gave leave, and where you may stand"
        value={access}
        maxLength={1000}
        multiline
        onChangeText={setAccess}
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
    </Sheet>
  );
}
