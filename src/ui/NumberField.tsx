import { useState } from 'react';
import { Field } from './Field';
import { numberShown, numberWritten } from './numbers';
import { shownIn } from './units';

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
  // Kept in metric units, shown and typed in those in force.
  const shownUnit = shownIn(unit);
  const [low, high] = [min * shownUnit.each, max * shownUnit.each];
  const [typed, setTyped] = useState<string>();
  const [left, setLeft] = useState(false);
  const shown = numberShown(value * shownUnit.each, places);
  const wished = numberWritten(typed ?? shown);
  const right = wished >= low && wished <= high;
  const take = () => {
    setLeft(true);
    if (typed === undefined || !right) return;
    setTyped(undefined);
    if (typed !== shown) onChange(wished / shownUnit.each);
  };
  return (
    <Field
      label={shownUnit.unit === '' ? label : `${label}, ${shownUnit.unit}`}
      value={typed ?? shown}
      inputMode="decimal"
      selectTextOnFocus
      onChangeText={(text) => {
        setTyped(text);
        setLeft(false);
      }}
      onBlur={take}
      onSubmitEditing={take}
      error={
        left && !right
          ? `a number from ${numberShown(low, 2)} to ${numberShown(high, 2)} ${shownUnit.unit}`
          : undefined
      }
    />
  );
}
