import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readFileApart } from '@/workers/files-client';
import type { FilesService } from '@/workers/files-job';

/** What a file held, or why it is refused; no reason when the person ended it. */
export type FileRead<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly reason: string | undefined };

export interface Reading {
  /** The file being read, by name. */
  readonly name: string | undefined;
  readonly cancel: () => void;
  readonly read: <T>(
    file: File,
    largestBytes: number,
    ask: (service: Remote<FilesService>, file: File) => Promise<T>,
  ) => Promise<FileRead<T>>;
}

/** Reads files one at a time, out of the page's way; the reading ends with the page that wanted it. */
export function useReading(): Reading {
  const [name, setName] = useState<string>();
  const running = useRef<AbortController>(undefined);
  const cancel = useCallback(() => running.current?.abort(), []);
  useEffect(() => cancel, [cancel]);
  const read = useCallback<Reading['read']>(
    async (file, largestBytes, ask) => {
      cancel();
      if (file.size > largestBytes) {
        const reason = `the file is over ${largestBytes / 1e6} MB; nothing of its kind is so large`;
        return { ok: false, reason };
      }
      const mine = new AbortController();
      running.current = mine;
      setName(file.name);
      try {
        return {
          ok: true,
          value: await readFileApart((service) => ask(service, file), mine.signal),
        };
      } catch (error) {
        const reason = error instanceof Error ? error.message : String(error);
        return { ok: false, reason: mine.signal.aborted ? undefined : reason };
      } finally {
        if (running.current === mine) setName(undefined);
      }
    },
    [cancel],
  );
  return { name, cancel, read };
}
