import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { onKeys } from './keys';
import { Text } from './Text';
import { useWidth } from './use-width';

interface SliderTrack {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** A longer step, for Page Up and Page Down. */
  readonly bigStep: number;
  /** The value in words, for those who don't see the handle. */
  readonly valueText: string;
  /** Gets a step from the newest value to the next: several may come before the next render. */
  readonly onChange: (next: (value: number) => number) => void;
  /** Told when the track is taken hold of and let go. */
  readonly onHold?: (held: boolean) => void;
}

/**
 * A track to drag along, by finger, mouse or keys; what it looks like is up to `children`, which
 * are told its width.
 */
export function SlideArea({
  label,
  value,
  min,
  max,
  step,
  bigStep,
  valueText,
  onChange,
  onHold,
  heightPx,
  verticalScroll = false,
  children,
}: SliderTrack & {
  readonly heightPx: number;
  /** Whether the page scrolls up and down under this track: then a drag must start sideways. */
  readonly verticalScroll?: boolean;
  readonly children: (widthPx: number) => ReactNode;
}) {
  const { widthPx, onLayout } = useWidth(label, 0);
  const onTrack = (wanted: number) =>
    Math.min(max, Math.max(min, min + Math.round((wanted - min) / step) * step));
  const move = (by: number) => onChange((from) => onTrack(from + by));
  const putAt = (x: number) => {
    if (widthPx > 0) onChange(() => onTrack(min + (x / widthPx) * (max - min)));
  };
  const pan = Gesture.Pan()
    .runOnJS(true)
    .minDistance(verticalScroll ? 4 : 0)
    .onBegin(({ x }) => (verticalScroll ? undefined : putAt(x)))
    .onStart(() => onHold?.(true))
    .onUpdate(({ x }) => putAt(x))
    .onFinalize(() => onHold?.(false));
  const tap = Gesture.Tap()
    .runOnJS(true)
    .onEnd(({ x }) => putAt(x));
  const gesture = Gesture.Race(verticalScroll ? pan.failOffsetY([-12, 12]) : pan, tap);
  return (
    <GestureDetector gesture={gesture} touchAction={verticalScroll ? 'pan-y' : 'none'}>
      <View
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={min}
        aria-valuemax={max}
        aria-valuenow={value}
        aria-valuetext={valueText}
        onLayout={onLayout}
        style={{ height: heightPx, width: '100%', cursor: 'pointer' }}
        {...onKeys({
          ArrowRight: () => move(step),
          ArrowUp: () => move(step),
          ArrowLeft: () => move(-step),
          ArrowDown: () => move(-step),
          PageUp: () => move(bigStep),
          PageDown: () => move(-bigStep),
          Home: () => onChange(() => min),
          End: () => onChange(() => max),
        })}
      >
        {widthPx > 0 ? children(widthPx) : null}
      </View>
    </GestureDetector>
  );
}

/** A labelled slider with its value beside the label. */
export function Slider(track: SliderTrack) {
  const { label, value, min, max, valueText } = track;
  const share = (value - min) / (max - min);
  return (
    <View>
      <View className="flex-row items-baseline justify-between">
        <Text kind="label" ink="quiet">
          {label}
        </Text>
        <Text kind="strong">{valueText}</Text>
      </View>
      <SlideArea {...track} heightPx={48} verticalScroll>
        {(widthPx) => (
          <View className="h-full justify-center">
            <View className="h-[2px] w-full bg-quiet" />
            <View
              className="absolute h-8 w-3 border-2 border-ink bg-paper"
              style={{ left: share * (widthPx - 12) }}
            />
          </View>
        )}
      </SlideArea>
    </View>
  );
}
