import { Pressable, ScrollView, View } from 'react-native';
import type { Pictured } from '@/answers/pictured';
import { sizeOf } from '@/figures/frame/size';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { Text } from '@/ui/Text';

export interface StripFrame {
  readonly id: string;
  readonly picture: Pictured;
  /** What is written under it: what tells it from the others, and what is said of it. */
  readonly name: string;
  readonly said: string;
  readonly chosen?: boolean;
  readonly onPress?: (() => void) | undefined;
}

/** Small pictures in a row that is moved along, each with its name; what can be taken is taken by a press. */
export function FrameStrip({
  label,
  frames,
  wraps = false,
}: {
  readonly label: string;
  readonly frames: readonly StripFrame[];
  /** Whether they stand in rows one under the other, where there is room for that. */
  readonly wraps?: boolean;
}) {
  return (
    <ScrollView horizontal={!wraps} showsHorizontalScrollIndicator={false} tabIndex={0}>
      <View
        role="list"
        aria-label={label}
        className={`flex-row gap-2 pb-1 ${wraps ? 'flex-wrap' : ''}`}
      >
        {frames.map(({ id, picture, name, said, chosen = false, onPress }) => {
          const size = sizeOf(picture.view.orientation);
          const body = (
            <>
              <SmallFrame scene={picture.scene} {...size} />
              <Text kind="strong">{name}</Text>
              <Text kind="small" ink={chosen ? 'ink' : 'quiet'}>
                {said}
              </Text>
            </>
          );
          const edge = `border-t-4 pt-1 ${chosen ? 'border-signal' : 'border-transparent'}`;
          return (
            <View key={id} role="listitem" style={{ width: size.widthPx }}>
              {onPress ? (
                <Pressable
                  role="button"
                  {...(chosen && { 'aria-current': true })}
                  onPress={onPress}
                  className={`active:opacity-60 ${edge}`}
                >
                  {body}
                </Pressable>
              ) : (
                <View className={edge}>{body}</View>
              )}
            </View>
          );
        })}
      </View>
    </ScrollView>
  );
}
