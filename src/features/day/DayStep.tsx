import { useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import { Choice } from '@/ui/Choice';
import { useIsWide } from '@/ui/use-is-wide';
import { NatureTab } from './NatureTab';
import { OrderTab } from './OrderTab';
import { RouteTab } from './RouteTab';
import { RulesTab } from './RulesTab';

const TABS = [
  { value: 'order', label: 'Order' },
  { value: 'route', label: 'Route' },
  { value: 'nature', label: 'Nature' },
  { value: 'rules', label: 'Rules' },
] as const;
type Tab = (typeof TABS)[number]['value'];

/** Tides, feeding and visits are for those who wait for something wild, or kept them before. */
const hasNature = (shoot: Shoot): boolean =>
  shoot.watches.length + shoot.nature.length > 0 ||
  shoot.marks.some(({ subjectId }) => subjectOf(shoot, subjectId).cautions?.includes('wildlife'));

/** The order of a day: what is on, where to be for it, what the day itself does. */
export function DayStep() {
  const { shoot } = useShootPage().plan;
  const { events, watches } = shoot;
  const [tab, setTab] = useState<Tab>(
    events.length === 0 && watches.length > 0 ? 'nature' : 'order',
  );
  const wide = useIsWide();
  return (
    <View className="gap-4">
      <Choice
        label="Look at"
        value={tab}
        options={hasNature(shoot) ? TABS : TABS.filter(({ value }) => value !== 'nature')}
        onChange={setTab}
      />
      {tab === 'order' ? <OrderTab wide={wide} /> : null}
      {tab === 'route' ? <RouteTab /> : null}
      {tab === 'nature' ? <NatureTab /> : null}
      {tab === 'rules' ? <RulesTab /> : null}
    </View>
  );
}
