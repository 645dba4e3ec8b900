import { useCallback, useState } from 'react';
import { View } from 'react-native';
import Mic from 'lucide-react-native/icons/mic';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useSpeech } from './use-speech';

const LONGEST = 500;

/** A note by voice where the browser has it, else by a few typed words. */
export function NoteSheet({
  open,
  onClose,
  onKeep,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onKeep: (text: string) => void;
}) {
  return (
    <Sheet title="Note" open={open} onClose={onClose}>
      {open ? <NoteForm onKeep={onKeep} /> : null}
    </Sheet>
  );
}

function NoteForm({ onKeep }: { readonly onKeep: (text: string) => void }) {
  const inks = useInks();
  const [text, setText] = useState('');
  const heard = useCallback(
    (words: string) => setText((before) => `${before} ${words}`.trim().slice(0, LONGEST)),
    [],
  );
  const { offered, listening, trouble, listen } = useSpeech(heard);
  return (
    <View className="gap-3">
      {offered ? (
        <>
          <Button
            label={listening ? 'Listening' : 'Speak'}
            kind="primary"
            icon={<Mic color={inks.paper} size={22} />}
            disabled={listening}
            onPress={listen}
          />
          <Text kind="small" ink="quiet">
            Some browsers send what you say to their maker to turn it into text. Without a network,
            type.
          </Text>
        </>
      ) : null}
      {trouble ? <Text role="alert">{trouble}</Text> : null}
      <Field label="Note" value={text} maxLength={LONGEST} onChangeText={setText} />
      <Button
        label="Keep the note"
        disabled={text.trim() === ''}
        onPress={() => onKeep(text.trim())}
      />
    </View>
  );
}
