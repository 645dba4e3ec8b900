import { useState } from 'react';
import { Field } from '@/ui/Field';

const LONGEST = 60;

/** A name to type. It is taken when the field is left or Enter is pressed. */
export function NameField({
  name,
  onChange,
}: {
  readonly name: string;
  readonly onChange: (name: string) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const wished = (typed ?? name).trim();
  const take = () => {
    if (typed === undefined || wished === '') return;
    setTyped(undefined);
    if (wished !== name) onChange(wished);
  };
  return (
    <Field
      label="Name"
      value={typed ?? name}
      maxLength={LONGEST}
      onChangeText={setTyped}
      onBlur={take}
      onSubmitEditing={take}
      error={typed !== undefined && wished === '' ? 'the name is empty' : undefined}
    />
  );
}
