import { answerAt } from './answer';
import { viewFor } from './picture-view';
import type { Setup } from './view';
import { evOfFrame, type MatchedFrame, type Press, type Stand } from './matched';

/** A press of the button against what the plan would have set there and then. */
export interface AgainstPlan {
  /** How many stops less light the frame took than the light as known asks for; negative for more. */
  readonly underStops: number;
  /** How many stops longer its time was than planned; negative for shorter. */
  readonly slowerStops: number;
}

const MINUTE_MS = 60_000;

/** Compares presses; each place's view, and each minute of it, is computed once. */
export function planComparer(setup: Setup): (press: Press) => AgainstPlan | undefined {
  const views = new Map<string, ReturnType<typeof viewFor>>();
  const answers = new Map<string, ReturnType<typeof answerAt>>();
  const there = (list: readonly { readonly id: string }[], id: string) =>
    list.some((entry) => entry.id === id);
  const viewOfStand = ({ markId, positionId, shotId }: Stand) => {
    if (!there(setup.marks, markId) || !there(setup.positions, positionId)) return undefined;
    const key = `${markId} ${positionId} ${shotId ?? ''}`;
    const shot = setup.shots.find(({ id }) => id === shotId);
    const known = views.get(key) ?? viewFor(setup, { shot, markId }, positionId);
    views.set(key, known);
    return { key, ...known };
  };
  return ({ frames }) => {
    const middle = frames[frames.length >> 1] as MatchedFrame;
    const ev = evOfFrame(middle.frame);
    const at = viewOfStand(middle.stand);
    const { shutterS } = middle.frame;
    if (ev === undefined || shutterS === undefined || !at?.seen.ok) return undefined;
    const minuteMs = Math.floor(middle.atMs / MINUTE_MS) * MINUTE_MS;
    const key = `${at.key} ${minuteMs}`;
    const answer = answers.get(key) ?? answerAt(at.seen.view, at.looking, minuteMs);
    answers.set(key, answer);
    return {
      underStops: ev - answer.light.ev.expected,
      slowerStops: Math.log2(shutterS / answer.exposure.settings.shutterS),
    };
  };
}
