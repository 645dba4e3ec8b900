import { useEffect, useRef, type ReactNode } from 'react';
import { Modal, Text as NativeText, Pressable, ScrollView, View } from 'react-native';
import X from 'lucide-react-native/icons/x';
import { IconButton } from './Button';
import { Heading } from './Text';
import { useInks } from './theme';

/** A sheet over the page for one question. Escape, the cross and a press outside close it. */
export function Sheet({
  title,
  open,
  onClose,
  wide = false,
  children,
}: {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  /** For a table: on a wide screen as broad as it can be. */
  readonly wide?: boolean;
  readonly children: ReactNode;
}) {
  const inks = useInks();
  // Who opens it by key or hears it read begins at its title.
  const heading = useRef<NativeText>(null);
  useEffect(() => {
    if (open) heading.current?.focus();
  }, [open]);
  // A modal leaves its place in the page from its first drawing on, also where it is drawn ahead and never shown.
  if (!open) return null;
  return (
    <Modal visible transparent onRequestClose={onClose} aria-label={title}>
      <View className="flex-1 justify-end sm:items-center sm:justify-center">
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          className="absolute inset-0 bg-black/50"
        />
        <View
          className={`max-h-[85%] w-full border-t-2 border-ink bg-paper sm:border-2 ${wide ? 'sm:w-[1040px] sm:max-w-[96%]' : 'sm:w-[440px]'}`}
        >
          <View className="flex-row items-center justify-between border-b border-line pl-4">
            <Heading ref={heading} tabIndex={-1} level={2} kind="figure">
              {title}
            </Heading>
            <IconButton label="Close" onPress={onClose}>
              <X color={inks.ink} size={24} />
            </IconButton>
          </View>
          <ScrollView tabIndex={0} contentContainerClassName="p-4 gap-3">
            {children}
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}
