import type { ReactNode } from 'react';
import { View } from 'react-native';
import { PlatformPicker } from '@/ui/PlatformPicker';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { dayOf } from '@/records/day-said';
import { hoursRead, lastDayInWords } from '@/features/shoot/brief-form';
import { clockMinutes } from '@/formats/written-time';
import { minutesOfDay } from '@/records/times';
import {
  dayChoices,
  hoursFor,
  nowAt,
  startingAt,
  sunTimes,
  type Draft,
  type DraftProblems,
} from './new-draft';
import {
  clockInFigures,
  clockRead,
  clockWritten,
  dayInFigures,
  dayRead,
} from '@/formats/when-written';

const MOST_WEEKS = 26;

/** The hours in words, under them: what was understood. */
function understood({ day, start, end }: Draft, todayIso: string): string | undefined {
  const hours = hoursRead({ date: day, start, end }, todayIso);
  if (!hours) return undefined;
  const clock = (time: string) => clockInFigures(minutesOfDay(`${hours.date}T${time}`));
  const last = lastDayInWords({ ...hours, moreDays: 0 });
  return `${dayOf(`${hours.date}T${hours.start}`)}, ${clock(hours.start)} to ${clock(hours.end)}.${last ? ` ${last}` : ''}`;
}

/** When it is: a day by one press or written, hours by the clock or by the sun, once or weekly. */
export function WhenFields({
  draft,
  problems,
  nowMs,
  onChange,
  children,
}: {
  readonly draft: Draft;
  readonly problems: DraftProblems;
  readonly nowMs: number;
  readonly onChange: (change: Partial<Draft>) => void;
  /** What the hours ask for. */
  readonly children?: ReactNode;
}) {
  const { date: todayIso } = nowAt(draft.place, nowMs);
  const day = dayRead(draft.day, todayIso);
  const date = 'value' in day ? day.value : undefined;
  const sun = draft.place && date ? sunTimes(draft.place, date) : [];
  const said = understood(draft, todayIso);
  const clock = (which: 'start' | 'end') => {
    const read = clockRead(draft[which], which);
    return 'value' in read ? clockWritten(read.value) : '';
  };
  return (
    <View className="gap-3">
      <View role="group" aria-label="Day" className="flex-row flex-wrap gap-2">
        {dayChoices(draft.place, nowMs).map(({ id, name }) => (
          <View key={id} className="grow">
            <Button label={name} onPress={() => onChange(hoursFor(id, draft, nowMs))} />
          </View>
        ))}
      </View>
      <Field
        label="Date"
        value={draft.day}
        error={problems.day}
        placeholder={dayInFigures(todayIso)}
        onChangeText={(text) => onChange({ day: text })}
        trailing={
          <PlatformPicker
            kind="date"
            label="Choose the date"
            value={date ?? ''}
            onPick={(picked) => onChange({ day: dayInFigures(picked) })}
          />
        }
      />
      <View className="flex-row justify-between gap-3">
        {(['start', 'end'] as const).map((which) => (
          <View key={which} className="min-w-0 flex-1">
            <Field
              label={which === 'start' ? 'Start' : 'End'}
              value={draft[which]}
              error={problems[which]}
              onChangeText={(text) => onChange({ [which]: text })}
              trailing={
                <PlatformPicker
                  kind="time"
                  label={`Choose the ${which}`}
                  value={clock(which)}
                  onPick={(picked) =>
                    onChange({ [which]: clockInFigures(clockMinutes(picked) ?? 0) })
                  }
                />
              }
            />
          </View>
        ))}
      </View>
      {said ? (
        <Text kind="small" aria-live="polite">
          {said}
        </Text>
      ) : null}
      {children}
      {sun.length > 0 ? (
        <View role="group" aria-label="Start by the sun" className="gap-1">
          <Text kind="label" ink="quiet">
            Start by the sun
          </Text>
          <View className="flex-row flex-wrap gap-2">
            {sun.map(({ name, minutes }) => (
              <Button
                key={name}
                label={`${name} ${clockInFigures(minutes)}`}
                onPress={() => onChange(startingAt(minutes, draft))}
              />
            ))}
          </View>
        </View>
      ) : null}
      {draft.place && date && sun.length < 2 ? (
        <Text kind="small" ink="quiet">
          The sun neither rises nor sets there that day.
        </Text>
      ) : null}
      <Stepper
        label="Weekly"
        value={draft.weeks}
        valueText={draft.weeks === 1 ? 'Once' : `${draft.weeks} weeks running`}
        min={1}
        max={MOST_WEEKS}
        onStep={(clicks) => onChange({ weeks: draft.weeks + clicks })}
      />
    </View>
  );
}
