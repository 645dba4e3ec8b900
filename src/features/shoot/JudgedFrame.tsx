import { Pressable, View } from 'react-native';
import { Text } from '@/ui/Text';
import { lookedInWords } from './words';

/** Whole stops that a frame is judged by, to either side of right. */
const STOPS = [1, 2, 3, 4] as const;

/**
 * How a frame looked, in words and whole stops, a press each, in one order everywhere: right, then dark
 * from one stop to four over bright from one to four.
 * @param value what was said so far, if it is kept; stops dark, below 0 bright
 */
export function JudgedFrame({
  label = 'It looked',
  value,
  large = false,
  few = false,
  onPress,
}: {
  readonly label?: string;
  /** For a gloved thumb: each a button of its own, apart from the others. */
  readonly large?: boolean;
  /** In one row, where there is no height for all: two stops to either side. */
  readonly few?: boolean;
  readonly value?: number;
  readonly onPress: (looksDarkStops: number) => void;
}) {
  const cell = (stops: number, text: string, edges: string) => {
    const chosen = value !== undefined && Math.abs(value - stops) < 0.1;
    return (
      <Pressable
        key={stops}
        role="button"
        aria-label={`Looked ${lookedInWords(stops)}${stops === 0 ? '' : `: ${text}`}`}
        {...(value !== undefined && { 'aria-pressed': chosen })}
        onPress={() => onPress(stops)}
        className={`flex-1 items-center justify-center border-ink active:opacity-60 ${large ? 'min-h-[56px] min-w-fit border px-1' : `min-h-touch min-w-fit ${edges}`} ${chosen ? 'bg-ink' : ''}`}
      >
        <Text kind="label" className={chosen ? 'text-paper' : ''}>
          {text}
        </Text>
      </Pressable>
    );
  };
  return (
    <View role="group" aria-label={label} className="gap-1">
      <Text kind="tiny" ink="quiet" aria-hidden>
        {label}
      </Text>
      {few ? (
        <View className="flex-row flex-wrap gap-2">
          {cell(2, '2 dark', '')}
          {cell(1, '1 dark', '')}
          {cell(0, 'right', '')}
          {cell(-1, '1 bright', '')}
          {cell(-2, '2 bright', '')}
        </View>
      ) : (
        <View className={`flex-row ${large ? 'gap-2' : 'border border-ink'}`}>
          <View className={large ? 'w-[56px]' : 'w-[76px]'}>{cell(0, 'right', '')}</View>
          <View className={`flex-1 ${large ? 'gap-2' : ''}`}>
            <View className={`flex-row flex-wrap ${large ? 'gap-2' : ''}`}>
              {STOPS.map((stops) => cell(stops, `${stops} dark`, 'border-l'))}
            </View>
            <View className={`flex-row flex-wrap ${large ? 'gap-2' : 'border-t border-ink'}`}>
              {STOPS.map((stops) => cell(-stops, `${stops} bright`, 'border-l'))}
            </View>
          </View>
        </View>
      )}
    </View>
  );
}
