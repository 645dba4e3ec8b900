import { Pressable, View } from 'react-native';
import { Text } from './Text';

export interface ToolOf<T extends string> {
  readonly id: T;
  readonly name: string;
  /** Whether it stands open. */
  readonly on?: boolean;
}

/** One row of tools, a press each. */
export function ToolRow<T extends string>({
  label,
  tools,
  onPress,
}: {
  readonly label: string;
  readonly tools: readonly ToolOf<T>[];
  readonly onPress: (id: T) => void;
}) {
  return (
    <View role="toolbar" aria-label={label} className="flex-row flex-wrap border-t border-line">
      {tools.map(({ id, name, on }, i) => (
        <Pressable
          key={id}
          role="button"
          {...(on !== undefined && { 'aria-pressed': on })}
          onPress={() => onPress(id)}
          className={`min-h-touch min-w-fit flex-1 items-center justify-center px-1 active:opacity-60 ${i > 0 ? 'border-l border-line' : ''} ${on ? 'bg-ink' : ''}`}
        >
          <Text kind="label" className={on ? 'text-paper' : ''}>
            {name}
          </Text>
        </Pressable>
      ))}
    </View>
  );
}
