import { markAt, nearestMark, type Dial, type ScaleKind } from '@/core';
import { Stepper } from '@/ui/Stepper';
import { useCounted } from '@/ui/use-counted';

const LABELS: Readonly<Record<ScaleKind, string>> = {
  shutter: 'Shutter',
  aperture: 'Aperture',
  iso: 'ISO',
};

/** A dial of the camera: turned in its clicks, between its ends, spoken as it is marked. */
export function DialStepper({
  kind,
  value,
  least,
  most,
  dial = 'third',
  label = LABELS[kind],
  note,
  inLine = false,
  onChange,
}: {
  readonly kind: ScaleKind;
  /** Seconds, aperture number or ISO. */
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly dial?: Dial | undefined;
  readonly label?: string;
  readonly note?: string | undefined;
  readonly inLine?: boolean;
  readonly onChange: (value: number) => void;
}) {
  // A longer time is the smaller turn of the dial: more is faster.
  const sign = kind === 'shutter' ? -1 : 1;
  const click = (of: number) => sign * nearestMark(kind, of, 'nearest', dial).click;
  const now = click(value);
  const ends = [click(least), click(most)];
  const counted = useCounted(now);
  return (
    <Stepper
      label={label}
      value={now}
      min={Math.min(...ends)}
      max={Math.max(...ends)}
      valueText={markAt(kind, sign * now, dial).label}
      {...(inLine &&
        kind === 'iso' && { shown: markAt(kind, sign * now, dial).label.replace('ISO ', '') })}
      note={note}
      layout={inLine ? 'inLine' : 'over'}
      onStep={(clicks) => {
        const next = counted(clicks, () => true);
        if (next !== undefined) onChange(markAt(kind, sign * next, dial).value);
      }}
    />
  );
}
