import { Pressable } from 'react-native';
import { Text } from '@/ui/Text';

/** The way past what stands at the head of every page, seen when a key comes to it. */
export function SkipLink() {
  const skip = () => {
    const main = document.querySelector<HTMLElement>('[role=main], main');
    if (!main) return;
    main.tabIndex = -1;
    main.focus();
  };
  return (
    <Pressable
      role="button"
      onPress={skip}
      className="absolute left-2 top-[-64px] z-50 min-h-touch justify-center border-2 border-ink bg-sheet px-4 focus:top-2"
    >
      <Text kind="strong">Skip to the content</Text>
    </Pressable>
  );
}
