import { ScrollView, View } from 'react-native';
import { Extras, Warnings } from '@/features/shoot/AnswerPanel';
import { useShootPage } from '@/features/shoot/ShootContext';
import { engraved, troubleInWords } from '@/features/shoot/words';
import { groundClicks } from '@/answers/light-plan';
import { clicksInWords } from '@/features/shoot/light-words';
import type { Shoot } from '@/records/shoot';
import { ChipRow } from '@/ui/ChipRow';
import { Exposure } from '@/ui/Exposure';
import { Text } from '@/ui/Text';
import { NowNext } from './NowNext';
import { Looked, Taps } from './Taps';
import { slotOf, useField, type Seen } from './use-field';
import { useWakeLock } from './use-wake-lock';

/** The one screen while shooting: now, next, the dials as large as they go, and one thumb's work. */
export function FieldStep() {
  const { seen } = useShootPage().plan;
  const awake = useWakeLock();
  return (
    <ScrollView contentContainerClassName="grow justify-between gap-2 pb-2">
      <NowNext awake={awake} />
      {seen.ok ? (
        <>
          <Dials seen={seen} />
          <View className="gap-2 px-4">
            <Switches />
            <Looked seen={seen} />
            <Taps />
          </View>
        </>
      ) : (
        <View className="gap-2 px-4">
          <Text kind="title" role="alert">
            {troubleInWords(seen.trouble)}
          </Text>
          <Switches />
          <Taps />
        </View>
      )}
    </ScrollView>
  );
}

function Dials({ seen }: { readonly seen: Seen }) {
  const { setup } = useShootPage().plan;
  const { view, answer } = seen;
  const slot = slotOf(seen, setup.choice);
  const exposure = slot?.exposure ?? engraved(answer.exposure.settings);
  return (
    <View role="region" aria-label="Settings now" className="gap-1 border-y border-ink px-4 py-1">
      <Exposure {...exposure} largestPx={64} stacked />
      <Extras settings={slot?.settings ?? answer.exposure.settings} />
      <Text kind="small" numberOfLines={3} aria-live="polite">
        {slot ? `${slot.name}: ${slot.rest.join('; ')}.` : seen.sentence}
      </Text>
      <ZoneClicks seen={seen} />
      <Warnings view={view} answer={answer} />
    </View>
  );
}

/** Places shown: more can't be read at a glance. */
const MOST_ZONES = 4;

/** The light elsewhere in clicks from what is set here: what to turn when play goes there. */
function ZoneClicks({ seen }: { readonly seen: Seen }) {
  const { setup, atMs } = useShootPage().plan;
  const { view, answer } = seen;
  const here = answer.light.ev.expected;
  const zones = groundClicks(setup, view, atMs, here)
    .filter(({ id }) => id !== view.mark.id)
    .sort((a, b) => Math.abs(b.clicks) - Math.abs(a.clicks))
    .slice(0, MOST_ZONES);
  if (zones.length === 0) return null;
  return (
    <View
      role="list"
      aria-label="Light elsewhere, in clicks"
      className="flex-row flex-wrap gap-x-3"
    >
      {zones.map(({ id, name, clicks }) => (
        <View key={id} role="listitem" className="max-w-full flex-row items-baseline gap-1">
          <Text kind="figure">{clicksInWords(clicks)}</Text>
          <Text kind="small" className="shrink">
            {name}
          </Text>
        </View>
      ))}
    </View>
  );
}

const OWN = 'own';
type SlotId = NonNullable<Shoot['choice']['slot']> | typeof OWN;
const SLOTS: readonly { readonly value: SlotId; readonly label: string }[] = [
  { value: OWN, label: 'As planned' },
  { value: 'action', label: 'Action' },
  { value: 'still', label: 'Still' },
  { value: 'pan', label: 'Pan' },
];
const NO_SHOT = 'none';

/** Another shot, another place, another memory slot: one press each. */
function Switches() {
  const { shots, positions, choice } = useShootPage().plan.setup;
  const { takeShot, standAt, takeSlot } = useField();
  return (
    <View>
      <ChipRow
        label="Shot"
        value={choice.shotId ?? NO_SHOT}
        options={[
          { value: NO_SHOT, label: 'Freeze what moves' },
          ...shots.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={takeShot}
      />
      <ChipRow
        label="From"
        value={choice.positionId}
        options={positions.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={standAt}
      />
      <ChipRow
        label="Slot"
        value={choice.slot ?? OWN}
        options={SLOTS}
        onChange={(id) => takeSlot(id === OWN ? undefined : id)}
      />
    </View>
  );
}
