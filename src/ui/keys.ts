export interface KeyPress {
  readonly key: string;
  readonly shiftKey: boolean;
  readonly target: unknown;
  readonly currentTarget: unknown;
  preventDefault: () => void;
  stopPropagation: () => void;
}

/** Key handlers as props of a web view: `<View {...onKeys({ ArrowUp: north })} />`. */
export function onKeys(handlers: Readonly<Record<string, (press: KeyPress) => void>>): object {
  return {
    onKeyDown: (press: KeyPress) => {
      const handle = handlers[press.key];
      if (!handle) return;
      press.preventDefault();
      // What lies under it has keys of its own.
      press.stopPropagation();
      handle(press);
    },
  };
}

/** As {@link onKeys}, for what holds buttons: Enter and Space on one of them are its own. */
export const onKeysAround = (handlers: Parameters<typeof onKeys>[0]): object => {
  const { onKeyDown } = onKeys(handlers) as { onKeyDown: (press: KeyPress) => void };
  return {
    onKeyDown: (press: KeyPress) => {
      const isPress = press.key === 'Enter' || press.key === ' ';
      if (!isPress || press.target === press.currentTarget) onKeyDown(press);
    },
  };
};

/** Arrow keys that go through alternatives, round and round, as in a group of radio buttons. */
export function radioKeys<T>(
  options: readonly { readonly value: T }[],
  value: T | undefined,
  onChange: (value: T) => void,
): object {
  const at = options.findIndex((option) => option.value === value);
  const step = (by: number) => () => {
    const next = options[(at + by + options.length) % options.length];
    if (next) onChange(next.value);
  };
  return onKeys({
    ArrowRight: step(1),
    ArrowDown: step(1),
    ArrowLeft: step(-1),
    ArrowUp: step(-1),
  });
}

/** Whether a key was pressed in a field, where it belongs to the text. */
export const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
