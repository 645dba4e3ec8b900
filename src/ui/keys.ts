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

/** Whether a key was pressed in a field, where it belongs to the text. */
export const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
