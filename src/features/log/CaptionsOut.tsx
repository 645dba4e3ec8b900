import { useState } from 'react';
import { View } from 'react-native';
import { captionsOf } from '@/answers/captions';
import { useShown } from '@/features/shoot/open-shoot';
import { Button } from '@/ui/Button';
import { downloadBlob } from '@/ui/files';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { readFileApart } from '@/workers/files-client';
import { CaptionSheet } from './CaptionSheet';
import { unsettledInWords } from './caption-words';
import { ContactSheets } from './ContactSheets';
import type { Names } from './use-names';

/** How captions are written, and their way out. */
export function CaptionsOut({ names }: { readonly names: Names }) {
  const { shoot } = useShown('shoot');
  const say = useToast();
  const [open, setOpen] = useState<'pattern' | 'contacts'>();
  const { asTaken, how, none, doubtful } = names;
  const here = names.captioned[names.at];
  const save = async () => {
    const captions = captionsOf(shoot, asTaken, how);
    try {
      const zip = await readFileApart((service) => service.captions(captions));
      const name = `captions-${shoot.startLocal.slice(0, 10)}.zip`;
      downloadBlob(name, new Blob([new Uint8Array(zip)], { type: 'application/zip' }));
      say({ text: `${name}: ${captions.length} sidecars and a table` });
    } catch (error) {
      say({ text: `The captions could not be written: ${(error as Error).message}` });
    }
  };
  if (none) return null;
  return (
    <View className="gap-2 pt-4">
      <Button label="How captions are written" onPress={() => setOpen('pattern')} />
      <Button label="Save the captions" kind="primary" onPress={() => void save()} />
      {doubtful > 0 ? <Text>{unsettledInWords(doubtful)}</Text> : null}
      <Text kind="small" ink="quiet">
        An XMP sidecar for each picture, named after it, and a table, in one ZIP: put the sidecars
        beside the pictures, and picture editors read them. The pictures themselves are not touched.
      </Text>
      <Button label="Contact sheets (PDF)" onPress={() => setOpen('contacts')} />
      {open === 'pattern' ? (
        <CaptionSheet
          reads={here && captionsOf(shoot, [here], how)[0]?.text}
          onClose={() => setOpen(undefined)}
        />
      ) : null}
      {open === 'contacts' ? (
        <ContactSheets names={names} onClose={() => setOpen(undefined)} />
      ) : null}
    </View>
  );
}
