import { demoShoots } from '@/demo/seed';
import { useReadThrough, useShootActions } from '@/records/queries';
import { Button } from '@/ui/Button';
import { SetAsideNotice } from './SetAsideNotice';

/**
 * What the list can do beyond being read: fetched behind it, with all that knows of whole records, so that
 * the list itself is there first.
 */
export { ImportedFile } from './ImportedFile';
export { MoreSheet } from './MoreSheet';
export { SafeKeeping } from './SafeKeeping';

/** What reading all shoots through brought to light. */
export function ReadThrough() {
  useReadThrough(demoShoots);
  return <SetAsideNotice />;
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
