import { useWindowDimensions, View } from 'react-native';
import { groundClicks } from '@/answers/light-plan';
import { Extras, Warnings } from '@/features/shoot/AnswerPanel';
import { untilInWords } from '@/features/shoot/exposure-words';
import { clicksInWords } from '@/features/shoot/light-words';
import { isOneOfMany, lensTaken } from '@/features/shoot/lens-words';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useEdits, useLooked, useShown } from '@/features/shoot/open-shoot';
import { TimeFoot } from '@/features/shoot/TimeFoot';
import { PeopleOwed, useOwedLines } from '@/features/shoot/PeopleOwed';
import { DayProvider } from '@/features/shoot/use-day';
import { WideFrame } from '@/features/shoot/WideFrame';
import { engraved, troubleInWords } from '@/features/shoot/words';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Exposure } from '@/ui/Exposure';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { isInHand, lensToTake } from './as-planned';
import { NowNext } from './NowNext';
import { Looked, Taps } from './Taps';
import { slotOf, useField, type Seen } from './use-field';
import { FieldTimeContext, useFieldTime, useFollowedTime } from './use-field-time';
import { usePlanFollowed, usePlannedStay } from './use-plan-followed';
import { useWakeLock } from './use-wake-lock';

const TITLE = 'Field: now, next and the dials';
/** Lower than this, not all fits at its largest. */
const LOW_BELOW_PX = 800;
/** On phones as narrow as this each third of a line is needed whole. */
const NARROW_BELOW_PX = 360;
/** Lower still, upright, shutter, aperture and ISO share a line. */
const ONE_LINE_BELOW_PX = 700;

/** The one screen while shooting: now, next, the dials as large as they go, and one thumb's work. */
export function FieldScreen() {
  const { shoot, hours } = useLooked('shoot', 'hours');
  const { update } = useEdits();
  const time = useFollowedTime(hours, shoot.place.timeZone, update);
  return (
    <FieldTimeContext.Provider value={time}>
      <DayProvider>
        <OpenField />
      </DayProvider>
    </FieldTimeContext.Provider>
  );
}

function OpenField() {
  const { seen } = useShown('seen');
  const { following } = useFieldTime();
  usePlanFollowed();
  const awake = useWakeLock();
  const shape = useShape();
  // A low screen shows less of each, and all of it.
  const owing = useOwedLines().length > 0;
  const { height } = useWindowDimensions();
  const low = (height < LOW_BELOW_PX || owing) && shape !== 'wide';
  const dense = low || owing;
  // There the clock moves the hand, not the thumb.
  const foot = following ? null : <TimeFoot />;
  const figures = (
    <View className="gap-1">
      <NowNext awake={awake} low={low} owing={owing} />
      <View className="px-3">
        <PeopleOwed brief />
      </View>
      {seen.ok ? (
        <Dials seen={seen} low={dense} />
      ) : (
        <View className="px-3">
          <Text kind="strong" role="alert">
            {troubleInWords(seen.trouble)}
          </Text>
        </View>
      )}
    </View>
  );
  const thumb = (
    <View className={`gap-2 px-3 ${low ? 'py-1' : 'py-2'}`}>
      <Switches />
      {seen.ok ? <Looked seen={seen} few={dense} /> : null}
      <Taps />
    </View>
  );
  if (shape === 'wide') {
    return (
      <WideFrame
        title={TITLE}
        leftIs="field"
        left={
          <View className="grow justify-between">
            {figures}
            {thumb}
          </View>
        }
        middle={<PlanPicture />}
        right={null}
        foot={foot}
      />
    );
  }
  return (
    <PhoneFrame title={TITLE} answer={false} foot={foot} second={thumb}>
      {figures}
    </PhoneFrame>
  );
}

