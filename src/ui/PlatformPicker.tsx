import { createElement, type ChangeEvent, type MouseEvent } from 'react';
import { View } from 'react-native';
import Calendar from 'lucide-react-native/icons/calendar';
import Clock from 'lucide-react-native/icons/clock';
import { useInks } from './theme';

const SIGN = { date: Calendar, time: Clock } as const;

/** Opens the platform's own calendar or clock; where it has none the field under it takes keys. */
export function PlatformPicker({
  kind,
  label,
  value,
  onPick,
}: {
  readonly kind: 'date' | 'time';
  readonly label: string;
  /** "2027-05-22" or "19:30"; empty when nothing is chosen. */
  readonly value: string;
  readonly onPick: (value: string) => void;
}) {
  const inks = useInks();
  const Sign = SIGN[kind];
  return (
    <View className="platform-picker h-12 w-12 items-center justify-center border border-l-0 border-ink">
      <Sign color={inks.ink} size={22} />
      {createElement('input', {
        type: kind,
        value,
        'aria-label': label,
        onClick: ({ currentTarget }: MouseEvent<HTMLInputElement>) => {
          try {
            currentTarget.showPicker();
          } catch {
            // Some platforms open it by themselves, some not at all: then the field takes keys.
          }
        },
        onChange: ({ target }: ChangeEvent<HTMLInputElement>) => {
          if (target.value) onPick(target.value);
        },
      })}
    </View>
  );
}
