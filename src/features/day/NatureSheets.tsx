import { useState } from 'react';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { clockMinutes, dateOf } from '@/formats/written-time';
import {
  MOST_WATER_M,
  natureTimeSchema,
  watchSchema,
  type NatureTime,
  type Watch,
} from '@/records/day';
import { minutesOn } from '@/records/edit-events';
import { firstProblem } from '@/records/parse';
import { MOST_PROMISED } from '@/records/brief';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { numberShown, numberWritten } from '@/ui/numbers';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { shownIn } from '@/ui/units';

const KINDS = [
  { value: 'highTide', label: 'High tide' },
  { value: 'lowTide', label: 'Low tide' },
  { value: 'feeding', label: 'Feeding' },
  { value: 'other', label: 'Other' },
] as const;

const A_TIME = 'a time such as 6:40 or 2.30 pm';
const onDate = (date: string, minutes: number): string => minutesOn(`${date}T00:00`, minutes);

/** Puts an entry in place of the one of its id, or at its place by the clock. */
const put = <T extends { readonly id: string }>(
  entries: readonly T[],
  entry: T,
  key: (entry: T) => string,
): T[] =>
  [...entries.filter(({ id }) => id !== entry.id), entry].sort((a, b) =>
    key(a) < key(b) ? -1 : 1,
  );

