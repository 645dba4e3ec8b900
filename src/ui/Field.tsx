import { useId, type ReactNode, type Ref } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { Text } from './Text';

/** A labelled line to write on, with what to change under it when it is wrong. */
export function Field({
  label,
  hint,
  error,
  trailing,
  ...input
}: TextInputProps & {
  readonly label: string;
  readonly hint?: string;
  readonly error?: string | undefined;
  /** Another way to fill it in, beside the line. */
  readonly trailing?: ReactNode;
  readonly ref?: Ref<TextInput>;
}) {
  const noteId = useId();
  const note = error ?? hint;
  return (
    <View className="gap-1">
      <Text kind="label" ink="quiet">
        {label}
      </Text>
      <View className="flex-row">
        <TextInput
          aria-label={label}
          {...(note && { 'aria-describedby': noteId })}
          {...{ 'aria-invalid': error !== undefined }}
          className={`min-h-touch w-full min-w-0 shrink border bg-sheet px-3 font-body text-body text-ink ${input.multiline ? 'py-2' : ''} ${error ? 'border-2 border-signal' : 'border-ink'}`}
          {...input}
        />
        {trailing}
      </View>
      {note ? (
        <Text
          kind="small"
          ink={error ? 'signal' : 'quiet'}
          nativeID={noteId}
          {...(error && { role: 'alert' })}
        >
          {error ? `Change this: ${error}` : note}
        </Text>
      ) : null}
    </View>
  );
}
