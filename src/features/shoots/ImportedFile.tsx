import { useEffect } from 'react';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { LARGEST_FILE_BYTES } from '@/formats/shoot-json';
import { useShootTasks } from '@/features/shoot/use-shoot-tasks';

/** Takes a chosen file in as a shoot, out of the page's way, or says why not. */
export function ImportedFile({
  file,
  onDone,
}: {
  readonly file: File;
  readonly onDone: (refused: string | undefined) => void;
}) {
  const { importShoot } = useShootTasks();
  const reading = useReading();
  const { read } = reading;
  useEffect(() => {
    let wanted = true;
    void read(file, LARGEST_FILE_BYTES, async (service, one) =>
      service.shoot(await one.text()),
    ).then((found) => wanted && onDone(found.ok ? importShoot(found.value).refused : found.reason));
    return () => {
      wanted = false;
    };
  }, [file, read, importShoot, onDone]);
  return <ReadingNow reading={reading} />;
}