function Dials({ seen, low }: { readonly seen: Seen; readonly low: boolean }) {
  const { height, width } = useWindowDimensions();
  const lowest = height < ONE_LINE_BELOW_PX && width < height;
  const { setup, outlook, atMs, clock } = useShown('setup', 'outlook', 'atMs', 'clock');
  const { answer } = seen;
  const slot = slotOf(seen, setup.choice);
  const held = Object.keys(setup.choice.held).length > 0;
  const exposure = slot?.exposure ?? engraved(answer.exposure.settings);
  return (
    <View role="region" aria-label="Settings now" className="border-y border-ink px-3 py-1">
      <Exposure {...exposure} largestPx={low ? 40 : 52} stacked={!lowest} />
      <Extras settings={slot?.settings ?? answer.exposure.settings} />
      <Text kind="small" numberOfLines={5} aria-live="polite" className="pt-1">
        {slot
          ? `${slot.name}: ${slot.rest.join('; ')}.`
          : [
              isOneOfMany(setup.kit) && !lowest ? lensTaken(setup.kit) : '',
              ...untilInWords(answer.exposure, outlook, { atMs, clock, held }),
            ]
              .filter(Boolean)
              .join(', ')}
      </Text>
      <LensAsPlanned />
      <ZoneClicks seen={seen} most={lowest ? 1 : low ? 2 : 4} />
      <Warnings />
    </View>
  );
}

/** What the plan has for the place one is at, where something else is in the hands: by a press. */
function LensAsPlanned() {
  const { shoot } = useShown('shoot');
  const { takeLens } = useField();
  const stay = usePlannedStay();
  const worn = stay && !shoot.choice.elsewhere && isInHand(shoot, stay) && lensToTake(shoot, stay);
  if (!worn) return null;
  return <Button label={`Take the ${worn.name}, as planned`} onPress={() => takeLens(stay)} />;
}

/** The light elsewhere in clicks from what is set here: what to turn when play goes there. */
function ZoneClicks({
  seen,
  most,
}: {
  readonly seen: Seen;
  /** Places shown: more can't be read at a glance. */
  readonly most: number;
}) {
  const { setup, atMs } = useShown('setup', 'atMs');
  const { view, answer } = seen;
  const here = answer.light.ev.expected;
  const zones = groundClicks(setup, view, atMs, here)
    .filter(({ id }) => id !== view.mark.id)
    .sort((a, b) => Math.abs(b.clicks) - Math.abs(a.clicks))
    .slice(0, most);
  if (zones.length === 0) return null;
  return (
    <View
      role="list"
      aria-label="Light elsewhere, in clicks"
      className="flex-row flex-wrap gap-x-3"
    >
      {zones.map(({ id, name, clicks }) => (
        <View key={id} role="listitem" className="max-w-full flex-row items-baseline gap-1">
          <Text kind="strong">{clicksInWords(clicks)}</Text>
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

/** Another shot, another place, another memory slot. */
function Switches() {
  const { shots, positions, choice } = useShown('setup').setup;
  const { takeShot, standAt, takeSlot } = useField();
  // The longest names are those of shots and places; on the narrowest phone there is nothing to spare for them.
  const narrow = useWindowDimensions().width < NARROW_BELOW_PX;
  return (
    <View className="flex-row gap-2">
      <View className={`min-w-0 ${narrow ? 'flex-1' : 'flex-[1.3]'}`}>
        <Picker
          large
          label="Shot"
          value={choice.shotId ?? NO_SHOT}
          options={[
            { value: NO_SHOT, label: 'Freeze what moves' },
            ...shots.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={takeShot}
        />
      </View>
      <View className={`min-w-0 ${narrow ? 'flex-1' : 'flex-[1.2]'}`}>
        <Picker
          large
          label="From"
          value={choice.positionId}
          options={positions.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={standAt}
        />
      </View>
      <View className="min-w-0 flex-[0.95]">
        <Picker
          large
          label="Slot"
          value={choice.slot ?? OWN}
          options={SLOTS}
          onChange={(id) => takeSlot(id === OWN ? undefined : id)}
        />
      </View>
    </View>
  );
}
