import { useState } from 'react';
import { View } from 'react-native';
import { withShot } from '@/answers/choose-shot';
import { troubleInWords } from '@/features/shoot/words';
import { TECHNIQUE_NAMES, TECHNIQUE_WHY } from '@/features/brief/brief-words';
import { useShootPage } from '@/features/shoot/ShootContext';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { CardTab } from './CardTab';
import { DialsTab } from './DialsTab';
import { ModeSection } from './ModeSection';
import { FocusTab, MotionTab } from './MotionTab';

const TABS = [
  { value: 'dials', label: 'Dials' },
  { value: 'card', label: 'Card' },
  { value: 'motion', label: 'Motion' },
  { value: 'focus', label: 'Focus' },
] as const;
type Tab = (typeof TABS)[number]['value'];

const NO_SHOT = 'none';

/** From the shot to the dials: now, through the hours, for what moves, for focus. */
export function SettingsStep() {
  const { plan } = useShootPage();
  const [tab, setTab] = useState<Tab>('dials');
  const { seen } = plan;
  if (!seen.ok) return <Text>{troubleInWords(seen.trouble)}</Text>;
  return (
    <View className="gap-4">
      <ShotPicker />
      <Choice label="Look at" value={tab} options={TABS} onChange={setTab} />
      {tab === 'dials' ? <DialsTab seen={seen} /> : null}
      {tab === 'card' ? (
        <>
          <CardTab seen={seen} />
          <ModeSection seen={seen} />
        </>
      ) : null}
      {tab === 'motion' ? <MotionTab seen={seen} /> : null}
      {tab === 'focus' ? <FocusTab seen={seen} /> : null}
    </View>
  );
}

/** Which promised shot the dials are for. */
function ShotPicker() {
  const { plan, update } = useShootPage();
  const { shots, choice } = plan.setup;
  const shot = shots.find(({ id }) => id === choice.shotId);
  const technique = shot?.technique ?? 'freeze';
  return (
    <View>
      <Picker
        label="Shot"
        value={choice.shotId ?? NO_SHOT}
        options={[
          ...shots.map(({ id, name }) => ({ value: id, label: name })),
          { value: NO_SHOT, label: 'None: freeze what moves' },
        ]}
        onChange={(id) =>
          update((current) =>
            withShot(
              current,
              current.shots.find((entry) => entry.id === id),
            ),
          )
        }
      />
      <Text kind="small" ink="quiet">
        {`${TECHNIQUE_NAMES[technique]}: ${TECHNIQUE_WHY[technique]}.`}
      </Text>
    </View>
  );
}
