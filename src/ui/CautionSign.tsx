import { View } from 'react-native';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';

const SIZE_PX = 22;

/** The sign before a caution: a shape first, a colour second; it keeps its size beside long words. */
export function CautionSign({ color }: { readonly color: string }) {
  return (
    <View className="shrink-0 pt-px">
      <TriangleAlert color={color} size={SIZE_PX} />
    </View>
  );
}
