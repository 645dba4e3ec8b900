import { View } from 'react-native';
import { formatShutter } from '@/core';
import { DialStepper } from '@/features/plan/DialStepper';
import { useShootPage } from '@/features/plan/ShootContext';
import type { View as Seen } from '@/features/plan/view';
import { CLASSES } from '@/presets/classes';
import { SHELF } from '@/records/storage';
import { useSingle } from '@/records/use-single';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

const SLOWEST_S = 1 / 8;
const FASTEST_S = 1 / 8000;

/** Never slower than this: a floor of one's own for what the subject is, kept for every shoot. */
export function OwnFloor({ view }: { readonly view: Seen }) {
  const { update } = useShootPage();
  const { record: shelf, change } = useSingle(SHELF);
  const { id, name, mustS } = CLASSES[view.classId];
  // A pan and streaks are slow by choice: no floor is theirs.
  if (!shelf || view.times.kept) return null;
  const own = shelf.floors[id];
  const set = (shutterS: number | undefined) => {
    const next = ({ [id]: _old, ...others }: Readonly<Record<string, number>>) =>
      shutterS === undefined ? others : { ...others, [id]: shutterS };
    change((now) => ({ ...now, floors: next(now.floors) }));
    // The shoot keeps a copy, so that its file answers the same elsewhere.
    update((current) => ({
      ...current,
      kit: { ...current.kit, floors: next(current.kit.floors ?? {}) },
    }));
  };
  return (
    <View role="group" aria-label="Your own floor" className="gap-1">
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
            note={`your floor for ${name}, in every shoot`}
            onChange={set}
          />
          <Button label="Drop your own floor" onPress={() => set(undefined)} />
        </>
      )}
    </View>
  );
}
