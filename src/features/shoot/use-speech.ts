import { useCallback, useEffect, useRef, useState } from 'react';

/** The part of the Web Speech API (W3C) that is used; few browsers have it. */
interface Recogniser {
  lang: string;
  interimResults: boolean;
  onresult: ((event: Pick<SpeechRecognitionEvent, 'results'>) => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  onend: (() => void) | null;
  start: () => void;
  abort: () => void;
}

const recogniserOf = (): (new () => Recogniser) | undefined => {
  const browser = window as unknown as Record<string, (new () => Recogniser) | undefined>;
  return browser.SpeechRecognition ?? browser.webkitSpeechRecognition;
};

const TROUBLE: Readonly<Record<string, string>> = {
  'not-allowed': 'The microphone is not allowed: allow it for this page, or type.',
  network: 'The browser needs a network to hear. Type instead.',
  'no-speech': 'Nothing was heard. Try again, or type.',
};

/** Speech as text, where the browser has it. @param heard called with what was understood */
export function useSpeech(heard: (text: string) => void): {
  readonly offered: boolean;
  readonly listening: boolean;
  readonly trouble: string | undefined;
  readonly listen: () => void;
} {
  const [offered] = useState(() => recogniserOf() !== undefined);
  const [listening, setListening] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const running = useRef<Recogniser | undefined>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const listen = useCallback(() => {
    const Known = recogniserOf();
    if (!Known) return;
    const recogniser = new Known();
    recogniser.lang = navigator.language;
    recogniser.interimResults = false;
    recogniser.onresult = ({ results }) =>
      heard(
        Array.from(results)
          // The API's own word for what was understood.
          .map((result) => result[0]?.transcript ?? '')
          .join(' ')
          .trim(),
      );
    recogniser.onerror = ({ error }) =>
      setTrouble(TROUBLE[error] ?? `The browser could not hear (${error}). Type instead.`);
    recogniser.onend = () => setListening(false);
    running.current = recogniser;
    setTrouble(undefined);
    setListening(true);
    recogniser.start();
  }, [heard]);
  return { offered, listening, trouble, listen };
}
