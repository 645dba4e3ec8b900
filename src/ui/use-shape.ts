import { useWindowDimensions } from 'react-native';

const WIDE_FROM_PX = 1000;
/** A window lower than this and broader than high is a phone held level. */
const LEVEL_BELOW_PX = 520;

/** How a page is laid out: columns side by side, a phone held upright, or one held level. */
export type Shape = 'wide' | 'upright' | 'level';

export function useShape(): Shape {
  const { width, height } = useWindowDimensions();
  if (width >= WIDE_FROM_PX) return 'wide';
  return width > height && height < LEVEL_BELOW_PX ? 'level' : 'upright';
}

/** Whether plan, answer and steps fit side by side. */
export const useIsWide = (): boolean => useShape() === 'wide';
