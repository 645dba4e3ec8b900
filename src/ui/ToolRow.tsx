import { Pressable, useWindowDimensions, View } from 'react-native';
import { Text } from './Text';

export interface ToolOf<T extends string> {
  readonly id: T;
  readonly name: string;
  /** Whether it stands open. */
  readonly on?: boolean;
}

/** More tools than this stand close together on the narrowest phone. */
const MANY = 6;
const NARROW_PX = 360;
const LEAST_PX = 44;

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
  const close = useWindowDimensions().width < NARROW_PX && tools.length > MANY;
  return (
    <View role="toolbar" aria-label={label} className="flex-row flex-wrap border-t border-line">
      {tools.map(({ id, name, on }, i) => (
        <Pressable
          key={id}
          role="button"
          {...(on !== undefined && { 'aria-pressed': on })}
          onPress={() => onPress(id)}
          className={`min-h-touch shrink-0 grow basis-auto items-center justify-center active:opacity-60 ${close ? '' : 'px-1'} ${i > 0 ? 'border-l border-line' : ''} ${on ? 'bg-ink' : ''}`}
          style={{ minWidth: LEAST_PX }}
        >
          <Text kind={close ? 'tiny' : 'label'} className={on ? 'text-paper' : ''}>
            {name}
          </Text>
        </Pressable>
      ))}
    </View>
  );
}
