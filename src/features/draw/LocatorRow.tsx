import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Simulated } from '@/ui/Simulated';
import { Text } from '@/ui/Text';
import type { Locator } from './use-locator';

const WALKERS = [
  { value: 'device', label: 'This device' },
  { value: 'simulated', label: 'Simulated walk' },
] as const;

/** What came of the last question. */
const Said = ({ text }: { readonly text: string | undefined }) =>
  text === undefined ? null : (
    <Text kind="small" role="status">
      {text}
    </Text>
  );

/** A button that finds where one stands, by the device or by the stand-in, and what came of it. */
export function LocatorRow({
  locator,
  label,
  onPress,
}: {
  readonly locator: Locator;
  readonly label: string;
  readonly onPress: () => void;
}) {
  return (
    <View className="gap-2">
      <Button label={label} onPress={onPress} />
      <Choice
        label="Location from"
        value={locator.simulated ? 'simulated' : 'device'}
        options={WALKERS}
        onChange={(walker) => locator.setSimulated(walker === 'simulated')}
      />
      {locator.simulated ? (
        <Simulated what="walk">
          <Text kind="small" ink="quiet">
            Ten metres on at each press, round a square: to try it with.
          </Text>
          <Said text={locator.said} />
        </Simulated>
      ) : (
        <Said text={locator.said} />
      )}
    </View>
  );
}
