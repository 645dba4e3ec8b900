import { useState } from 'react';
import { View } from 'react-native';
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
  const [tab, setTab] = useState<Tab>('order');
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
