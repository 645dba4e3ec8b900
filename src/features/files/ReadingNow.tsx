import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { Reading } from './use-reading';

/** Which file is being read, and the way to stop that. */
export function ReadingNow({ reading }: { readonly reading: Reading }) {
  if (reading.name === undefined) return null;
  return (
    <View role="status" className="gap-2 border border-ink p-3">
      <Text>{`Reading ${reading.name}`}</Text>
      <Button label="Cancel" onPress={reading.cancel} />
    </View>
  );
}
