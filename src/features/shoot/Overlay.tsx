import { memo } from 'react';
import { View } from 'react-native';
import { Instruments } from '@/figures/Instruments';

/**
 * What a step lays over the plan: the ground in clicks, the depth of focus, the rings of two bodies, a route. A
 * sheet of its own, so that the plan is not drawn again when a figure changes.
 */
export const Overlay = memo(function Overlay(props: Parameters<typeof Instruments>[0]) {
  return (
    <View
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none', willChange: 'transform' }}
    >
      <Instruments {...props} />
    </View>
  );
});
