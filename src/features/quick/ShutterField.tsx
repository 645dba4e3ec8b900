import { useState } from 'react';
import { formatShutter, parseShutter } from '@/core';
import { Field } from '@/ui/Field';

/** A shutter speed as engraved: "1/1000", "0.5". Taken when the field is left or Enter pressed. */
export function ShutterField({
  shutterS,
  onChange,
}: {
  readonly shutterS: number;
  readonly onChange: (shutterS: number) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [error, setError] = useState<string>();
  const take = () => {
    if (typed === undefined) return;
    try {
      const wished = parseShutter(typed);
      if (!(wished > 0 && wished <= 60)) throw new RangeError('out of range');
      onChange(wished);
      setTyped(undefined);
      setError(undefined);
    } catch {
      setError('a speed such as 1/1000 or 0.5, at most 60 s');
    }
  };
  return (
    <Field
      label="Shutter, s"
      value={typed ?? formatShutter(shutterS)}
      selectTextOnFocus
      onChangeText={(text) => {
        setTyped(text);
        setError(undefined);
      }}
      onBlur={take}
      onSubmitEditing={take}
      error={error}
    />
  );
}
