import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { shotsServed } from '@/answers/bag';
import { servedInWords } from './bag-words';
import { BagTab } from './BagTab';
import { HandsTab } from './HandsTab';
import { PackTab } from './PackTab';
import { storesOf } from '@/answers/stores';
import { StoresTab } from './StoresTab';
import { weatherOf } from './weather';
import { WeatherTab } from './WeatherTab';

const TABS = [
  { value: 'hands', label: 'Hands' },
  { value: 'bag', label: 'Bag' },
  { value: 'stores', label: 'Frames' },
  { value: 'weather', label: 'Weather' },
  { value: 'pack', label: 'Pack' },
] as const;
type Tab = (typeof TABS)[number]['value'];

/** The kit of a shoot: what is in the hands, what the bag can serve, what to carry. */
export function KitStep() {
  const { setup, shoot } = useShootPage().plan;
  const [tab, setTab] = useState<Tab>('hands');
  const { kit, marks, positions, shots, subjects, light, place } = setup;
  const served = useMemo(
    () => shotsServed({ kit, marks, positions, shots, subjects }),
    [kit, marks, positions, shots, subjects],
  );
  const { air, startLocal, endLocal, brief } = shoot;
  const weather = useMemo(
    () => weatherOf({ air, light, kit, place, startLocal, endLocal }),
    [air, light, kit, place, startLocal, endLocal],
  );
  const stores = useMemo(
    () => storesOf({ kit, shots, brief }, weather.coldestC),
    [kit, shots, brief, weather],
  );
  return (
    <View className="gap-4">
      <Text kind="figure">{servedInWords(served)}</Text>
      <Choice label="Look at" value={tab} options={TABS} onChange={setTab} />
      {tab === 'hands' ? <HandsTab /> : null}
      {tab === 'bag' ? <BagTab served={served} /> : null}
      {tab === 'stores' ? <StoresTab stores={stores} /> : null}
      {tab === 'weather' ? <WeatherTab weather={weather} /> : null}
      {tab === 'pack' ? <PackTab stores={stores} weather={weather} /> : null}
    </View>
  );
}
