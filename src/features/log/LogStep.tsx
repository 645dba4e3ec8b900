import { Text } from '@/ui/Text';

export function LogStep() {
  return <Text>Log</Text>;
}
