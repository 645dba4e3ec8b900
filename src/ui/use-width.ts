import { useState } from 'react';
import { useWindowDimensions, type LayoutChangeEvent } from 'react-native';

const lastPx = new Map<string, number>();

/**
 * How wide a box is, for what is drawn in it. Until it is laid out, as wide as a box of that name last was in a window
 * like this one: what is put together unseen is then drawn right, and not once more when it is shown.
 * @param first px, where none of that name has been laid out yet
 */
export function useWidth(name: string, first: number) {
  const { width, height } = useWindowDimensions();
  const key = `${name} ${width} ${height}`;
  const [widthPx, setWidthPx] = useState(() => lastPx.get(key) ?? first);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) => {
    lastPx.set(key, layout.width);
    setWidthPx(layout.width);
  };
  return { widthPx, onLayout };
}
