import type { CardRow } from '@/core';
import { NO_OUTLOOK } from '@/answers/answer';
import type { Report, ReportLine } from '@/answers/report';
import { dayOf } from '@/records/day-said';
import type { Shoot } from '@/records/shoot';
import { clockOf } from '@/records/times';
import {
  DIAL_NAMES,
  rowReason,
  settingsInWords,
  shutterReason,
  stopsSentence,
} from './exposure-words';
import {
  bearingInWords,
  faceSeen,
  lightInWords,
  metres,
  sunInWords,
  troubleInWords,
} from './words';

const turnsInWords = ({ turns }: CardRow): string =>
  turns
    .map(({ dial, clicks }) => `${DIAL_NAMES[dial]} ${clicks > 0 ? '+' : '−'}${Math.abs(clicks)}`)
    .join(', ');

function answerText(line: ReportLine, usableAt: string): string[] {
  const head = `${line.position.name} → ${line.mark.name}`;
  if (!line.ok) return [head, `  ${troubleInWords(line.trouble)}`];
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
