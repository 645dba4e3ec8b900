import { useState } from 'react';
import { Field } from './Field';
import { numberShown, numberWritten } from './numbers';

/** A number to type, with its unit. It is taken when the field is left or Enter is pressed. */
export function NumberField({
  label,
  unit,
  value,
  min,
  max,
  places = 2,
  onChange,
}: {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly places?: number;
  readonly onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [left, setLeft] = useState(false);
  const shown = numberShown(value, places);
  const wished = numberWritten(typed ?? shown);
  const right = wished >= min && wished <= max;
  const take = () => {
    setLeft(true);
    if (typed === undefined || !right) return;
    setTyped(undefined);
    if (typed !== shown) onChange(wished);
  };
  return (
    <Field
      label={`${label}, ${unit}`}
      value={typed ?? shown}
      inputMode="decimal"
      selectTextOnFocus
      onChangeText={(text) => {
        setTyped(text);
        setLeft(false);
      }}
      onBlur={take}
      onSubmitEditing={take}
      error={left && !right ? `a number from ${min} to ${max} ${unit}` : undefined}
    />
  );
}
