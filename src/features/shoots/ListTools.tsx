import { demoShoots } from '@/demo/seed';
import { useReadThrough, useShootActions } from '@/records/queries';
import { Button } from '@/ui/Button';
import { useToast } from '@/ui/Toast';
import { SetAsideNotice } from './SetAsideNotice';

/**
 * What the list can do beyond being read: fetched behind it, with all that knows of whole records, so that
 * the list itself is there first.
 */
export { setUpSchemas } from '@/records/set-up';
export { ImportedFile } from './ImportedFile';
export { MoreSheet } from './MoreSheet';
export { SafeKeeping } from './SafeKeeping';
export { ShootState } from './ShootState';

/** What reading all shoots through brought to light. */
export function ReadThrough() {
  useReadThrough(demoShoots);
  return <SetAsideNotice />;
}

/** Takes the demo's shoots out in one press, and says how to have them back. */
export function RemoveDemo({ ids }: { readonly ids: readonly string[] }) {
  const { add, remove, whole } = useShootActions();
  const say = useToast();
  const takeOut = async () => {
    const shoots = (await Promise.all(ids.map((id) => whole(id)))).filter((shoot) => !!shoot);
    shoots.forEach(({ id }) => remove(id));
    say({
      text: 'The demo is out of the list',
      action: { label: 'Undo', onPress: () => shoots.forEach(add) },
    });
  };
  return <Button kind="quiet" label="Remove the demo" onPress={() => void takeOut()} />;
}

export function BringDemoBack() {
  const { add } = useShootActions();
  return (
    <Button
      label="Bring back the demo"
      onPress={() => void demoShoots.shoots().then((demo) => demo.forEach(add))}
    />
  );
}
