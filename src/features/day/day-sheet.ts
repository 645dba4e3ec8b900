import { FORBIDDEN_NAMES } from '@/features/shoot/brief-words';
import { dayInWords, whoInWords, type DayLine } from '@/features/shoot/day-lines';
import { eventTitle, dayOf } from '@/records/day-said';
import { metAmong, owedInFull, type OwedLine } from '@/features/shoot/people-owed';
import { legInWords, legsOf } from '@/features/shoot/route-legs';
import type { PrintColumn, PrintSheet, PrintTable } from '@/formats/print-sheet';
import type { Shoot } from '@/records/shoot';
import { cellInWords, lensInWords, type LightCells } from './light-column';

/** The day on paper: where to be when, whom and what to shoot with which settings, what is missed, who is owed. */

const STAYS: readonly PrintColumn[] = [
  { share: 1, strong: true },
  { share: 4.4, strong: true },
  { share: 3.4 },
  { share: 4 },
];
const TOLD: readonly PrintColumn[] = [{ share: 1, strong: true }, { share: 4.4 }, { share: 7.4 }];
const OWED: readonly PrintColumn[] = [{ share: 3, strong: true }, { share: 9.8 }];

export interface DayOnPaper {
  readonly shoot: Shoot;
  /** Of the one whose sheet it is. */
  readonly lines: readonly DayLine[];
  readonly all: readonly DayLine[];
  readonly owed: readonly OwedLine[];
  /** Whose sheet it is, of several. */
  readonly who: string | undefined;
  readonly cells: LightCells;
  readonly clock: (ms: number) => string;
}

/** Who gave permission, and what the venue forbids. */
function rulesOf({ brief, ground }: Pick<Shoot, 'brief' | 'ground'>): readonly string[] {
  const names = brief.forbidden.map((what) => FORBIDDEN_NAMES[what].toLowerCase());
  return [
    brief.access ? `Permission: ${brief.access}` : '',
    ground.vest ? `In the field of play with a vest, allowed by ${ground.vest}` : '',
    names.length > 0 ? `Not allowed: ${names.join(', ')}` : '',
  ].filter(Boolean);
}

const isPromised = ({ event }: Pick<DayLine, 'event'>): boolean => event.worth === 'must';

export function daySheet({ shoot, lines, all, owed, who, cells, clock }: DayOnPaper): PrintSheet {
  const { title, startLocal, endLocal, place, positions } = shoot;
  const legs = legsOf(lines, positions).map((leg, i): PrintTable => ({
    heading: `${i + 1}. ${leg.name}`,
    note: legInWords(leg, clock),
    columns: STAYS,
    rows: leg.stays.map(({ event, startMs, endMs, stop, secondMs, weak }) => {
      const cell = stop && cells(event, stop);
      return {
        cells: [
          event.window ? `${clock(startMs)} to ${clock(endMs)}` : clock(startMs),
          eventTitle(event),
          whoInWords(event, shoot).join(', '),
          [
            cell ? `${cellInWords(cell)}. EV ${cell.ev}, ${cell.side.toLowerCase()}.` : '',
            lensInWords(cell),
            event.window ? '' : `Second call ${clock(secondMs)}.`,
            weak ? `Weak from there: ${weak}.` : '',
          ]
            .filter(Boolean)
            .join(' '),
        ],
        ...(isPromised({ event }) && { marked: true }),
      };
    }),
  }));
  const told = (heading: string, ...statuses: readonly DayLine['status'][]): PrintTable => ({
    heading,
    columns: TOLD,
    rows: lines
      .filter(({ status }) => statuses.includes(status))
      .map(({ event, startMs, why }) => ({
        cells: [clock(startMs), eventTitle(event), why],
        ...(isPromised({ event }) && { marked: true }),
      })),
  });
  const tables: readonly PrintTable[] = [
    ...legs,
    told('Shot by the others', 'others'),
    told('Not shot', 'missed', 'leftOut', 'cancelled'),
    {
      heading: 'Who is owed',
      columns: OWED,
      rows: owed.map((line) => {
        const { name, client } = line.owed.person;
        return {
          cells: [client ? `${name}, ${client}` : name, owedInFull(line, shoot, clock) || 'Had'],
          ...(line.state.kind === 'lost' && { marked: true as const }),
        };
      }),
    },
  ].filter(({ rows }) => rows.length > 0);
  return {
    title: who ? `${title}: ${who}` : title,
    under: [
      [
        `${dayOf(startLocal)}, ${startLocal.slice(11)} to ${endLocal.slice(11)}`,
        place.name ?? '',
        shoot.brief.client ? `for ${shoot.brief.client}` : '',
      ]
        .filter(Boolean)
        .join(' · '),
      `${dayInWords(
        lines,
        metAmong(
          owed.map((line) => line.owed),
          all,
        ),
        all,
      )}${lines.some(isPromised) ? ' A bar stands before what is promised.' : ''}`,
      ...rulesOf(shoot),
    ],
    tables,
    foot: `${title}${who ? `, ${who}` : ''} · officials and local rules come first`,
  };
}