/** When the tide turns, when they are fed. */
export function NatureTimeSheet({
  time,
  fresh,
  onClose,
}: {
  readonly time: NatureTime;
  readonly fresh: boolean;
  readonly onClose: () => void;
}) {
  const plan = useShown('shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const metre = shownIn('m');
  const most = numberShown(MOST_WATER_M * metre.each, 0);
  const [draft, setDraft] = useState(time);
  const [clock, setClock] = useState(time.atLocal.slice(11));
  const [water, setWater] = useState(
    time.waterM === undefined ? '' : numberShown(time.waterM * metre.each, 2),
  );
  const [tried, setTried] = useState(false);
  const isTide = draft.kind === 'highTide' || draft.kind === 'lowTide';
  const waterM = isTide && water.trim() !== '' ? numberWritten(water) / metre.each : undefined;
  const minutes = clockMinutes(clock);
  const nameless = draft.name.trim() === '';
  const save = () => {
    setTried(true);
    if (minutes === undefined || nameless) return;
    const atLocal = onDate(time.atLocal.slice(0, 10), minutes);
    const { waterM: _before, ...rest } = draft;
    const checked = natureTimeSchema.safeParse({
      ...rest,
      atLocal,
      ...(waterM !== undefined && { waterM }),
    });
    if (!checked.success) return;
    update((current) => ({
      ...current,
      nature: put(current.nature, checked.data, ({ atLocal: at }) => at).slice(0, MOST_PROMISED),
    }));
    onClose();
  };
  return (
    <Sheet title={fresh ? 'Something by the clock' : time.name} open onClose={onClose}>
      <Choice
        label="What comes"
        value={draft.kind}
        options={KINDS}
        onChange={(kind) => setDraft((now) => ({ ...now, kind }))}
      />
      <Field
        label="What to call it"
        value={draft.name}
        maxLength={60}
        onChangeText={(name) => setDraft((now) => ({ ...now, name }))}
        error={tried && nameless ? 'give it a name, such as “Weir opened”' : undefined}
      />
      <Field
        label="At"
        value={clock}
        onChangeText={setClock}
        error={minutes === undefined ? A_TIME : undefined}
      />
      {isTide ? (
        <Field
          label={`Water over the lowest ground, ${metre.unit}`}
          value={water}
          onChangeText={setWater}
          error={
            waterM !== undefined && !(Math.abs(waterM) <= MOST_WATER_M)
              ? `a height from −${most} to ${most} ${metre.unit}, or nothing`
              : undefined
          }
        />
      ) : null}
      <Button label={fresh ? 'Add the time' : 'Save the time'} kind="primary" onPress={save} />
      {fresh ? null : (
        <Button
          label="Take it away"
          onPress={() => {
            update((current) => ({
              ...current,
              nature: current.nature.filter(({ id }) => id !== time.id),
            }));
            say({
              text: `Took away “${time.name}”`,
              action: { label: 'Undo', onPress: undo },
            });
            onClose();
          }}
        />
      )}
      <Text kind="small" ink="quiet">
        {`For ${plan.shoot.title}. Take tide times from your port’s own table.`}
      </Text>
    </Sheet>
  );
}

const timesIn = (text: string): readonly string[] =>
  text
    .split(/[\n,;]+/)
    .map((part) => part.trim())
    .filter(Boolean);

/** Hours in which a mark was watched, and when the visitor came. */
export function WatchSheet({
  watch,
  kept,
  elsewhere,
  onClose,
}: {
  readonly watch: Watch;
  readonly kept: boolean;
  /** It belongs to another shoot at the same place: looked at only. */
  readonly elsewhere: boolean;
  readonly onClose: () => void;
}) {
  const { update, undo } = useEdits();
  const say = useToast();
  const [date, setDate] = useState(watch.fromLocal.slice(0, 10));
  const [from, setFrom] = useState(watch.fromLocal.slice(11));
  const [to, setTo] = useState(watch.toLocal.slice(11));
  const [came, setCame] = useState(watch.visitsLocal.map((at) => at.slice(11)).join(', '));
  const [trouble, setTrouble] = useState<string>();
  const day = dateOf(date, 'dayFirst', Number(watch.fromLocal.slice(0, 4)));
  const [fromMin, toMin] = [clockMinutes(from), clockMinutes(to)];
  const visits = timesIn(came).map((text) => ({ text, minutes: clockMinutes(text) }));
  const wrong = visits.find(({ minutes }) => minutes === undefined);
  const save = () => {
    if (!day || fromMin === undefined || toMin === undefined || wrong) {
      setTrouble('what is marked');
      return;
    }
    const checked = watchSchema.safeParse({
      ...watch,
      fromLocal: onDate(day, fromMin),
      toLocal: onDate(day, toMin),
      visitsLocal: visits.map(({ minutes = 0 }) => onDate(day, minutes)).sort(),
    });
    if (!checked.success) {
      setTrouble(firstProblem(checked.error).replace(/^(?:toLocal|visitsLocal): /, ''));
      return;
    }
    update((current) => ({
      ...current,
      watches: put(current.watches, checked.data, ({ fromLocal }) => fromLocal).slice(
        0,
        MOST_PROMISED,
      ),
    }));
    onClose();
  };
  return (
    <Sheet title="Hours watched" open onClose={onClose}>
      <Field
        label="On"
        value={date}
        onChangeText={setDate}
        error={day ? undefined : 'a date such as 19/6/2027 or 19 June'}
      />
      <Field
        label="From"
        value={from}
        onChangeText={setFrom}
        error={fromMin === undefined ? A_TIME : undefined}
      />
      <Field
        label="To"
        value={to}
        onChangeText={setTo}
        error={toMin === undefined ? A_TIME : undefined}
      />
      <Field
        label="It came at"
        hint="Times with commas between them; none if it never came"
        value={came}
        multiline
        numberOfLines={3}
        onChangeText={setCame}
        error={wrong ? `“${wrong.text}” is no time; write 6:40` : undefined}
      />
      {trouble ? (
        <Text role="alert" ink="signal">{`Not saved yet. Change this: ${trouble}`}</Text>
      ) : null}
      {elsewhere ? (
        <Text>It was noted in another shoot at this place: change it there.</Text>
      ) : (
        <Button label="Save the watch" kind="primary" onPress={save} />
      )}
      {kept ? (
        <Button
          label="Take the watch away"
          onPress={() => {
            update((current) => ({
              ...current,
              watches: current.watches.filter(({ id }) => id !== watch.id),
            }));
            say({ text: 'Took the watch away', action: { label: 'Undo', onPress: undo } });
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}
