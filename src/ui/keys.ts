interface KeyPress {
  readonly key: string;
  readonly shiftKey: boolean;
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
