import { View } from 'react-native';
import { matchedFrames, type MatchedFrame } from '@/answers/matched';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useShown } from '@/features/shoot/open-shoot';
import { TabLinks, useTab } from '@/features/shoot/TabLinks';
import { WideFrame } from '@/features/shoot/WideFrame';
import { useShape } from '@/ui/use-shape';
import { EntriesTab } from './EntriesTab';
import { EvenTab } from './EvenTab';
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
  { id: 'even', name: 'Even out' },
  { id: 'entries', name: 'Entries' },
  { id: 'taught', name: 'Taught' },
] as const;

const TITLES = {
  pictures: 'Log: what is owed and had',
  names: 'Who is on the pictures',
  even: 'Lift, crop and level',
  entries: 'What was tapped',
  taught: 'What it teaches',
} as const;

const NO_FRAMES: readonly MatchedFrame[] = [];

/** What was done: what is owed against what is had, pictures by their own figures, and what it teaches. */
export function LogScreen() {
  const { shoot } = useShown('shoot');
  const tab = useTab(TABS);
  const wide = useShape() === 'wide';
  const pictures = usePictures();
  const frames = matchedFrames(shoot);
  const links = <TabLinks step="log" label="Parts of Log" tabs={TABS} open={tab} />;
  // Thousands of pictures are captioned where that is looked at.
  const names = useNames(tab === 'names' ? frames : NO_FRAMES);
  const part = {
    pictures: <PicturesTab frames={frames} pictures={pictures} />,
    names: <CaptionsOut names={names} />,
    even: null,
    entries: <EntriesTab frames={frames} />,
    taught: <TaughtTab frames={frames} />,
  }[tab];
  // Pictures are gone through by the hundred there: what is owed stands in the other parts.
  const answer =
    tab === 'names' ? (
      <NamesTab names={names} />
    ) : tab === 'even' ? (
      <EvenTab frames={frames} />
    ) : (
      <LogAnswer />
    );
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
            {part ? <View className="p-4">{part}</View> : null}
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
      second={part ? <View className="px-3 pb-3">{part}</View> : null}
    >
      <View className="px-3 pt-2">{answer}</View>
    </PhoneFrame>
  );
}
