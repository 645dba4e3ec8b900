import { Choice } from '@/ui/Choice';

export type Which = 'kept' | 'all';

/** Whether the kept pictures are looked at, or all. */
export function KeptOrAll({
  only,
  onChange,
}: {
  readonly only: Which;
  readonly onChange: (only: Which) => void;
}) {
  return (
    <Choice
      label="Pictures"
      value={only}
      options={[
        { value: 'kept', label: 'Kept' },
        { value: 'all', label: 'All' },
      ]}
      onChange={onChange}
    />
  );
}
