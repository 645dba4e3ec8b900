import { View } from 'react-native';
import { Text } from './Text';

/** How far something is, as a bar and in words. */
export function Progress({ label, share }: { readonly label: string; readonly share: number }) {
  const percent = Math.round(share * 100);
  return (
    <View
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      className="gap-1"
    >
      <Text kind="small">
        {label}: {percent} %
      </Text>
      <View className="h-2 border border-ink">
        <View className="h-full bg-ink" style={{ width: `${percent}%` }} />
      </View>
    </View>
  );
}
