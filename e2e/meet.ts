/** Made-up meets as meet offices write them: odd headings, blanks, repeats, old encodings. Nobody in them exists. */

interface Race {
  readonly division: string;
  readonly event: string;
  readonly at: string;
  readonly heats: number;
}

const clock = (minute: number): string =>
  `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** Whom the photographer is owed by three schools: twelve athletes. */
export const OWED = [
  ['LOCK', 'Ash', 'Fernley'],
  ['Tarn', 'Bea', 'Fernley'],
  ['HOLT', 'Cy', 'Fernley'],
  ['Müller', 'Zoë', 'Fernley'],
  ['Marsh', 'Dee', 'Marlow'],
  ['Reed', 'Sam', 'Marlow'],
  ['Sedge', 'Ida', 'Marlow'],
  ['Weir', 'Max', 'Marlow'],
  ['Gannet', 'Liv', 'Tern Hill'],
  ['Heron', 'Jo', 'Tern Hill'],
  ['Teal', 'Ned', 'Tern Hill'],
  ['Åsgård', 'Nils', 'Tern Hill'],
] as const;

/** The roster: semicolons, a byte-order mark, a title over its columns. */
export const ROSTER = Buffer.from(
  `\uFEFFPictures owed, spring meet;;;\nSurname;First name;School;Bib\n${OWED.map(
    ([surname, given, school], i) => `${surname};${given};${school};${101 + i}`,
  ).join('\n')}\n`,
);

const TRACK: readonly (readonly [string, number])[] = [
  ['100 m Hurdles', 2],
  ['100 m Dash', 3],
  ['1600 m Run', 2],
  ['4x100 m Relay', 2],
  ['400 m Dash', 2],
  ['300 m Hurdles', 2],
  ['800 m Run', 2],
  ['200 m Dash', 3],
  ['3200 m Run', 2],
  ['4x400 m Relay', 2],
];
const FIELD = ['Long Jump', 'High Jump', 'Shot Put', 'Discus', 'Triple Jump', 'Pole Vault'];

/** 40 heats and 16 field events and prelims: 56 in all. */
function races(): readonly Race[] {
  const field = FIELD.flatMap((event, i) =>
    ['Girls', 'Boys'].map((division, k) => ({
      ...{ division, event, heats: 1 },
      at: clock(540 + i * 45 + k * 100),
    })),
  );
  let minute = 600;
  const track = TRACK.flatMap(([event, heats]) =>
    ['Girls', 'Boys'].map((division) => {
      const at = clock(minute);
      minute += heats * 6 + 4;
      return { division, event, heats, at };
    }),
  );
  return [...field, ...track];
}

/** Who runs in a heat: one or two of those owed now and then, the rest strangers. */
function field(at: number): readonly string[] {
  const owed = OWED.filter((_, i) => (at * 5 + i * 7) % 19 === 0).map(
    ([surname, given, school], k) => `${3 + k};;"${surname}, ${given}";${school}`,
  );
  const strangers = Array.from(
    { length: 4 },
    (_, i) =>
      `${5 + i};${300 + at * 4 + i};"Stranger${String.fromCharCode(97 + (at % 26))}, Pat ${'abcd'[i]}";Elsewhere`,
  );
  return [...owed, ...strangers];
}

/** The order as the meet office sends it, in Windows-1252: only an event's first row has its time. */
export function meetOrder(): { readonly file: Buffer; readonly events: number } {
  const lines = [
    'Spring Invitational – order of events;;;;;;;',
    ';;;;;;;',
    'Event No.;Div.;Event;Start time;Heat;Lane;Bib;Athlete;School',
  ];
  let events = 0;
  races().forEach(({ division, event, heats, at }, i) => {
    for (let heat = 1; heat <= heats; heat += 1) {
      events += 1;
      field(events).forEach((who, k) => {
        const first = heat === 1 && k === 0;
        const row = `${first ? i + 1 : ''};${k === 0 ? division : ''};${k === 0 ? event : ''};${first ? at : ''};${heats > 1 && k === 0 ? `Heat ${heat} of ${heats}` : ''};${who}`;
        lines.push(row);
        // Now and then a row stands twice.
        if (events % 9 === 0 && k === 1) lines.push(row);
      });
    }
  });
  const text = lines.join('\r\n');
  return { file: Buffer.from(text.replaceAll('–', '\u0096'), 'latin1'), events };
}

const STROKES = [
  '50 Free',
  '100 Free',
  '100 Back',
  '100 Breast',
  '100 Fly',
  '200 IM',
  '200 Free',
  '50 Fly',
  '50 Back',
  '50 Breast',
];

/** A heat sheet as text, out of a mail: forty events of a pool. */
export function poolSheet(): string {
  let minute = 540;
  const lines = ['Tern Hill Open                         Page 1', 'Meet Program', ''];
  for (let i = 0; i < 40; i += 1) {
    const stroke = STROKES[i % STROKES.length] as string;
    lines.push(
      `Event ${i + 1}  ${i % 2 ? 'Boys' : 'Girls'} ${stroke} ${i >= 20 ? 'Final' : ''} ${clock(minute)} AM`.replace(
        / AM$/,
        minute >= 720 ? '' : ' AM',
      ),
      'Lane  Name              Year School          Seed',
      'Heat 1 of 1',
    );
    OWED.forEach(([surname, given, school], k) => {
      if ((i * 3 + k * 5) % 17 !== 0) return;
      lines.push(
        ` ${2 + (k % 6)}    ${surname}, ${given}          1${k % 3}  ${school} HS      3${k}.12`,
      );
    });
    lines.push(` 8    Stranger, Pat      11  Elsewhere HS     NT`, '');
    minute += 7;
  }
  return lines.join('\n');
}
