import { useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { Choice } from '@/ui/Choice';
import { EntriesTab } from './EntriesTab';
import { matchedFrames } from '@/answers/matched';
import { PicturesTab } from './PicturesTab';
import { TaughtTab } from './TaughtTab';
import { usePictures } from './use-pictures';

const TABS = [
  { value: 'pictures', label: 'Pictures' },
  { value: 'entries', label: 'Entries' },
  { value: 'taught', label: 'Taught' },
] as const;
type Tab = (typeof TABS)[number]['value'];

/** What was done: pictures by their own figures, what was tapped, and what it teaches. */
export function LogStep() {
  const { shoot } = useShootPage().plan;
  const [tab, setTab] = useState<Tab>('pictures');
  // Here, so that reading goes on while another tab is looked at.
  const pictures = usePictures();
  const frames = matchedFrames(shoot);
  return (
    <View className="gap-4">
      <Choice label="Look at" value={tab} options={TABS} onChange={setTab} />
      {tab === 'pictures' ? <PicturesTab frames={frames} pictures={pictures} /> : null}
      {tab === 'entries' ? <EntriesTab frames={frames} /> : null}
      {tab === 'taught' ? <TaughtTab frames={frames} /> : null}
    </View>
  );
}
