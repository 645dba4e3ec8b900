import { View } from 'react-native';
import { useSetAside, useShootActions } from '@/records/queries';
import { Button } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Text } from '@/ui/Text';

/** Says which records could not be read and were set aside, and hands them out whole. */
export function SetAsideNotice() {
  const { data: entries = [] } = useSetAside();
  const { discardSetAside } = useShootActions();
  if (entries.length === 0) return null;
  return (
    <View role="alert" className="gap-3 border-2 border-signal p-3">
      <Text kind="strong">
        {entries.length === 1
          ? 'A shoot could not be read and was set aside. Nothing of it is lost.'
          : `${entries.length} shoots could not be read and were set aside. Nothing of them is lost.`}
      </Text>
      {entries.map((entry) => (
        <View key={entry.asideKey} className="gap-2">
          <Text kind="small">Why: {entry.reason}</Text>
          <View className="flex-row flex-wrap gap-2">
            <Button
              label="Save its text as a file"
              onPress={() => downloadText('set-aside.txt', entry.text, 'text/plain')}
            />
            <Button label="Discard it" onPress={() => void discardSetAside(entry.asideKey)} />
          </View>
        </View>
      ))}
    </View>
  );
}
