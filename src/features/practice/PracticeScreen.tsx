import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { followsIn } from '@/answers/signs';
import { useShown } from '@/features/shoot/open-shoot';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { StepFrame } from '@/features/shoot/StepFrame';
import { TabLinks, useTab } from '@/features/shoot/TabLinks';
import { usePicture } from '@/features/shoot/ThroughLens';
import { WideFrame } from '@/features/shoot/WideFrame';
import { troubleInWords } from '@/features/shoot/words';
import { Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { DRILLS, type DrillFrameProps } from './drill-frame';
import { Drill } from './drills';
import type { Rehearsal } from './rehearsal';

/** Practice in a shoot: with its subject, place, lens and light. */
export function PracticeScreen() {
  const { seen, setup, atMs, shoot } = useShown('seen', 'setup', 'atMs', 'shoot');
  const picture = usePicture();
  const drill = useTab(DRILLS);
  const router = useRouter();
  if (!seen.ok || !picture) {
    return (
      <StepFrame title="Practice">
        <Text className="p-4">{seen.ok ? '' : troubleInWords(seen.trouble)}</Text>
      </StepFrame>
    );
  }
  const rehearsal: Rehearsal = {
    ...{ setup, picture, atMs },
    ...{ shootId: shoot.id, follows: followsIn(shoot.log.entries) },
  };
  return (
    <Drill
      key={drill}
      {...{ drill, rehearsal }}
      Frame={InShoot}
      onOpen={(next) => router.replace(`/shoot/${shoot.id}/practice/${next}`)}
    />
  );
}

function Tabs() {
  return <TabLinks step="practice" label="Parts of Practice" tabs={DRILLS} open={useTab(DRILLS)} />;
}

function InShoot({ title, picture, children }: DrillFrameProps) {
  const wide = useShape() === 'wide';
  const work = <View className="gap-3 p-3">{children}</View>;
  if (wide) {
    return (
      <WideFrame
        title={title}
        left={
          <>
            <Tabs />
            {picture ? work : null}
          </>
        }
        leftIs="field"
        middle={picture ?? <Scrolled>{work}</Scrolled>}
        right={null}
      />
    );
  }
  return (
    <PhoneFrame title={title} picture={picture} tools={<Tabs />} answer={false} foot={null}>
      {work}
    </PhoneFrame>
  );
}

function Scrolled({ children }: { readonly children: ReactNode }) {
  return (
    <ScrollView tabIndex={0} contentContainerClassName="mx-auto w-full max-w-[640px] p-4">
      {children}
    </ScrollView>
  );
}
