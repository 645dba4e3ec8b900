import { useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/plan/ShootContext';
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

/** The order of a day: what is on, where to be for it, what the day itself does. */
export function DayStep() {
  const { events, watches } = useShootPage().plan.shoot;
  const [tab, setTab] = useState<Tab>(
    events.length === 0 && watches.length > 0 ? 'nature' : 'order',
  );
  const wide = useIsWide();
  return (
    <View className="gap-4">
      <Choice label="Look at" value={tab} options={TABS} onChange={setTab} />
      {tab === 'order' ? <OrderTab wide={wide} /> : null}
      {tab === 'route' ? <RouteTab /> : null}
      {tab === 'nature' ? <NatureTab /> : null}
      {tab === 'rules' ? <RulesTab /> : null}
    </View>
  );
}
