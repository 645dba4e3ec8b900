/** The steps of a shoot that can be opened, in the order of the work. */
export const STEPS = [
  { id: 'brief', name: 'Brief' },
  { id: 'ground', name: 'Ground' },
  { id: 'light', name: 'Light' },
  { id: 'settings', name: 'Settings' },
  { id: 'kit', name: 'Kit' },
  { id: 'day', name: 'Day' },
  { id: 'field', name: 'Field' },
  { id: 'log', name: 'Log' },
] as const;
export type StepId = (typeof STEPS)[number]['id'];
