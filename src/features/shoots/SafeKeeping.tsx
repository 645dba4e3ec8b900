import { useState } from 'react';
import { View } from 'react-native';
import {
  backupFileName,
  LARGEST_BACKUP_BYTES,
  writeBackup,
  type Backup,
} from '@/formats/backup-json';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { comparedKept, mergedKept } from '@/records/merge-kept';
import { useSafeKeeping, useStorageUse } from '@/records/queries';
import type { Summary } from '@/records/list';
import type { Kept } from '@/records/storage';
import { dayOf } from '@/records/day-said';
import { Button } from '@/ui/Button';
import { chooseFile, downloadText } from '@/ui/files';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { useOffline, type Offline } from '@/ui/use-offline';

/** From this share on one is told that it is getting full. */
const NEARLY_FULL = 0.8;

/** "34 kB", "1.2 MB", "10 GB". */
function sizeSaid(bytes: number): string {
  const [unit, size] = bytes < 1e6 ? ['kB', 1e3] : bytes < 1e9 ? ['MB', 1e6] : ['GB', 1e9];
  const value = bytes / (size as number);
  return `${value < 10 && bytes >= 1e6 ? value.toFixed(1) : Math.round(value)} ${unit as string}`;
}

interface Choosing {
  readonly backup: Backup;
  readonly here: Kept;
}

/** Everything out as one file, and back; how full the device is. */
export function SafeKeeping({
  shoots,
  onRefused,
}: {
  readonly shoots: readonly Summary[] | undefined;
  readonly onRefused: (reason: string | undefined) => void;
}) {
  const { take } = useSafeKeeping();
  const say = useToast();
  const use = useStorageUse(shoots);
  const [choosing, setChoosing] = useState<Choosing>();
  const save = async () => {
    const writtenAt = new Date().toISOString();
    const name = backupFileName(writtenAt);
    const kept = await take();
    downloadText(name, writeBackup({ writtenAt, kept }), 'application/json');
    say({ text: `Backed up ${kept.shoots.length} shoots as ${name}` });
  };
  const reading = useReading();
  const open = async () => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const read = await reading.read(file, LARGEST_BACKUP_BYTES, async (service, one) =>
      service.backup(await one.text()),
    );
    const backup = read.ok ? read.value : undefined;
    const refused = backup && !backup.ok ? backup.reason : !read.ok ? read.reason : undefined;
    onRefused(refused);
    if (backup?.ok) setChoosing({ backup: backup.record, here: await take() });
  };
  const offline = useOffline();
  const full = use ? use.used > use.room * NEARLY_FULL : false;
  return (
    <View role="region" aria-label="Safe keeping" className="gap-3 pt-2">
      <Heading level={2} kind="figure">
        Safe keeping
      </Heading>
      {use ? (
        <Text {...(full && { role: 'alert', kind: 'strong' })} ink={full ? 'signal' : 'quiet'}>
          {`${sizeSaid(use.used)} of ${sizeSaid(use.room)} used.${
            full ? ' Nearly full: back everything up, then delete what is old.' : ''
          }`}
        </Text>
      ) : null}
      {OFFLINE[offline] ? <Text ink="quiet">{OFFLINE[offline]}</Text> : null}
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Button label="Back everything up" onPress={() => void save()} />
        </View>
        <View className="flex-1">
          <Button label="Restore a backup" onPress={() => void open()} />
        </View>
      </View>
      <ReadingNow reading={reading} />
      {choosing ? <RestoreSheet {...choosing} onClose={() => setChoosing(undefined)} /> : null}
    </View>
  );
}

const OFFLINE: Readonly<Record<Offline, string>> = {
  asking: '',
  ready: 'The app itself is kept here too: it opens without a network.',
  cannot: 'This browser can’t keep the app: it needs a network to open.',
};

const count = (number: number, what: string): string =>
  `${number} ${number === 1 ? what : `${what}s`}`;

/** What a backup holds against what is here, and the two ways to put it in place. */
function RestoreSheet({ backup, here, onClose }: Choosing & { readonly onClose: () => void }) {
  const { put } = useSafeKeeping();
  const say = useToast();
  const [trouble, setTrouble] = useState<string>();
  const compared = comparedKept(here, backup.kept);
  const failed = (error: unknown): string =>
    `It could not be put in place, and everything is as it was: ${error instanceof Error ? error.message : String(error)}`;
  const undo = () => put(here).catch((error: unknown) => say({ text: failed(error) }));
  const restore = (kept: Kept, done: string) => {
    // What was said of a restore before, with its own undo, is over.
    say({ text: 'Restoring the backup' });
    return put(kept).then(
      () => {
        say({ text: done, action: { label: 'Undo', onPress: () => void undo() } });
        onClose();
      },
      (error: unknown) => {
        say({ text: 'The backup was not restored' });
        setTrouble(failed(error));
      },
    );
  };
  return (
    <Sheet title="Restore a backup" open onClose={onClose}>
      <Text>{`Written on ${dayOf(backup.writtenAt.slice(0, 16))}, with ${count(compared.shoots, 'shoot')}: ${compared.fresh} not here, ${compared.newerInBackup} newer than here, ${compared.newerHere} older. ${count(compared.onlyHere, 'shoot')} here ${compared.onlyHere === 1 ? 'is' : 'are'} not in it.`}</Text>
      {trouble ? (
        <Text role="alert" kind="strong">
          {trouble}
        </Text>
      ) : null}
      <Button
        label="Merge"
        kind="primary"
        onPress={() => void restore(mergedKept(here, backup.kept), 'Put together with the backup')}
      />
      <Text kind="small" ink="quiet">
        Nothing here goes away; of a shoot in both, the one changed last is kept.
      </Text>
      <Button
        label="Put it in place of all that is here"
        onPress={() => void restore(backup.kept, 'The backup is in place')}
      />
      <Text kind="small" ink="quiet">
        {`Takes away ${count(compared.onlyHere, 'shoot')} that only this device has. It can be undone while this page is open.`}
      </Text>
    </Sheet>
  );
}
