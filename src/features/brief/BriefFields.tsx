import { zodResolver } from '@hookform/resolvers/zod';
import {
  Controller,
  useForm,
  useFormState,
  useWatch,
  type Control,
  type UseFormReturn,
} from 'react-hook-form';
import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Text } from '@/ui/Text';
import {
  briefFormSchema,
  lastDayInWords,
  zoneWritten,
  type BriefForm,
} from '@/features/shoot/brief-form';
import { Picked } from './Picked';
import { pointInWords, underPlace } from './point-words';
import { numberWritten } from '@/ui/numbers';
import { WhereField } from './WhereField';

const FIELDS: readonly {
  readonly name: 'title' | 'bearing' | 'date' | 'start' | 'end';
  readonly label: string;
  readonly hint?: string;
  readonly half?: boolean;
}[] = [
  { name: 'title', label: 'Title' },
  { name: 'bearing', label: 'True bearing of the long axis', hint: 'Degrees from north, 0 to 359' },
  { name: 'date', label: 'Date' },
  { name: 'start', label: 'Start', hint: 'Clock of the place', half: true },
  { name: 'end', label: 'End', hint: 'Clock of the place', half: true },
];

/** The place it is at, by its name, and the way to another. */
function PlaceOf({ control, setValue }: Pick<UseFormReturn<BriefForm>, 'control' | 'setValue'>) {
  const [placeName, latitude, longitude] = useWatch({
    control,
    name: ['placeName', 'latitude', 'longitude'],
  });
  const { errors } = useFormState({ control, name: ['latitude', 'longitude'] });
  const take = (name: string, latitudeText: string, longitudeText: string) => {
    setValue('placeName', name.slice(0, 120));
    const checked = { shouldValidate: latitudeText !== '' };
    setValue('latitude', latitudeText, checked);
    setValue('longitude', longitudeText, checked);
  };
  if (!zoneWritten(latitude, longitude)) {
    return (
      <WhereField
        error={errors.latitude ? 'the place is missing' : undefined}
        onPick={({ name, latitudeDeg, longitudeDeg }) =>
          take(name, String(latitudeDeg), String(longitudeDeg))
        }
      />
    );
  }
  const at = [numberWritten(latitude), numberWritten(longitude)] as const;
  const name = placeName || pointInWords(...at);
  return (
    <Picked
      name={name}
      detail={underPlace(name, ...at)}
      what="the place"
      onChange={() => take('', '', '')}
    />
  );
}

function Zone({ control }: { readonly control: Control<BriefForm> }) {
  const [latitude, longitude, date, start, end, moreDays] = useWatch({
    control,
    name: ['latitude', 'longitude', 'date', 'start', 'end', 'moreDays'],
  });
  const zone = zoneWritten(latitude, longitude);
  const lastDay = lastDayInWords({ date, start, end, moreDays });
  return (
    <Text kind="small" ink="quiet" aria-live="polite">
      {`${lastDay ? `${lastDay} ` : ''}${zone ? `Times are those of ${zone}.` : 'The time zone follows from the place.'}`}
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
  const { control, handleSubmit, setValue } = useForm<BriefForm>({
    defaultValues: initial,
    resolver: zodResolver(briefFormSchema),
    mode: 'onTouched',
  });
  const save = handleSubmit(onSave);
  return (
    <View role="form" aria-label="Shoot" className="gap-3">
      <PlaceOf control={control} setValue={setValue} />
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
                  onChangeText={field.onChange}
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
