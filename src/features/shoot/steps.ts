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

/** What can stand in a shoot's page: its steps, and the drawing of its ground. */
export type ScreenId = StepId | 'draw';

/** The screen that a shoot's address is of; none where the address leads on to one. */
export function screenAt(path: string): ScreenId | undefined {
  const part = path.split('/')[3];
  return part === 'draw' ? part : STEPS.find(({ id }) => id === part)?.id;
}

/** The step of a screen; drawing is the ground's. */
export const stepOf = (screen: ScreenId): StepId => (screen === 'draw' ? 'ground' : screen);

/** The step of a shoot's address. */
export function stepAt(path: string): StepId | undefined {
  const screen = screenAt(path);
  return screen && stepOf(screen);
}
