import { Pressable, View } from 'react-native';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { lensOf } from '@/records/kit';
import type { Quick } from '@/records/quick';
import { subjectById } from '@/presets/find';
import { metres } from '@/features/shoot/words';
import { onKeys } from '@/ui/keys';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { quickDistanceM, quickEv } from './quick';
import { canTurn, lightName, turned, ROWS, type Row } from './rows';

const NAMES: Readonly<Record<Row, string>> = {
  subject: 'Subject',
  distance: 'Distance',
  light: 'Light',
  lens: 'Lens',
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

function Turn({
  label,
  less,
  disabled,
  onPress,
}: {
  readonly label: string;
  readonly less: boolean;
  readonly disabled: boolean;
  readonly onPress: () => void;
}) {
  const inks = useInks();
  const Sign = less ? Minus : Plus;
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      tabIndex={-1}
      onPress={onPress}
      className={`min-h-[52px] min-w-[56px] items-center justify-center active:bg-line ${disabled ? 'opacity-30' : ''}`}
    >
      <Sign color={inks.ink} size={22} />
    </Pressable>
  );
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
    <View role="group" aria-label="Turn the answer" className="border-t-2 border-ink bg-sheet">
      {ROWS.map((row) => {
        const value = rowInWords(quick, row);
        const turn = (clicks: number) =>
          onChange((now) => (canTurn(now, row, clicks) ? turned(now, row, clicks) : now));
        return (
          <View key={row} className="flex-row items-stretch border-b border-line">
            <Turn
              label={`${NAMES[row]}: one back`}
              less
              disabled={!canTurn(quick, row, -1)}
              onPress={() => turn(-1)}
            />
            <View
              role="spinbutton"
              tabIndex={0}
              aria-label={NAMES[row]}
              aria-valuetext={value}
              aria-valuenow={0}
              className="min-w-0 flex-1 items-center justify-center border-x border-line px-2 py-1"
              {...onKeys({
                ArrowUp: () => turn(1),
                ArrowRight: () => turn(1),
                ArrowDown: () => turn(-1),
                ArrowLeft: () => turn(-1),
              })}
            >
              <Text kind="tiny" ink="quiet">
                {NAMES[row]}
              </Text>
              <Text kind="strong" className="text-center">
                {value}
              </Text>
            </View>
            <Turn
              label={`${NAMES[row]}: one on`}
              less={false}
              disabled={!canTurn(quick, row, 1)}
              onPress={() => turn(1)}
            />
          </View>
        );
      })}
    </View>
  );
}
