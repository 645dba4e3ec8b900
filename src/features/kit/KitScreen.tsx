import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { shotsServed } from '@/answers/bag';
import { storesOf } from '@/answers/stores';
import { twoBodies } from '@/answers/two-bodies';
import { Overlay } from '@/features/shoot/Overlay';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import type { PlanSheet } from '@/features/shoot/plan-use';
import { useShown } from '@/features/shoot/open-shoot';
import { TabLinks, useTab } from '@/features/shoot/TabLinks';
import { WideFrame } from '@/features/shoot/WideFrame';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { BagTab } from './BagTab';
import { servedInWords } from './bag-words';
import { HandControls, SecondBody, secondInWords } from './HandsTab';
import { PackTab } from './PackTab';
import { ServedList } from './ServedList';
import { StoresTab } from './StoresTab';
import { bodyRings } from './two-bodies-words';
import { weatherOf } from './weather';
import { WeatherTab } from './WeatherTab';

const TABS = [
  { id: 'hands', name: 'Hands' },
  { id: 'bag', name: 'Bag' },
  { id: 'frames', name: 'Frames' },
  { id: 'weather', name: 'Weather' },
  { id: 'pack', name: 'Pack' },
] as const;
type Tab = (typeof TABS)[number]['id'];

const TITLES: Readonly<Record<Tab, string>> = {
  hands: 'Kit: what the bag serves',
  bag: 'What is in the bag',
  frames: 'Frames, cards and batteries',
  weather: 'Weather on kit and people',
  pack: 'Packing list',
};

/** The kit of a shoot: what the bag can serve, what is in the hands, what to carry. */
export function KitScreen() {
  const { setup, shoot } = useShown('setup', 'shoot');
  const tab = useTab(TABS);
  const wide = useShape() === 'wide';
  const { kit, shots, light, place } = setup;
  const served = useMemo(() => shotsServed(setup), [setup]);
  const { air, startLocal, endLocal, brief } = shoot;
  const whose = shoot.shooters.find(({ id }) => id === shoot.choice.shooterId)?.name;
  const weather = useMemo(
    () => weatherOf({ air, light, kit, place, startLocal, endLocal }),
    [air, light, kit, place, startLocal, endLocal],
  );
  const stores = useMemo(
    () => storesOf({ kit, shots, brief }, weather.coldestC),
    [kit, shots, brief, weather],
  );
  const tabs = <TabLinks step="kit" label="Parts of Kit" tabs={TABS} open={tab} />;
  const part: ReactNode = {
    hands: null,
    bag: <BagTab />,
    frames: <StoresTab stores={stores} />,
    weather: <WeatherTab weather={weather} />,
    pack: <PackTab stores={stores} weather={weather} />,
  }[tab];
  const head = (
    <View className="gap-2">
      <Heading level={3} kind="title">
        {servedInWords(served)}
      </Heading>
      {whose ? <Text kind="small" ink="quiet">{`${whose}’s bag`}</Text> : null}
      <ServedList served={served} />
    </View>
  );
  if (wide) return <KitWide tab={tab} tabs={tabs} part={part} head={head} />;
  return (
    <PhoneFrame
      title={TITLES[tab]}
      contentKey={tab}
      tools={tabs}
      second={
        tab === 'hands' ? (
          <View className="gap-3 px-3 pb-4">
            <HandControls />
            <SecondStrap />
          </View>
        ) : null
      }
    >
      <View className="p-3">{tab === 'hands' ? head : part}</View>
    </PhoneFrame>
  );
}

function KitWide({
  tab,
  tabs,
  part,
  head,
}: {
  readonly tab: Tab;
  readonly tabs: ReactNode;
  readonly part: ReactNode;
  readonly head: ReactNode;
}) {
  return (
    <WideFrame
      title={TITLES[tab]}
      contentKey={tab}
      left={
        <View>
          {tabs}
          <View className="gap-5 p-4">
            {tab === 'hands' ? (
              <>
                {head}
                <HandControls />
                <SecondBody />
              </>
            ) : (
              part
            )}
          </View>
        </View>
      }
      middle={<RangesPlan />}
    />
  );
}

/** The second strap in a line; its body and lens a press deeper. */
function SecondStrap() {
  const { kit } = useShown('setup').setup;
  const [open, setOpen] = useState(false);
  return (
    <View role="list" aria-label="Second strap">
      <RowButton name="Second body" detail={secondInWords(kit)} onPress={() => setOpen(true)} />
      <Sheet title="Second body" open={open} onClose={() => setOpen(false)}>
        <SecondBody />
      </Sheet>
    </View>
  );
}

/** The plan with the ranges of two bodies, where a second is carried. */
function RangesPlan() {
  const { setup, seen } = useShown('setup', 'seen');
  const { kit } = setup;
  const view = seen.ok ? seen.view : undefined;
  const overlay = useCallback(
    (sheet: PlanSheet) => {
      const both = view && twoBodies(kit, view);
      return <Overlay {...sheet} rings={both && view ? bodyRings(both, view) : undefined} />;
    },
    [view, kit],
  );
  return <PlanPicture overlay={overlay} onlyInHand />;
}
