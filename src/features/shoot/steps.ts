/** The steps of a shoot that can be opened, in the order of the work. A new step is one line here and a folder. */
export const STEPS = [
  { id: 'brief', name: 'Brief' },
  { id: 'ground', name: 'Ground' },
  { id: 'light', name: 'Light' },
  { id: 'settings', name: 'Settings' },
  { id: 'kit', name: 'Kit' },
  { id: 'day', name: 'Day' },
  { id: 'field', name: 'Field' },
  { id: 'log', name: 'Log' },
  { id: 'practice', name: 'Practice' },
] as const;
export type StepId = (typeof STEPS)[number]['id'];

/** The step of a shoot's address; drawing is the ground's. */
export function stepAt(path: string): StepId | undefined {
  const part = path.split('/')[3];
  return part === 'draw' ? 'ground' : STEPS.find(({ id }) => id === part)?.id;
}
