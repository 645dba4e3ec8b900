import { useMemo } from 'react';
import { View } from 'react-native';
import { byClient, captionsOf, type ClientCaptions } from '@/answers/captions';
import { useShown } from '@/features/shoot/open-shoot';
import { usePrinting } from '@/features/shoot/use-printing';
import type { ContactSheet } from '@/formats/contact-sheet';
import { fileStem } from '@/formats/shoot-json';
import { dayOf } from '@/records/day-said';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { contactsPrinted } from '@/workers/print-client';
import { picturesInWords } from './caption-words';
import { thumbnailBytes } from './thumbnails';
import type { Names } from './use-names';

/** Contact sheets on paper: of all, and for each client. */
export function ContactSheets({
  names: { asTaken, how },
  onClose,
}: {
  readonly names: Names;
  readonly onClose: () => void;
}) {
  const { shoot } = useShown('shoot');
  const { printing, save } = usePrinting();
  const { captions, keyOf, clients } = useMemo(() => {
    const all = captionsOf(shoot, asTaken, how);
    const keys = asTaken.flatMap(({ press }) => press.frames.map(({ key }) => key));
    return {
      captions: all,
      keyOf: new Map(all.map((caption, i) => [caption, keys[i] ?? ''])),
      clients: byClient(all),
    };
  }, [shoot, asTaken, how]);
  const someSmall = captions.some((caption) => thumbnailBytes(shoot.id, keyOf.get(caption) ?? ''));
  /** @param client of whom; all when not given */
  const sheetOf = (of: ClientCaptions['captions'], client: string | undefined) => {
    const sheet: ContactSheet = {
      title: client === undefined ? shoot.title : `${shoot.title}: ${client}`,
      under: [dayOf(shoot.startLocal), picturesInWords(of.length)],
      foot: [shoot.title, client, how.rights].filter(Boolean).join(', '),
      pictures: of.map((caption) => {
        const thumbnail = thumbnailBytes(shoot.id, keyOf.get(caption) ?? '');
        return {
          ...{ name: caption.file, caption: caption.text },
          ...(caption.stars !== undefined && { stars: caption.stars }),
          ...(thumbnail && { thumbnail }),
        };
      }),
    };
    return contactsPrinted(sheet);
  };
  const row = (name: string, of: ClientCaptions['captions'], client?: string) => (
    <RowButton
      key={name}
      name={name}
      detail={picturesInWords(of.length)}
      onPress={() =>
        save(
          () => sheetOf(of, client),
          `${fileStem(`${shoot.title} ${client ?? ''}`)}-contacts.pdf`,
        )
      }
    />
  );
  return (
    <Sheet title="Contact sheets" open onClose={onClose}>
      <Text>
        {someSmall
          ? 'Each picture small, with its name and caption, as shown now: kept, or all.'
          : 'Small pictures last as long as the page: read the files again to have them on paper. Names and captions are there.'}
      </Text>
      {printing ? <Text role="status">Putting it on paper…</Text> : null}
      <View role="list" aria-label="Contact sheets">
        {row('All', captions)}
        {clients.map(({ client, captions: of }) =>
          client === undefined
            ? clients.length > 1
              ? row('Without a client', of, 'without a client')
              : null
            : row(client, of, client),
        )}
      </View>
    </Sheet>
  );
}
