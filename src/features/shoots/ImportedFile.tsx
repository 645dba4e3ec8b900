import { useEffect, useState } from 'react';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { LARGEST_FILE_BYTES } from '@/formats/shoot-json';
import { useShootTasks } from '@/features/shoot/use-shoot-tasks';
import { useShootActions } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { ReturnedSheet } from './ReturnedSheet';

/**
 * Takes a chosen file in as a shoot, out of the page's way, or says why not. One that is here already comes back from another
 * phone: what differs is shown before anything is done.
 */
export function ImportedFile({
  file,
  onDone,
}: {
  readonly file: File;
  readonly onDone: (refused: string | undefined) => void;
}) {
  const { importShoot } = useShootTasks();
  const { whole } = useShootActions();
  const reading = useReading();
  const { read } = reading;
  const [known, setKnown] = useState<{ readonly here: Shoot; readonly back: Shoot }>();
  useEffect(() => {
    let wanted = true;
    const take = async () => {
      const found = await read(file, LARGEST_FILE_BYTES, async (service, one) =>
        service.shoot(await one.text()),
      );
      const shoot = found.ok && found.value.ok ? found.value.record : undefined;
      const here = shoot && (await whole(shoot.id));
      if (!wanted) return;
      if (shoot && here) {
        setKnown({ here, back: shoot });
        return;
      }
      if (shoot) importShoot(shoot, false);
      onDone(!found.ok ? found.reason : !found.value.ok ? found.value.reason : undefined);
    };
    void take();
    return () => {
      wanted = false;
    };
  }, [file, read, whole, importShoot, onDone]);
  const done = () => onDone(undefined);
  return (
    <>
      <ReadingNow reading={reading} />
      {known ? (
        <ReturnedSheet
          {...known}
          onBeside={() => {
            importShoot(known.back, true);
            done();
          }}
          onClose={done}
        />
      ) : null}
    </>
  );
}
