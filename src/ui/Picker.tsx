import { useState } from 'react';
import { Pressable, View } from 'react-native';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { Option } from './Choice';
import { Sheet } from './Sheet';
import { Text } from './Text';
import { useInks } from './theme';

/** One of many: shows what is taken and opens the list in a sheet. */
export function Picker<T extends string>({
  label,
  options,
  value,
  large = false,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly value: T;
  /** A button for a gloved thumb, what is taken on it. */
  readonly large?: boolean;
  readonly onChange: (value: T) => void;
}) {
  const [open, setOpen] = useState(false);
  const inks = useInks();
  const taken = options.find((option) => option.value === value);
  return (
    <View>
      <Pressable
        role="button"
        onPress={() => setOpen(true)}
        className={`flex-row items-center justify-between active:opacity-60 ${large ? 'min-h-[56px] border border-ink px-2' : 'min-h-touch border-b border-line py-1'}`}
      >
        <View className="shrink">
          <Text kind={large ? 'tiny' : 'label'} ink="quiet">
            {label}
          </Text>
          <Text kind={large ? 'label' : 'strong'}>{taken?.label ?? 'None'}</Text>
        </View>
        {large ? (
          <ChevronDown color={inks.quiet} size={18} />
        ) : (
          <ChevronRight color={inks.quiet} size={22} />
        )}
      </Pressable>
      <Sheet title={label} open={open} onClose={() => setOpen(false)}>
        <View role="radiogroup" aria-label={label}>
          {options.map((option) => (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={option.value === value}
              onPress={() => {
                onChange(option.value);
                setOpen(false);
              }}
              className="min-h-touch flex-row items-center gap-3 border-b border-line active:opacity-60"
            >
              <View
                className={`h-4 w-4 rounded-full border-2 border-ink ${option.value === value ? 'bg-ink' : ''}`}
              />
              <Text kind={option.value === value ? 'strong' : 'body'}>{option.label}</Text>
            </Pressable>
          ))}
        </View>
      </Sheet>
    </View>
  );
}
