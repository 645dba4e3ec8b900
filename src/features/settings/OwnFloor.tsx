import { View } from 'react-native';
import { formatShutter } from '@/core';
import { DialStepper } from '@/features/shoot/DialStepper';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { View as Seen } from '@/answers/view';
import { CLASSES } from '@/presets/classes';
import { SHELF } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';

const SLOWEST_S = 1 / 8;
const FASTEST_S = 1 / 8000;

/** Never slower than this: a floor of one's own for what the subject is, kept for every shoot. */
export function OwnFloor({ view }: { readonly view: Seen }) {
  const { update } = useEdits();
  const taught = useShown('setup').setup.choice.floors?.[view.classId];
  const { record: shelf, change } = useSingle(SHELF);
  const { id, name, mustS } = CLASSES[view.classId];
  // A pan and streaks are slow by choice: no floor is theirs.
  if (!shelf || view.times.kept) return null;
  const subjectId = view.subject.basedOn ?? view.subject.id;
  const ofSubject = shelf.floors[subjectId];
  const own = ofSubject ?? shelf.floors[id];
  const key = ofSubject === undefined ? id : subjectId;
  const set = (shutterS: number | undefined, of = key) => {
    // One floor rules: that of the subject or that of its kind.
    const next = ({ [key]: _old, ...others }: Readonly<Record<string, number>>) =>
      shutterS === undefined ? others : { ...others, [of]: shutterS };
    change((now) => ({ ...now, floors: next(now.floors) }));
    // The shoot keeps a copy, so that its file answers the same elsewhere.
    update((current) => ({
      ...current,
      kit: { ...current.kit, floors: next(current.kit.floors ?? {}) },
    }));
  };
  return (
    <View role="group" aria-label="Your own floor" className="gap-1">
      {taught !== undefined && taught < (own ?? Infinity) ? (
        <Text kind="small">
          {`Earlier shoots taught this plan: never slower than ${formatShutter(taught)} for ${name}. It can be left out in Brief.`}
        </Text>
      ) : null}
      {own === undefined ? (
        <>
          <Text kind="small" ink="quiet">
            {`Never slower than ${formatShutter(mustS)} for this kind of subject (${name}), as people set it.`}
          </Text>
          <Button label="Set a floor of your own" onPress={() => set(mustS)} />
        </>
      ) : (
        <>
          <DialStepper
            kind="shutter"
            label="Never slower than"
            value={own}
            least={SLOWEST_S}
            most={FASTEST_S}
            note={`your floor for ${key === id ? name : view.subject.name}, in every shoot`}
            onChange={(shutterS) => set(shutterS)}
          />
          <Choice
            label="It holds for"
            value={key === id ? 'kind' : 'subject'}
            options={[
              { value: 'kind', label: `All of it: ${name}` },
              { value: 'subject', label: view.subject.name },
            ]}
            onChange={(of) => set(own, of === 'kind' ? id : subjectId)}
          />
          <Button label="Drop your own floor" onPress={() => set(undefined)} />
        </>
      )}
    </View>
  );
}
