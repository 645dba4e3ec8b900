import { useState } from 'react';
import { View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { lightInWords, sunInWords } from '@/features/shoot/words';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { DaySection } from './DaySection';
import { FlickerSection } from './FlickerSection';
import { MeterSection } from './MeterSection';
import { ReadingsSection } from './ReadingsSection';
import { SkyControls } from './SkyControls';

/** The light of the shoot: as computed, as measured, and what cameras make of it. */
export function LightStep() {
  const { plan, update } = useShootPage();
  const { shoot, seen, hours, clock, atMs } = plan;
  const [open, setOpen] = useState<'flicker' | 'meter'>();
  const close = () => setOpen(undefined);
  return (
    <View className="gap-5">
      {seen.ok ? (
        <Text>
          {sunInWords(seen.answer.light.sun)}. {lightInWords(seen.answer)} on {seen.view.mark.name}.
        </Text>
      ) : null}
      <ReadingsSection />
      <DaySection />
      <SkyControls shoot={shoot} hours={hours} clock={clock} atMs={atMs} update={update} />
      <View className="gap-2">
        <Button label="Flickering lamps" onPress={() => setOpen('flicker')} />
        <Button label="Scenes that fool a meter" onPress={() => setOpen('meter')} />
      </View>
      <Sheet title="Flickering lamps" open={open === 'flicker'} onClose={close}>
        <FlickerSection />
      </Sheet>
      <Sheet title="Scenes that fool a meter" open={open === 'meter'} onClose={close}>
        <MeterSection />
      </Sheet>
    </View>
  );
}
