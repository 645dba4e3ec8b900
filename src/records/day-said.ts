const SAID = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});

/** "Friday 16 April 2027" for a wall-clock minute. */
export const dayOf = (localMinute: string): string =>
  SAID.format(Date.parse(`${localMinute}Z`)).replace(',', '');
