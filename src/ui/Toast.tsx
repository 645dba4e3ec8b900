import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { Platform, Pressable, View } from 'react-native';
import { Text } from './Text';

interface ToastMessage {
  readonly text: string;
  readonly action?: { readonly label: string; readonly onPress: () => void };
  /** About what is done on this page alone, and at its head however wide: the thumb works at its foot. */
  readonly high?: boolean;
}

const STAYS_MS = 10_000;
/** Sheets lie at 9999: what one says of something done in a sheet must be seen, and can be undone, over it. */
const OVER_SHEETS = 10_000;

/** On the page itself, over sheets, which are on the page too. */
function OverAll({ children }: { readonly children: ReactNode }) {
  return Platform.OS === 'web' ? createPortal(children, document.body) : children;
}

const ToastContext = createContext<(message: ToastMessage) => void>(() => undefined);

/** Says a short word at the head of a phone's page, or the foot of a wide one, with at most one thing to do about it. */
export const useToast = () => useContext(ToastContext);

export function ToastProvider({
  page,
  children,
}: {
  /** The address that is open: what was said at the head of another is over. */
  readonly page?: string;
  readonly children: ReactNode;
}) {
  const [message, setMessage] = useState<ToastMessage & { readonly saidAt: string | undefined }>();
  useEffect(() => {
    if (!message) return undefined;
    const timer = setTimeout(() => setMessage(undefined), STAYS_MS);
    return () => clearTimeout(timer);
  }, [message]);
  // The same function on every page: those who may say something are not drawn anew with each.
  const pageNow = useRef(page);
  useEffect(() => {
    pageNow.current = page;
  }, [page]);
  const say = useCallback(
    (next: ToastMessage) => setMessage({ ...next, saidAt: pageNow.current }),
    [],
  );
  const over = message?.high === true && message.saidAt !== page;
  const bar = useMemo(
    () =>
      message && !over ? (
        <View className="flex-row items-center justify-between gap-3 bg-ink pl-4">
          <Text className="shrink py-2 text-paper">{message.text}</Text>
          {message.action ? (
            <Pressable
              role="button"
              onPress={() => {
                message.action?.onPress();
                setMessage(undefined);
              }}
              className="min-h-touch min-w-touch items-center justify-center px-4 active:opacity-60"
            >
              <Text kind="strong" className="text-paper underline">
                {message.action.label}
              </Text>
            </Pressable>
          ) : null}
        </View>
      ) : null,
    [message, over],
  );
  return (
    <ToastContext.Provider value={say}>
      {children}
      <OverAll>
        <View
          role="status"
          aria-live="polite"
          className={`absolute left-2 right-2 top-1 lg:left-auto lg:right-3 lg:w-[420px] ${message?.high ? '' : 'lg:bottom-24 lg:top-auto'}`}
          style={{ zIndex: OVER_SHEETS, pointerEvents: 'box-none' }}
        >
          {bar}
        </View>
      </OverAll>
    </ToastContext.Provider>
  );
}
