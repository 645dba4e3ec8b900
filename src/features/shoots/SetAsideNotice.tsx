import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { useSetAside, useShootActions } from '@/records/queries';
import type { SetAside } from '@/records/storage';
import { Button } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';

/** Says which records could not be read and were set aside, and lets them be looked at and mended. */
export function SetAsideNotice() {
  const { data: entries = [] } = useSetAside();
  const [open, setOpen] = useState<SetAside>();
  if (entries.length === 0) return null;
  return (
    <View role="alert" className="gap-3 border-2 border-signal p-3">
      <Text kind="strong">
        {entries.length === 1
          ? 'A record could not be read and was set aside. Nothing of it is lost.'
          : `${entries.length} records could not be read and were set aside. Nothing of them is lost.`}
      </Text>
      {entries.map((entry) => (
        <View key={entry.asideKey} className="gap-2">
          <Text kind="small">{`${nameOf(entry)} Why: ${entry.reason}`}</Text>
          <Button label="Look at it" onPress={() => setOpen(entry)} />
        </View>
      ))}
      {open ? <MendSheet entry={open} onClose={() => setOpen(undefined)} /> : null}
    </View>
  );
}

/** A title, where the text still has one. */
function nameOf({ text }: SetAside): string {
  const title = /"title":\s*"((?:[^"\\]|\\.){1,60})/.exec(text)?.[1];
  return title ? `“${title}”.` : '';
}

/** The text of a record that could not be read: to save, to mend by hand and bring back, to discard. */
function MendSheet({ entry, onClose }: { readonly entry: SetAside; readonly onClose: () => void }) {
  const { discardSetAside, bringBack } = useShootActions();
  const say = useToast();
  const [text, setText] = useState(entry.text);
  const [trouble, setTrouble] = useState(entry.reason);
  const mend = () =>
    void bringBack(entry, text).then((still) => {
      if (still !== undefined) {
        setTrouble(still);
        return;
      }
      say({ text: 'It is back' });
      onClose();
    });
  return (
    <Sheet title="What was set aside" open onClose={onClose}>
      <Text role="status">{`Change this: ${trouble}`}</Text>
      <TextInput
        aria-label="Its text"
        multiline
        value={text}
        onChangeText={setText}
        spellCheck={false}
        className="h-[240px] w-full border border-ink bg-sheet p-2 font-body text-small text-ink"
      />
      <Button label="Bring it back" kind="primary" onPress={mend} />
      <Button
        label="Save its text as a file"
        onPress={() => downloadText('set-aside.txt', entry.text, 'text/plain')}
      />
      <Button
        label="Discard it"
        onPress={() => {
          void discardSetAside(entry.asideKey);
          onClose();
        }}
      />
    </Sheet>
  );
}
