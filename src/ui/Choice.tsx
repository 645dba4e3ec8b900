import { useId } from 'react';
import { Pressable, View } from 'react-native';
import { radioKeys } from './keys';
import { Text } from './Text';

export interface Option<T> {
  readonly value: T;
  readonly label: string;
}

/** A few alternatives side by side, one of them taken. Arrow keys go through them. */
export function Choice<T extends string | number>({
  label,
  options,
  value,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}) {
  const labelId = useId();
  const at = options.findIndex((option) => option.value === value);
  return (
    <View className="gap-1">
      <Text kind="label" ink="quiet" nativeID={labelId}>
        {label}
      </Text>
      <View
        role="radiogroup"
        aria-labelledby={labelId}
        className="flex-row flex-wrap border border-ink"
        {...radioKeys(options, value, onChange)}
      >
        {options.map((option, i) => {
          const taken = option.value === value;
          return (
            <Pressable
              key={String(option.value)}
              role="radio"
              aria-checked={taken}
              aria-label={option.label}
              tabIndex={taken || (at < 0 && i === 0) ? 0 : -1}
              onPress={() => onChange(option.value)}
              className={`min-h-touch min-w-fit flex-1 items-center justify-center px-1 ${i > 0 ? 'border-l border-ink' : ''} ${taken ? 'bg-ink' : ''}`}
            >
              <Text kind="label" className={`text-center ${taken ? 'text-paper' : ''}`}>
                {option.label}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
