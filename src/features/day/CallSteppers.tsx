import type { Calls } from '@/records/day';
import { Stepper } from '@/ui/Stepper';

const CALLS = [
  { key: 'first', label: 'First call: announced' },
  { key: 'second', label: 'Second call: you are in place' },
  { key: 'third', label: 'Third call: starting' },
] as const;

/** How long before the start each call is, of the whole day or of one event. */
export function CallSteppers({
  calls,
  onStep,
}: {
  readonly calls: Calls;
  readonly onStep: (call: keyof Calls, clicks: number) => void;
}) {
  return CALLS.map(({ key, label }) => (
    <Stepper
      key={key}
      label={label}
      value={calls[key]}
      min={0}
      max={240}
      valueText={`${calls[key]} min before`}
      onStep={(clicks) => onStep(key, clicks)}
    />
  ));
}
