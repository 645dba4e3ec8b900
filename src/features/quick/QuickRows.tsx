import { View } from 'react-native';
import { lensOf } from '@/records/kit';
import type { Quick } from '@/records/quick';
import { subjectById } from '@/presets/find';
import { metres } from '@/features/shoot/words';
import { Stepper } from '@/ui/Stepper';
import { quickDistanceM, quickEv } from './quick';
import { lightName, ROWS, standsAt, turned, type Row } from './rows';

const NAMES: Readonly<Record<Row, string>> = {
  subject: 'Subject',
  distance: 'Distance',
  light: 'Light',
  lens: 'Lens',
};
const TURNS: Readonly<Record<Row, readonly [string, string]>> = {
  subject: ['previous', 'next'],
  distance: ['less', 'more'],
  light: ['less', 'more'],
  lens: ['shorter', 'longer'],
};

/** What a row stands at. */
export function rowInWords(quick: Quick, row: Row): string {
  switch (row) {
    case 'subject':
      return subjectById(quick.subjectId).name;
    case 'distance':
      return metres(quickDistanceM(quick));
    case 'light':
      return lightName(quick) ?? `EV ${quickEv(quick).expected.toFixed(1)}, measured`;
    case 'lens':
      return lensOf(quick.kit).name;
  }
}

/** Subject, distance, light and lens, a row each for the thumb. */
export function QuickRows({
  quick,
  onChange,
}: {
  readonly quick: Quick;
  readonly onChange: (how: (quick: Quick) => Quick) => void;
}) {
  return (
    <View role="group" aria-label="Turn the answer">
      {ROWS.map((row) => {
        const { at, of } = standsAt(quick, row);
        return (
          <View key={row} className="-mt-px">
            <Stepper
              layout="words"
              label={NAMES[row]}
              value={at}
              min={0}
              max={of - 1}
              valueText={rowInWords(quick, row)}
              turns={TURNS[row]}
              onStep={(clicks) => onChange((now) => turned(now, row, clicks))}
            />
          </View>
        );
      })}
    </View>
  );
}
