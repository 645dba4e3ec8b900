import { useState } from 'react';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';

/** A text out of a mail or a page, read where it is pasted; what is wrong with it stands under it. */
export function PasteSheet({
  title,
  label,
  hint,
  most,
  read,
  onClose,
}: {
  readonly title: string;
  readonly label: string;
  readonly hint: string;
  /** Most characters. */
  readonly most: number;
  /** Why it can't be read; nothing when it was. */
  readonly read: (text: string) => Promise<string | undefined>;
  readonly onClose: () => void;
}) {
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const tryIt = () =>
    read(text).then(
      (reason) => setTrouble(reason ?? ''),
      (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error)),
    );
  return (
    <Sheet title={title} open onClose={onClose}>
      <Field
        label={label}
        hint={hint}
        value={text}
        multiline
        numberOfLines={8}
        maxLength={most}
        onChangeText={setText}
        error={trouble || undefined}
      />
      <Button
        label="Read it"
        kind="primary"
        disabled={text.trim() === ''}
        onPress={() => void tryIt()}
      />
    </Sheet>
  );
}
