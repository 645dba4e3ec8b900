import { useWindowDimensions } from 'react-native';

const WIDE_FROM_PX = 1000;

/** Whether plan, answer and steps fit side by side. */
export const useIsWide = (): boolean => useWindowDimensions().width >= WIDE_FROM_PX;
