import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { Text } from './Text';

const KINDS = {
  primary: { box: 'bg-ink border-ink', text: 'text-paper' },
  plain: { box: 'border-ink', text: 'text-ink' },
  quiet: { box: 'border-transparent', text: 'text-ink underline' },
} as const;

/** A button with words; its name is what it does. */
export function Button({
  label,
  onPress,
  kind = 'plain',
  icon,
  disabled = false,
}: {
  readonly label: string;
  readonly onPress: () => void;
  readonly kind?: keyof typeof KINDS;
  readonly icon?: ReactNode;
  readonly disabled?: boolean;
}) {
  const { box, text } = KINDS[kind];
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      onPress={onPress}
      className={`min-h-touch flex-row items-center justify-center gap-2 border px-3 active:opacity-60 ${box} ${disabled ? 'opacity-40' : ''}`}
    >
      {icon}
      <Text kind="strong" className={`text-center ${text}`}>
        {label}
      </Text>
    </Pressable>
  );
}

/** A button that shows only a drawing; its label is spoken. */
export function IconButton({
  label,
  onPress,
  children,
  disabled = false,
  pressed,
}: {
  readonly label: string;
  readonly onPress: () => void;
  readonly children: ReactNode;
  readonly disabled?: boolean;
  /** For a button that stays down: whether it is. */
  readonly pressed?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      {...(pressed !== undefined && { 'aria-pressed': pressed })}
      onPress={onPress}
      className={`min-h-touch min-w-touch items-center justify-center active:opacity-60 ${disabled ? 'opacity-40' : ''} ${pressed ? 'border-b-4 border-signal pt-1' : ''}`}
    >
      {children}
    </Pressable>
  );
}
