import {
  correctedLight,
  settingsCard,
  type CardLight,
  type CardRow,
  type SettingsCard,
} from '@/core';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { dayOf } from '@/records/day-said';
import { clockOf, hoursOf } from '@/records/times';
import { answerAt, exposedFor, exposureDemands, type Answer } from './answer';
import { heardOf } from './heard';
import { sceneOf, viewOf, type View } from './view';
import { bearingInWords, faceSeen, lightInWords, metres, sunInWords } from './words';
import {
  DIAL_NAMES,
  NO_OUTLOOK,
  rowReason,
  settingsInWords,
  shutterReason,
  stopsSentence,
} from './exposure-words';

/** A shoot's answers without the interface: every position for every mark, and the settings card. */
export interface Report {
  readonly title: string;
  readonly atMs: number;
  readonly answers: readonly ReportLine[];
  readonly card: SettingsCard | undefined;
}

export type ReportLine = { readonly position: Position; readonly mark: Mark } & (
  | { readonly ok: true; readonly view: View; readonly answer: Answer }
  | { readonly ok: false; readonly problem: string }
);

const MINUTE_MS = 60_000;

const looking = (shoot: Shoot, position: Position, mark: Mark): Shoot => ({
  ...shoot,
  choice: { ...shoot.choice, positionId: position.id, markId: mark.id },
});

function lineOf(shoot: Shoot, position: Position, mark: Mark, atMs: number): ReportLine {
  const result = viewOf(looking(shoot, position, mark));
  return result.ok
    ? {
        position,
        mark,
        ok: true,
        view: result.view,
        answer: answerAt(result.view, shoot, atMs),
      }
    : { position, mark, ok: false, problem: result.problem };
}

/** The card of the chosen position and mark, through the shoot's own hours. */
export function cardOf(shoot: Shoot): SettingsCard | undefined {
  const result = viewOf(shoot);
  if (!result.ok) return undefined;
  const { view } = result;
  const lightAt = correctedLight(sceneOf(view, shoot.features), heardOf(shoot));
  const { startMs, endMs } = hoursOf(shoot);
  const minutes = Math.floor((endMs - startMs) / MINUTE_MS) + 1;
  const series: CardLight[] = Array.from({ length: minutes }, (_, i) => {
    const timeMs = startMs + i * MINUTE_MS;
    const light = lightAt(timeMs);
    return { timeMs, ev: exposedFor(view, light), lampsRule: light.lampLux > light.daylightLux };
  });
  return settingsCard({ series, request: exposureDemands(view, shoot.choice) });
}

/** @param atMs the moment the answers are for; the card covers the whole shoot */
export function reportOf(shoot: Shoot, atMs: number): Report {
  return {
    title: shoot.title,
    atMs,
    answers: shoot.positions.flatMap((position) =>
      shoot.marks.map((mark) => lineOf(shoot, position, mark, atMs)),
    ),
    card: cardOf(shoot),
  };
}

const turnsInWords = ({ turns }: CardRow): string =>
  turns
    .map(({ dial, clicks }) => `${DIAL_NAMES[dial]} ${clicks > 0 ? '+' : '−'}${Math.abs(clicks)}`)
    .join(', ');

function answerText(line: ReportLine, usableAt: string): string[] {
  const head = `${line.position.name} → ${line.mark.name}`;
  if (!line.ok) return [head, `  ${line.problem}`];
  const { view, answer } = line;
  const { sight } = view;
  const sentence = stopsSentence(answer.exposure, NO_OUTLOOK, {
    clock: () => usableAt,
    atMs: 0,
    usableIso: view.body.iso.usable,
  });
  return [
    head,
    `  ${settingsInWords(answer.exposure.settings)}`,
    `  ${sentence}`,
    `  ${shutterReason(view, answer.exposure)}`,
    `  ${metres(sight.distanceM)}, looking ${bearingInWords(sight.bearingDeg)}; fills ${Math.round(view.fill * 100)} %, ${faceSeen(view.faceOffDeg)}`,
    `  EV ${answer.light.ev.expected.toFixed(1)}: ${lightInWords(answer).toLowerCase()}. ${sunInWords(answer.light.sun)}.`,
    ...(answer.sunNearFrame
      ? ['  Caution: the sun is within 10° of the frame. Never look at it through the finder.']
      : []),
  ];
}

/** The report as plain text, a page wide. */
export function reportText(report: Report, shoot: Shoot): string {
  const clock = (ms: number) => clockOf(ms, shoot.place.timeZone);
  const { card } = report;
  const span = ({ fromMs, toMs }: { fromMs: number; toMs: number }) =>
    `${clock(fromMs)} to ${clock(toMs)}`;
  return [
    `${report.title}, ${dayOf(shoot.startLocal)}, at ${clock(report.atMs)} (${shoot.place.timeZone})`,
    '',
    ...report.answers.flatMap((line) => [...answerText(line, clock(report.atMs)), '']),
    ...(card
      ? [
          'Settings card',
          ...card.rows.map(
            (row) =>
              `  ${span(row)}  ${settingsInWords(row.settings).padEnd(34)} ${rowReason(row)}${row.turns.length > 0 ? ` (${turnsInWords(row)})` : ''}`,
          ),
          ...(card.lampsTakeOverMs === undefined
            ? []
            : [`  Lamps give most of the light from ${clock(card.lampsTakeOverMs)}.`]),
          ...card.short.map((lack) => `  Short of light ${span(lack)}.`),
          ...card.tooDark.map((dark) => `  Too dark for any dial ${span(dark)}.`),
        ]
      : ['No settings card: the chosen position has no answer.']),
    '',
  ].join('\n');
}
