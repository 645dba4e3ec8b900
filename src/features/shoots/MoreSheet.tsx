import { useState } from 'react';
import type { Summary } from '@/records/list';
import { useShootActions } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { useShootTasks } from '@/features/shoot/use-shoot-tasks';

/** Rename, duplicate, export, delete. */
export function MoreSheet({
  shoot,
  onClose,
}: {
  readonly shoot: Summary;
  readonly onClose: () => void;
}) {
  const { change, whole } = useShootActions();
  const { duplicate, remove, exportFile } = useShootTasks();
  const [title, setTitle] = useState(shoot.title);
  const wrong =
    title.trim() === ''
      ? 'the title is empty; give the shoot a name'
      : title.trim().length > 120
        ? 'the title is over 120 letters; make it shorter'
        : undefined;
  const done = (task: () => void) => () => {
    task();
    onClose();
  };
  const withWhole = (task: (record: Shoot) => void) =>
    done(() => void whole(shoot.id).then((record) => record && task(record)));
  return (
    <Sheet title={shoot.title} open onClose={onClose}>
      <Field label="Title" value={title} onChangeText={setTitle} error={wrong} />
      <Button
        label="Rename"
        kind="primary"
        disabled={wrong !== undefined || title.trim() === shoot.title}
        onPress={done(
          () => void change(shoot.id, (record) => ({ ...record, title: title.trim() })),
        )}
      />
      <Button label="Duplicate" onPress={withWhole(duplicate)} />
      <Button label="Export as a file" onPress={withWhole(exportFile)} />
      <Button label="Delete" onPress={withWhole(remove)} />
    </Sheet>
  );
}
