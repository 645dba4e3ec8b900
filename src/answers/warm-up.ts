import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';
import type { Shot } from '@/records/brief';
import { asForetold } from './fan';
import { asGood, readRight, withinAStop } from './practised';
import type { Practice, Try } from '@/records/practice';

/**
 * Three minutes for tomorrow: put together from what the next shoot promises, what is due again, and what is weakest.
 * When a drill is due is reckoned by spaced repetition (ts-fsrs, the FSRS scheduler), each try a review.
 */

/** What can be warmed up, and how long one try of it takes, seconds. No source. */
export const WARM_UPS = {
  pan: { tries: 5, eachS: 12 },
  moment: { tries: 5, eachS: 8 },
  blur: { tries: 3, eachS: 12 },
  stops: { tries: 2, eachS: 25 },
  eye: { tries: 3, eachS: 12 },
  stand: { tries: 1, eachS: 25 },
} as const;
export type WarmUpId = keyof typeof WARM_UPS;
const IDS = Object.keys(WARM_UPS) as WarmUpId[];
const LENGTH_S = 180;

const scheduler = fsrs({ enable_fuzz: false });

/** The drill that a try is of, and whether it came out. */
export function outcomeOf(made: Try): { readonly drill: WarmUpId; readonly good: boolean } {
  switch (made.kind) {
    case 'pan':
      return { drill: 'pan', good: made.sharp };
    case 'moment':
      return { drill: 'moment', good: Math.abs(made.lateS) <= NEAR_MOMENT_S };
    case 'fan':
      return { drill: 'blur', good: asForetold(made) };
    case 'order':
      return { drill: 'moment', good: made.inPlace === made.of };
    case 'signs':
      return { drill: 'moment', good: nearBySigns(made.lateS) };
    case 'bench':
      return { drill: 'blur', good: withinAStop(made) };
    case 'stops':
      return { drill: 'stops', good: made.right };
    case 'eye':
      return { drill: 'eye', good: readRight(made) };
    case 'stand':
      return { drill: 'stand', good: asGood(made) };
  }
}
/** A press so near its moment would be caught by a short burst. No source. */
const NEAR_MOMENT_S = 0.1;
/** Signs foretell a moment less sharply than seeing it. No source. */
const NEAR_SIGNS_S = 0.25;
export const nearBySigns = (lateS: number): boolean => Math.abs(lateS) <= NEAR_SIGNS_S;

/** The card of each drill after all tries of it, in order. */
export function cardsOf({ tries }: Pick<Practice, 'tries'>): ReadonlyMap<WarmUpId, Card> {
  const cards = new Map<WarmUpId, Card>();
  for (const made of tries) {
    const { drill, good } = outcomeOf(made);
    const at = new Date(made.at);
    const card: Card = cards.get(drill) ?? createEmptyCard(at);
    // A clock that was set back makes no review before the last.
    const when = card.last_review && card.last_review > at ? card.last_review : at;
    cards.set(drill, scheduler.next(card, when, good ? Rating.Good : Rating.Again).card);
  }
  return cards;
}

/** Share of the last tries of a drill that came out; nothing without any. */
const LAST = 12;
function shareGood({ tries }: Pick<Practice, 'tries'>, drill: WarmUpId): number | undefined {
  const outcomes = tries
    .map(outcomeOf)
    .filter((one) => one.drill === drill)
    .slice(-LAST);
  return outcomes.length === 0
    ? undefined
    : outcomes.filter(({ good }) => good).length / outcomes.length;
}

/** What a promised shot is practised by. */
const BY_TECHNIQUE: Readonly<Partial<Record<Shot['technique'], WarmUpId>>> = {
  pan: 'pan',
  freeze: 'moment',
  streak: 'blur',
  silhouette: 'eye',
  portrait: 'stand',
  reaction: 'stand',
};

export type WhyWarmUp = 'promised' | 'due' | 'weak' | 'new';

export interface WarmUpPart {
  readonly drill: WarmUpId;
  readonly tries: number;
  /** Tries made of it since the day began. */
  readonly done: number;
  readonly why: WhyWarmUp;
}

const WEAK_BELOW = 0.6;

/**
 * Three minutes of drills, what matters most first.
 * @param nowIso the moment, for what is due
 * @param todayFromIso when the day began, for what is done already
 */
export function warmUpOf(
  practice: Pick<Practice, 'tries'>,
  shots: readonly Pick<Shot, 'technique'>[],
  { nowIso, todayFromIso }: { readonly nowIso: string; readonly todayFromIso: string },
): readonly WarmUpPart[] {
  const before = { tries: practice.tries.filter(({ at }) => at < todayFromIso) };
  const cards = cardsOf(before);
  const promised = new Set(shots.flatMap(({ technique }) => BY_TECHNIQUE[technique] ?? []));
  const why = (drill: WarmUpId): WhyWarmUp | undefined => {
    if (promised.has(drill)) return 'promised';
    const card = cards.get(drill);
    if (!card) return 'new';
    if (card.due.toISOString() <= nowIso) return 'due';
    return (shareGood(before, drill) ?? 1) < WEAK_BELOW ? 'weak' : undefined;
  };
  const order: readonly WhyWarmUp[] = ['promised', 'due', 'weak', 'new'];
  const wanted = IDS.flatMap((drill) => {
    const reason = why(drill);
    return reason ? [{ drill, why: reason }] : [];
  }).sort((a, b) => {
    const apart = order.indexOf(a.why) - order.indexOf(b.why);
    return apart !== 0
      ? apart
      : (shareGood(before, a.drill) ?? 1) - (shareGood(before, b.drill) ?? 1);
  });
  const today = practice.tries.filter(({ at }) => at >= todayFromIso).map(outcomeOf);
  let leftS = LENGTH_S;
  return wanted.flatMap(({ drill, why: reason }): readonly WarmUpPart[] => {
    const { tries, eachS } = WARM_UPS[drill];
    if (leftS < eachS) return [];
    const fit = Math.min(tries, Math.floor(leftS / eachS));
    leftS -= fit * eachS;
    return [
      {
        drill,
        tries: fit,
        done: Math.min(fit, today.filter((one) => one.drill === drill).length),
        why: reason,
      },
    ];
  });
}
