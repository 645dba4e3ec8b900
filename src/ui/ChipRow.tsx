import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import type { Option } from './Choice';
import { radioKeys } from './keys';
import { Text } from './Text';

/** One of several by a single press, however long the row: it scrolls under the thumb. */
export function ChipRow<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T | undefined;
  readonly onChange: (value: T) => void;
}) {
  const row = useRef<ScrollView>(null);
  const starts = useRef(new Map<string, number>());
  const at = options.findIndex((option) => option.value === value);
  useEffect(() => {
    const x = value === undefined ? undefined : starts.current.get(value);
    if (x !== undefined) row.current?.scrollTo({ x: Math.max(0, x - 40), animated: false });
  }, [value]);
  return (
    <View className="flex-row items-center border-b border-line">
      <Text kind="tiny" ink="quiet" className="w-[46px]" aria-hidden>
        {label}
      </Text>
      <ScrollView
        ref={row}
        horizontal
        showsHorizontalScrollIndicator={false}
        className="flex-1"
        contentContainerClassName="flex-row"
        role="radiogroup"
        aria-label={label}
        {...radioKeys(options, value, onChange)}
      >
        {options.map((option, i) => {
          const taken = option.value === value;
          return (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={taken}
              aria-label={option.label}
              tabIndex={taken || (at < 0 && i === 0) ? 0 : -1}
              onPress={() => onChange(option.value)}
              onLayout={({ nativeEvent }) => {
                starts.current.set(option.value, nativeEvent.layout.x);
                if (taken) {
                  const x = Math.max(0, nativeEvent.layout.x - 40);
                  row.current?.scrollTo({ x, animated: false });
                }
              }}
              className={`min-h-touch min-w-touch items-center justify-center px-3 ${taken ? 'border-b-4 border-signal pt-1' : ''}`}
            >
              <Text kind={taken ? 'strong' : 'body'}>{option.label}</Text>
            </Pressable>
          );
        })}
      </ScrollView>
    </View>
  );
}
