import { View } from 'react-native';
import { matchedFrames } from '@/answers/matched';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useShown } from '@/features/shoot/open-shoot';
import { TabLinks, useTab, WithParts } from '@/features/shoot/TabLinks';
import { WideFrame } from '@/features/shoot/WideFrame';
import { useShape } from '@/ui/use-shape';
import { EntriesTab } from './EntriesTab';
import { LogAnswer } from './LogAnswer';
import { CaptionsOut } from './CaptionsOut';
import { NamesTab } from './NamesTab';
import { PressSteps } from './PressNames';
import { PicturesTab } from './PicturesTab';
import { TaughtTab } from './TaughtTab';
import { useNames } from './use-names';
import { usePictures } from './use-pictures';

const TABS = [
  { id: 'pictures', name: 'Pictures' },
  { id: 'names', name: 'Names' },
  { id: 'entries', name: 'Entries' },
  { id: 'taught', name: 'Taught' },
] as const;

const TITLES = {
  pictures: 'Log: what is owed and had',
  names: 'Who is on the pictures',
  entries: 'What was tapped',
  taught: 'What it teaches',
} as const;

/** What was done: what is owed against what is had, pictures by their own figures, and what it teaches. */
export function LogScreen() {
  return (
    <WithParts>
      <OpenLog />
    </WithParts>
  );
}

function OpenLog() {
  const { shoot } = useShown('shoot');
  const tab = useTab(TABS);
  const wide = useShape() === 'wide';
  const pictures = usePictures();
  const frames = matchedFrames(shoot);
  const links = <TabLinks step="log" label="Parts of Log" tabs={TABS} open={tab} />;
  const names = useNames(frames);
  const part = {
    pictures: <PicturesTab frames={frames} pictures={pictures} />,
    names: <CaptionsOut names={names} />,
    entries: <EntriesTab frames={frames} />,
    taught: <TaughtTab frames={frames} />,
  }[tab];
  // Names are gone through by the hundred: what is owed stands in the other parts.
  const answer = tab === 'names' ? <NamesTab names={names} /> : <LogAnswer />;
  if (wide) {
    return (
      <WideFrame
        title={TITLES[tab]}
        leftIs="table"
        contentKey={tab}
        left={
          <View>
            {links}
            <View className="px-4 py-3">{answer}</View>
            <View className="p-4">{part}</View>
          </View>
        }
        middle={<PlanPicture />}
        right={null}
      />
    );
  }
  return (
    <PhoneFrame
      title={TITLES[tab]}
      contentKey={tab}
      tools={
        tab === 'names' && !names.none ? (
          <>
            <View className="border-t border-line bg-paper px-3 py-2">
              <PressSteps names={names} />
            </View>
            {links}
          </>
        ) : (
          links
        )
      }
      answer={false}
      foot={null}
      second={<View className="px-3 pb-3">{part}</View>}
    >
      <View className="px-3 pt-2">{answer}</View>
    </PhoneFrame>
  );
}
