import type { ErrorBoundaryProps } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';

/**
 * A fault of a whole page, or a page that could not be fetched. It stands on nothing but the storage, so
 * that what is kept can be taken out whatever broke.
 */
export function PageTrouble({ error, retry }: ErrorBoundaryProps) {
  const [trouble, setTrouble] = useState<string>();
  const save = async () => {
    const [{ readKept }, { backupFileName, writeBackup }] = await Promise.all([
      import('@/records/storage'),
      import('@/formats/backup-json'),
    ]);
    const writtenAt = new Date().toISOString();
    const text = writeBackup({ writtenAt, kept: await readKept() });
    downloadText(backupFileName(writtenAt), text, 'application/json');
  };
  return (
    <View role="main" className="flex-1 items-start justify-center gap-4 bg-paper p-6">
      <Heading level={1} kind="title">
        This page met a fault
      </Heading>
      <Text>{`What you made is kept. Why: ${error.message}`}</Text>
      <Button label="Try again" kind="primary" onPress={() => void retry()} />
      <Button
        label="Back everything up"
        onPress={() => void save().catch((fault: unknown) => setTrouble(String(fault)))}
      />
      <Button label="See all shoots" onPress={() => window.location.assign('/')} />
      {trouble ? <Text role="alert">{`It could not be taken out: ${trouble}`}</Text> : null}
    </View>
  );
}
