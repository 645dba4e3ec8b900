import { useEffect, useId, useRef } from 'react';
import { Pressable, View } from 'react-native';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { onKeys } from './keys';
import { Text } from './Text';
import { useInks } from './theme';
import { useCounted } from './use-counted';

const HOLD_MS = 350;
const REPEAT_MS = 110;

/** Runs at once, and again and again while it is held. */
function useHeld(run: () => void) {
  const newest = useRef(run);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    newest.current = run;
  });
  useEffect(() => () => clearTimeout(timer.current), []);
  const again = () => {
    newest.current();
    timer.current = setTimeout(again, REPEAT_MS);
  };
  return {
    onLongPress: again,
    delayLongPress: HOLD_MS,
    onPressOut: () => clearTimeout(timer.current),
    onPress: run,
  };
}

function StepButton({
  label,
  disabled,
  onStep,
  less,
}: {
  readonly label: string;
  readonly disabled: boolean;
  readonly onStep: () => void;
  readonly less: boolean;
}) {
  const inks = useInks();
  const Icon = less ? Minus : Plus;
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      tabIndex={-1}
      className={`min-h-[52px] min-w-[52px] items-center justify-center active:bg-line ${less ? 'border-r' : 'border-l'} border-ink ${disabled ? 'opacity-30' : ''}`}
      {...useHeld(onStep)}
    >
      <Icon color={inks.ink} size={22} />
    </Pressable>
  );
}

/**
 * A value that is turned click by click, by thumb (hold to repeat) or by arrow keys. It is spoken as
 * it is marked.
 */
export function Stepper({
  label,
  value,
  min,
  max,
  valueText,
  note,
  layout = 'over',
  shown = valueText,
  turns = ['less', 'more'],
  onStep,
}: {
  readonly label: string;
  /** In clicks. */
  readonly value: number;
  readonly min: number;
  readonly max: number;
  /** As engraved: "1/1250". */
  readonly valueText: string;
  readonly note?: string | undefined;
  /** The label over all of it; beside the value, for several that stand close together; or over a value in words. */
  readonly layout?: 'over' | 'inLine' | 'words';
  /** What stands beside an inline label that already says a part of it. */
  readonly shown?: string;
  /** What a click back and one on are called. */
  readonly turns?: readonly [string, string];
  /** Gets the clicks turned, so that a repeat starts from the newest value. */
  readonly onStep: (clicks: number) => void;
}) {
  const labelId = useId();
  const counted = useCounted(value);
  const step = (clicks: number) => {
    if (counted(clicks, (next) => next >= min && next <= max) !== undefined) onStep(clicks);
  };
  return (
    <View className="gap-1">
      {layout === 'over' ? (
        <Text kind="label" ink="quiet" nativeID={labelId}>
          {label}
        </Text>
      ) : null}
      <View className="flex-row items-stretch border border-ink bg-sheet">
        <StepButton
          label={`${label}: ${turns[0]}`}
          less
          disabled={value <= min}
          onStep={() => step(-1)}
        />
        <View
          role="spinbutton"
          aria-labelledby={labelId}
          aria-valuenow={value}
          aria-valuemin={min}
          aria-valuemax={max}
          aria-valuetext={valueText}
          tabIndex={0}
          className="min-w-0 flex-1 items-center justify-center py-1"
          {...onKeys({
            ArrowUp: () => step(1),
            ArrowRight: () => step(1),
            ArrowDown: () => step(-1),
            ArrowLeft: () => step(-1),
          })}
        >
          {layout === 'over' ? (
            <Text kind="figure">{valueText}</Text>
          ) : (
            <View
              className={
                layout === 'inLine' ? 'flex-row items-baseline gap-2' : 'items-center px-2'
              }
            >
              <Text kind="tiny" ink="quiet" nativeID={labelId}>
                {label}
              </Text>
              <Text kind={layout === 'inLine' ? 'figure' : 'strong'} className="text-center">
                {shown}
              </Text>
            </View>
          )}
          {note ? (
            <Text kind="tiny" ink="quiet" className="text-center">
              {note}
            </Text>
          ) : null}
        </View>
        <StepButton
          label={`${label}: ${turns[1]}`}
          less={false}
          disabled={value >= max}
          onStep={() => step(1)}
        />
      </View>
    </View>
  );
}
