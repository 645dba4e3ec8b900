import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { readPoint } from '@/formats/coordinates';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Text } from '@/ui/Text';
import {
  briefFormSchema,
  lastDayInWords,
  zoneWritten,
  type BriefForm,
} from '@/features/shoot/brief-form';

const FIELDS: readonly {
  readonly name: Exclude<keyof BriefForm, 'template' | 'moreDays'>;
  readonly label: string;
  readonly hint?: string;
  readonly half?: boolean;
}[] = [
  { name: 'title', label: 'Title' },
  { name: 'latitude', label: 'Latitude', hint: 'Degrees; a pair can be pasted', half: true },
  { name: 'longitude', label: 'Longitude', hint: 'Degrees, east positive', half: true },
  { name: 'bearing', label: 'True bearing of the long axis', hint: 'Degrees from north, 0 to 359' },
  { name: 'date', label: 'Date' },
  { name: 'start', label: 'Start', hint: 'Clock of the place', half: true },
  { name: 'end', label: 'End', hint: 'Clock of the place', half: true },
];

function Zone({ control }: { readonly control: Control<BriefForm> }) {
  const [latitude, longitude, date, start, end, moreDays] = useWatch({
    control,
    name: ['latitude', 'longitude', 'date', 'start', 'end', 'moreDays'],
  });
  const zone = zoneWritten(latitude, longitude);
  const lastDay = lastDayInWords({ date, start, end, moreDays });
  return (
    <Text kind="small" ink="quiet" aria-live="polite">
      {`${lastDay ? `${lastDay} ` : ''}${zone ? `Times are those of ${zone}.` : 'The time zone follows from the coordinates.'}`}
    </Text>
  );
}

/** The form a shoot is changed by. */
export function BriefFields({
  initial,
  saveLabel,
  onSave,
}: {
  readonly initial: BriefForm;
  readonly saveLabel: string;
  readonly onSave: (form: BriefForm) => void;
}) {
  const { control, handleSubmit, setValue, getFieldState } = useForm<BriefForm>({
    defaultValues: initial,
    resolver: zodResolver(briefFormSchema),
    mode: 'onTouched',
  });
  const save = handleSubmit(onSave);
  /** A point in any form, put in either line, fills both. */
  const take = (name: (typeof FIELDS)[number]['name'], text: string) => {
    const point = name === 'latitude' || name === 'longitude' ? readPoint(text) : undefined;
    if (point?.kind !== 'point') {
      setValue(name, text, { shouldValidate: getFieldState(name).isTouched });
      return;
    }
    setValue('latitude', String(Number(point.latitudeDeg.toFixed(6))), { shouldValidate: true });
    setValue('longitude', String(Number(point.longitudeDeg.toFixed(6))), { shouldValidate: true });
  };
  return (
    <View role="form" aria-label="Shoot" className="gap-3">
      <View className="flex-row flex-wrap justify-between gap-y-3">
        {FIELDS.map(({ name, label, hint, half }) => (
          <View key={name} className={half ? 'w-[48%]' : 'w-full'}>
            <Controller
              control={control}
              name={name}
              render={({ field, fieldState }) => (
                <Field
                  label={label}
                  {...(hint && { hint })}
                  error={fieldState.error?.message}
                  value={field.value}
                  onChangeText={(text) => take(name, text)}
                  onBlur={field.onBlur}
                  onSubmitEditing={() => void save()}
                  ref={field.ref}
                />
              )}
            />
          </View>
        ))}
      </View>
      <Zone control={control} />
      <Button label={saveLabel} kind="primary" onPress={() => void save()} />
    </View>
  );
}
