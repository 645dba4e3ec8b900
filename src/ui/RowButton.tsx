import { Pressable, View } from 'react-native';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { Text } from './Text';
import { useInks } from './theme';

/** A row of a list that opens: its name, and what is known under it. */
export function RowButton({
  name,
  detail,
  onPress,
}: {
  readonly name: string;
  readonly detail: string;
  readonly onPress: () => void;
}) {
  const inks = useInks();
  return (
    <View role="listitem" className="border-b border-line">
      <Pressable
        role="button"
        onPress={onPress}
        className="min-h-touch flex-row items-center justify-between py-2 active:opacity-60"
      >
        <View className="min-w-0 shrink">
          <Text kind="strong">{name}</Text>
          <Text kind="small" ink="quiet">
            {detail}
          </Text>
        </View>
        <View className="w-6 shrink-0">
          <ChevronRight color={inks.quiet} size={22} />
        </View>
      </Pressable>
    </View>
  );
}
