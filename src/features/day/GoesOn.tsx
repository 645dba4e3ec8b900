import type { DayEventRecord } from '@/records/day';
import { FIRST_WINDOW } from '@/presets/event-strands';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';

const GOES = [
  { value: 'once', label: 'At its time' },
  { value: 'window', label: 'Goes on: drop in' },
] as const;

type Window = NonNullable<DayEventRecord['window']>;

/** Whether an event has its time, or goes on and is dropped into, for how long and how often. */
export function GoesOn({
  window,
  onChange,
}: {
  readonly window: Window | undefined;
  readonly onChange: (window: Window | undefined) => void;
}) {
  return (
    <>
      <Choice
        label="When it is shot"
        value={window ? 'window' : 'once'}
        options={GOES}
        onChange={(goes) => onChange(goes === 'window' ? FIRST_WINDOW : undefined)}
      />
      {window ? (
        <>
          <Stepper
            label="A visit takes"
            value={window.visitMin}
            valueText={`${window.visitMin} min`}
            min={1}
            max={240}
            onStep={(clicks) => onChange({ ...window, visitMin: window.visitMin + clicks })}
          />
          <Stepper
            label="Visits at the most"
            value={window.visits}
            valueText={String(window.visits)}
            min={1}
            max={3}
            onStep={(clicks) => onChange({ ...window, visits: window.visits + clicks })}
          />
        </>
      ) : null}
    </>
  );
}
