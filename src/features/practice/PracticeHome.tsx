import { Navigator, usePathname, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { ScrollView, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { TabRow } from '@/features/shoot/TabLinks';
import { IconButton } from '@/ui/Button';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useShape } from '@/ui/use-shape';
import { DRILLS, type DrillFrameProps, type DrillId } from './drill-frame';
import { Drill } from './drills';
import { HomeFields } from './HomeFields';
import { useHome, usePractice } from './rehearsal';

/** Practice at home, without a shoot. */
export function PracticeHome() {
  return (
    <Navigator>
      <Practised />
    </Navigator>
  );
}

const useDrill = (): DrillId => {
  const part = usePathname().split('/')[2];
  return (DRILLS.find(({ id }) => id === part) ?? DRILLS[0]).id;
};

function Practised() {
  const { practice } = usePractice();
  const rehearsal = useHome(practice?.home);
  const drill = useDrill();
  const router = useRouter();
  if (!practice) return null;
  if (!rehearsal) {
    return (
      <AtHome title="Practice">
        <Text role="alert">
          No lens focuses so near: set the subject further off, or take another lens.
        </Text>
        <HomeFields />
      </AtHome>
    );
  }
  return (
    <Drill
      key={drill}
      {...{ drill, rehearsal }}
      Frame={AtHome}
      onOpen={(next) => router.replace(`/practice/${next}`)}
    />
  );
}

function Bar() {
  const router = useRouter();
  const inks = useInks();
  return (
    <View role="banner" className="flex-row items-center border-b border-ink">
      <IconButton label="All shoots" onPress={() => router.navigate('/')}>
        <ArrowLeft color={inks.ink} size={24} />
      </IconButton>
      <Heading level={1} kind="figure" className="grow">
        Practice
      </Heading>
      <SchemeButton />
    </View>
  );
}

function Parts() {
  return (
    <TabRow
      label="Parts of Practice"
      tabs={DRILLS}
      open={useDrill()}
      hrefOf={(drill) => (drill === DRILLS[0].id ? '/practice' : `/practice/${drill}`)}
    />
  );
}

/** Upright the picture over its work; level or wide beside it. */
function AtHome({ title, picture, children }: DrillFrameProps) {
  const upright = useShape() === 'upright';
  const work = (
    <ScrollView
      tabIndex={0}
      keyboardShouldPersistTaps="handled"
      contentContainerClassName="mx-auto w-full max-w-[640px] gap-3 p-4"
    >
      {children}
    </ScrollView>
  );
  return (
    <View className="absolute inset-0 bg-paper">
      <Head>
        <title>Practice · Bright Perch</title>
      </Head>
      <Bar />
      <View role="main" className={`min-h-0 flex-1 ${upright ? '' : 'flex-row'}`}>
        <Heading level={2} tabIndex={-1} className="sr-only">
          {title}
        </Heading>
        {picture ? (
          <View className={upright ? 'min-h-[160px] flex-1' : 'min-w-0 flex-[60]'}>{picture}</View>
        ) : null}
        <View
          className={
            picture
              ? upright
                ? 'max-h-[52%] shrink border-t border-ink'
                : 'min-w-0 flex-[40] border-l border-ink'
              : 'min-h-0 flex-1'
          }
        >
          {work}
        </View>
      </View>
      <Parts />
    </View>
  );
}
