import { useCallback, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { isWild } from '@/answers/step-states';
import { Overlay } from '@/features/shoot/Overlay';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import type { PlanSheet } from '@/features/shoot/plan-use';
import { legsOf, routeDrawn } from '@/features/shoot/route-legs';
import { useShown } from '@/features/shoot/open-shoot';
import { TabLinks, useTab } from '@/features/shoot/TabLinks';
import { TimeFoot } from '@/features/shoot/TimeFoot';
import { DayProvider, useDay, useDayOnRibbon } from '@/features/shoot/use-day';
import { WideFrame } from '@/features/shoot/WideFrame';
import type { Shoot } from '@/records/shoot';
import { useShape } from '@/ui/use-shape';
import { DayAnswer } from './DayAnswer';
import { NatureTab } from './NatureTab';
import { OrderTab } from './OrderTab';
import { RouteTab } from './RouteTab';
import { RulesTab } from './RulesTab';

const ORDER = { id: 'order', name: 'Order' } as const;
const ROUTE = { id: 'route', name: 'Route' } as const;
const NATURE = { id: 'nature', name: 'Nature' } as const;
const RULES = { id: 'rules', name: 'Rules' } as const;
type Tab = 'order' | 'route' | 'nature' | 'rules';

const TITLES: Readonly<Record<Tab, string>> = {
  order: 'Day: now, next and the order',
  route: 'The way through the day',
  nature: 'Tides, feeding and visits',
  rules: 'Rules of the day',
};

/** Tides, feeding and visits are for those who wait for something wild, or kept them before. */
const hasNature = (shoot: Shoot): boolean =>
  shoot.watches.length + shoot.nature.length > 0 || isWild(shoot);

/** The order of a day: what is on, where to be for it, what the day itself does. */
export function DayScreen() {
  return (
    <DayProvider>
      <OpenDay />
    </DayProvider>
  );
}

function OpenDay() {
  const { shoot } = useShown('shoot');
  const wide = useShape() === 'wide';
  const nature = hasNature(shoot);
  // Who waits for something wild without a running order begins with it.
  const waits = nature && shoot.events.length === 0;
  const tabs = waits
    ? [NATURE, ORDER, ROUTE, RULES]
    : [ORDER, ROUTE, ...(nature ? [NATURE] : []), RULES];
  const tab = useTab<Tab>(tabs);
  const links = <TabLinks step="day" label="Parts of Day" tabs={tabs} open={tab} />;
  const part: ReactNode = {
    order: <OrderTab wide={wide} />,
    route: <RouteTab />,
    nature: <NatureTab />,
    rules: <RulesTab />,
  }[tab];
  const foot = <DayFoot />;
  if (wide) {
    return (
      <WideFrame
        title={TITLES[tab]}
        leftIs="table"
        contentKey={tab}
        left={
          <View>
            <View className="px-4 py-3">
              <DayAnswer />
            </View>
            {links}
            <View className="p-4">{part}</View>
          </View>
        }
        middle={<RoutePlan />}
        right={null}
        foot={foot}
      />
    );
  }
  return (
    <PhoneFrame
      title={TITLES[tab]}
      contentKey={tab}
      picture={tab === 'route' ? <RoutePlan /> : undefined}
      tools={links}
      foot={foot}
      second={<View className="px-3 pb-3">{part}</View>}
    >
      {tab === 'route' ? null : (
        <View className="px-3 pt-2">
          <DayAnswer />
        </View>
      )}
    </PhoneFrame>
  );
}

/** The hours with what is shot when, and the walks between. */
function DayFoot() {
  return <TimeFoot stays={useDayOnRibbon()} />;
}

/** The plan with the way walked through the day. */
function RoutePlan() {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { positions } = shoot;
  const { lines } = useDay();
  const route = useMemo(
    () => routeDrawn(legsOf(lines, positions), positions, atMs),
    [lines, positions, atMs],
  );
  const overlay = useCallback((sheet: PlanSheet) => <Overlay {...sheet} route={route} />, [route]);
  return <PlanPicture overlay={overlay} stations={route.stations} />;
}
