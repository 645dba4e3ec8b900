import { useState } from 'react';
import { Choice } from '@/ui/Choice';
import type { DrillProps } from './drill-frame';
import { MomentDrill } from './MomentDrill';
import { SignsDrill } from './SignsDrill';

const TASKS = [
  { value: 'press', label: 'Press it' },
  { value: 'signs', label: 'Know its signs' },
] as const;

/** A moment is pressed for, or foretold by what comes before it. */
export function MomentTasks(props: DrillProps) {
  const [task, setTask] = useState<(typeof TASKS)[number]['value']>('press');
  const above = <Choice label="Task" value={task} options={TASKS} onChange={setTask} />;
  return task === 'press' ? (
    <MomentDrill {...props} above={above} />
  ) : (
    <SignsDrill {...props} above={above} />
  );
}
