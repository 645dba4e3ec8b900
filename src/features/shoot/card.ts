import {
  type CardLight,
  type CardRow,
  type LightSeries,
  type SettingsCard,
  type Turn,
} from '@/core';
import { exposureDemands } from '@/answers/answer';
import { DIAL_NAMES, filterInWords, rowReason } from '@/features/shoot/exposure-words';
import type { View } from '@/answers/view';
import type { CardSheet } from '@/formats/card-image';
import type { PrintSheet } from '@/formats/print-sheet';
import { engraved, stops } from '@/features/shoot/words';
import type { Shoot } from '@/records/shoot';
import type { ShootHours } from '@/records/times';
import type { CardRequest } from '@/workers/light-series-job';

/** What a view's card is made of: the light that the ribbon already has, within the shoot's hours. */
export function cardRequest(
  view: View,
  choice: Shoot['choice'],
  series: LightSeries,
  { startMs, endMs }: Pick<ShootHours, 'startMs' | 'endMs'>,
): CardRequest | undefined {
  const within: readonly CardLight[] = series.timeMs.flatMap((timeMs, i) => {
    const expected = series.ev[i];
    if (expected === undefined || timeMs < startMs || timeMs > endMs) return [];
    const [low, high] = [series.low[i] ?? expected, series.high[i] ?? expected];
    return [{ timeMs, ev: { low, expected, high }, lampsRule: series.lampsRule[i] ?? false }];
  });
  if (within.length === 0) return undefined;
  return { series: within, request: exposureDemands(view, choice) };
}

/** What a larger value of each dial is called when one turns it there. */
const TOWARDS = {
  shutter: ['faster', 'slower'],
  aperture: ['open', 'close'],
  iso: ['down', 'up'],
  lift: ['less', 'more'],
  filter: ['off', 'on'],
} as const;

/** "ISO up 2 clicks". */
export function turnInWords({ dial, clicks }: Turn): string {
  if (dial === 'filter') return clicks > 0 ? 'filter on' : 'filter off';
  const way = TOWARDS[dial][clicks > 0 ? 1 : 0];
  const count = Math.abs(clicks);
  return `${DIAL_NAMES[dial]} ${way} ${count} ${count === 1 ? 'click' : 'clicks'}`;
}

/** One line of a card as it is written. */
export interface CardLine {
  readonly time: string;
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
  /** What to turn, and why. */
  readonly turn: string;
  readonly why: string;
}

export function cardLine(row: CardRow, clock: (ms: number) => string): CardLine {
  const { liftStops, filterStops = 0 } = row.settings;
  const lift = liftStops > 0.05 ? `; lift ${stops(liftStops)} after` : '';
  const filter = filterStops > 0 ? `; ${filterInWords(filterStops)}` : '';
  return {
    time: clock(row.fromMs),
    ...engraved(row.settings),
    turn: row.turns.map(turnInWords).join(', ') || 'as you begin',
    why: `${rowReason(row)}${filter}${lift}`,
  };
}

/** Lines at which a dial is turned: a lift afterwards is nothing to do at the touchline. */
export const turnedLines = (lines: readonly CardLine[]): readonly CardLine[] =>
  lines.filter(({ shutter, aperture, iso }, i) => {
    const before = lines[i - 1];
    return before?.shutter !== shutter || before.aperture !== aperture || before.iso !== iso;
  });

/** The card on paper: every row, with what to turn and why. */
export const cardOnPaper = (
  { title, under, notes }: CardSheet,
  lines: readonly CardLine[],
): PrintSheet => ({
  title: `Settings card: ${title}`,
  under: [...under, ...notes],
  tables: [
    {
      heading: 'Settings through the shoot',
      columns: [
        { share: 1.2, strong: true },
        { share: 1.5, strong: true },
        { share: 1.2, strong: true },
        { share: 1.6, strong: true },
        { share: 3.4 },
        { share: 4 },
      ],
      rows: lines.map(({ time, shutter, aperture, iso, turn, why }) => ({
        cells: [time, shutter, aperture, iso, turn, why],
      })),
    },
  ],
  foot: title,
});

/** When lamps come to rule and when it gets short or dark, in sentences. */
export function cardNotes(
  { lampsTakeOverMs, short, tooDark }: SettingsCard,
  clock: (ms: number) => string,
): readonly string[] {
  const span = (word: string, spans: SettingsCard['short']) =>
    spans.map(({ fromMs, toMs }) => `${word} from ${clock(fromMs)} to ${clock(toMs)}.`);
  return [
    ...(lampsTakeOverMs === undefined ? [] : [`Lamps take over at ${clock(lampsTakeOverMs)}.`]),
    ...span('Short of light', short),
    ...span('Too dark for any setting', tooDark),
  ];
}
