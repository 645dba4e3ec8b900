import { correctedLight, settingsCard, type CardLight, type SettingsCard } from '@/core';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import { answerAt, exposedFor, exposureDemands, type Answer } from './answer';
import { heardOf } from './heard';
import { sceneOf, viewOf, type View } from './view';
import type { Trouble } from './told';

/** A shoot's answers without the interface: every position for every mark, and the settings card. */
export interface Report {
  readonly title: string;
  readonly atMs: number;
  readonly answers: readonly ReportLine[];
  readonly card: SettingsCard | undefined;
}

export type ReportLine = { readonly position: Position; readonly mark: Mark } & (
  | { readonly ok: true; readonly view: View; readonly answer: Answer }
  | { readonly ok: false; readonly trouble: Trouble }
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
    : { position, mark, ok: false, trouble: result.trouble };
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
