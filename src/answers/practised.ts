import {
  framesForNineInTen,
  handOf,
  pan,
  pressEarly,
  rungAfter,
  Z,
  type Hand,
  type Level,
  type Rate,
} from '@/core';
import { figureOf } from '@/presets/subject-figures';
import {
  MOMENTS,
  type BenchTry,
  type EyeTry,
  type OrderTry,
  type MomentKind,
  type MomentTry,
  type PanTry,
  type SignsTry,
  type Practice,
  type StandTry,
  type StopsTry,
} from '@/records/practice';
import { rungsOf } from './crossing';
import { beatS, windowOf, type Happening } from './moments';
import type { FieldPresses, PanSkill } from './taught';
import type { View } from './view';

/** What practice says of a hand, and what a plan may take from it. */

/** The hand is as it was lately: of more tries than this the last count. No source. */
const RECENT = 40;
/** Fewer tries than this say nothing of a hand. No source. */
export const FEWEST_TRIES = 8;

const pans = ({ tries }: Practice): readonly PanTry[] =>
  tries.flatMap((made) => (made.kind === 'pan' ? made : []));

export interface PanPractised {
  readonly hand: Hand;
  readonly count: number;
  /** Share of swings that lost the subject. */
  readonly lostShare: number;
}

/** How one pans by practice; what keys steered says nothing of that. Nothing for too few tries. */
export function panPractised(practice: Practice): PanPractised | undefined {
  const swings = pans(practice)
    .filter(({ by }) => by !== 'keys')
    .slice(-RECENT);
  const kept = swings.filter(({ lost }) => !lost).map(({ rateError }) => rateError);
  if (kept.length < FEWEST_TRIES) return undefined;
  return {
    hand: handOf(kept),
    count: swings.length,
    lostShare: 1 - kept.length / swings.length,
  };
}

/** Tries of what is followed just now: the same subject about as far off. */
export const triesAt = (practice: Practice, { subject, sight, focalMm }: View): readonly PanTry[] =>
  pans(practice).filter(
    (made) =>
      made.subject === subject.name &&
      Math.abs(Math.log2(made.distanceM / sight.distanceM)) < 0.5 &&
      Math.abs(Math.log2(made.focalMm / focalMm)) < 0.5,
  );

const nearestRung = (rungs: readonly number[], shutterS: number): number =>
  rungs.reduce(
    (best, rung, i) =>
      Math.abs(Math.log2(rung / shutterS)) < Math.abs(Math.log2((rungs[best] as number) / shutterS))
        ? i
        : best,
    0,
  );

/** The time to pan at next: down the ladder when a rung is sure, back when it is too hard. */
export function nextRungS(practice: Practice, view: View): number {
  const rungs = rungsOf(view);
  const tries = triesAt(practice, view).map(({ shutterS, sharp }) => ({
    rung: nearestRung(rungs, shutterS),
    good: sharp,
  }));
  return rungs[rungAfter(tries, rungs.length)] as number;
}

/** One rung of tomorrow: how likely a frame is sharp with this hand, and frames for nine chances in ten. */
export interface RungOdds {
  readonly shutterS: number;
  readonly chance: number;
  readonly frames: number;
}

export function oddsOf(
  { hand, lostShare }: Pick<PanPractised, 'hand' | 'lostShare'>,
  view: View,
): readonly RungOdds[] {
  const { passing, subject, focalMm, cocMm } = view;
  return rungsOf(view).map((shutterS) => {
    const { sharpChance } = pan({
      ...passing,
      ...{ speedMs: subject.speedMs, focalMm, shutterS, cocMm },
      skillSigma: hand.sigma.value,
    });
    const chance = sharpChance * (1 - lostShare);
    return { shutterS, chance, frames: framesForNineInTen(chance) };
  });
}

/** How a hand in the field differs from the same at home, before it is known: some 40 % either way. No source. */
const FIELD_DIFFERS_LOG = 0.35;

const logSd = ({ low, high }: Pick<Rate, 'low' | 'high'>, level: Level): number =>
  Math.max(0.02, (Math.log(high) - Math.log(low)) / (2 * Z[level]));

/** What a plan reckons with: practice, set right by what the field showed. */
export interface PanReckoned {
  readonly sigma: number;
  readonly practised?: PanPractised;
  readonly field?: PanSkill;
  /** The field's sigma over practice's, where both are known. */
  readonly fieldOverPractice?: number;
}

/**
 * One sigma from practice and field: the mean of their logarithms, each weighed by how sure it is; practice besides by
 * how much a field may differ from it.
 */
export function panReckoned(
  practised: PanPractised | undefined,
  field: PanSkill | undefined,
): PanReckoned | undefined {
  const known = [
    ...(practised
      ? [
          {
            log: Math.log(practised.hand.sigma.value),
            sd: Math.hypot(logSd(practised.hand.sigma, 0.9), FIELD_DIFFERS_LOG),
          },
        ]
      : []),
    ...(field ? [{ log: Math.log(field.rate), sd: logSd(field, 0.95) }] : []),
  ];
  if (known.length === 0) return undefined;
  const weights = known.map(({ sd }) => 1 / sd ** 2);
  const sum = weights.reduce((a, b) => a + b);
  const log = known.reduce(
    (mean, { log: one }, i) => mean + (one * (weights[i] as number)) / sum,
    0,
  );
  return {
    sigma: Math.exp(log),
    ...(practised && { practised }),
    ...(field && { field }),
    ...(practised && field && { fieldOverPractice: field.rate / practised.hand.sigma.value }),
  };
}

/** Presses at one kind of moment, each with whether a single frame had it. */
export function momentTries(
  { tries }: Practice,
  kind: MomentKind,
): readonly (MomentTry & { readonly good: boolean })[] {
  const { goodFromS, goodToS } = windowOf(kind);
  return tries.flatMap((made) =>
    made.kind === 'moment' && made.moment === kind
      ? [{ ...made, good: made.lateS >= goodFromS && made.lateS <= goodToS }]
      : [],
  );
}

/** How late one presses at a moment, in seconds; nothing for too few presses. */
export function momentPractised(practice: Practice, kind: MomentKind): Hand | undefined {
  const lates = momentTries(practice, kind)
    .slice(-RECENT)
    .map(({ lateS }) => lateS);
  return lates.length < FEWEST_TRIES ? undefined : handOf(lates);
}

/** Bursts that one would hold: half a second, a whole one, and half a second with as much from before the press. */
const BURSTS = [
  { how: 'single', burstS: 0, preCaptureS: 0 },
  { how: 'half', burstS: 0.5, preCaptureS: 0 },
  { how: 'whole', burstS: 1, preCaptureS: 0 },
  { how: 'before', burstS: 0.5, preCaptureS: 0.5 },
] as const;

export interface BurstOdds {
  readonly how: (typeof BURSTS)[number]['how'];
  /** How much earlier than felt to press. */
  readonly earlyS: number;
  readonly chance: number;
}

/** What a hand gets of a moment by one frame or a burst, pressed as early as suits it. */
export function burstOdds(
  { goodFromS, goodToS, everyS }: Pick<Happening, 'goodFromS' | 'goodToS' | 'everyS'>,
  hand: Hand,
  fps: number,
): readonly BurstOdds[] {
  // What comes again within the burst is on it wherever it began: only one frame can be told.
  const told = everyS === undefined ? BURSTS : BURSTS.slice(0, 1);
  return told.map(({ how, burstS, preCaptureS }) => ({
    how,
    ...pressEarly({
      // The middle of what is worth keeping may lie after the moment itself.
      biasS: hand.bias.value - (goodFromS + goodToS) / 2,
      scatterS: hand.scatter.value,
      windowS: goodToS - goodFromS,
      ...{ fps, burstS, preCaptureS },
    }),
  }));
}

/** Practice counts as so many presses in the field. No source. */
const PRACTICE_WEIGHT = 8;

/** A burst's odds by practice, set right by what presses in the field kept. */
export const oddsSetRight = (chance: number, { kept, presses }: FieldPresses): number =>
  (PRACTICE_WEIGHT * chance + kept) / (PRACTICE_WEIGHT + presses);

/** The moments that a subject has; all at home, where each has a subject of its own. */
export function momentsFor(view: View | undefined): readonly MomentKind[] {
  if (!view) return MOMENTS;
  const figure = figureOf(view.subject);
  const timed = beatS(view) !== undefined;
  if (figure === 'perched') return ['leaving', 'turn'];
  if (figure === 'flying' && timed) return ['wings'];
  if (view.subject.cautions?.includes('wildlife')) return ['leaving'];
  if (figure === 'batting' || figure === 'swinging') return ['jump', 'bat'];
  return figure === 'running' && timed ? ['stride', 'jump'] : ['jump'];
}

/** So many answers are looked back at. No source. */
const ANSWERS = 20;

export const benchTries = ({ tries }: Practice, task: BenchTry['task']): readonly BenchTry[] =>
  tries
    .flatMap((made) => (made.kind === 'bench' && made.task === task ? made : []))
    .slice(-ANSWERS);

export const stopsTries = ({ tries }: Practice): readonly StopsTry[] =>
  tries.flatMap((made) => (made.kind === 'stops' ? made : [])).slice(-ANSWERS);

export const eyeTries = ({ tries }: Practice): readonly EyeTry[] =>
  tries.flatMap((made) => (made.kind === 'eye' ? made : [])).slice(-ANSWERS);

export const standTries = ({ tries }: Practice): readonly StandTry[] =>
  tries.flatMap((made) => (made.kind === 'stand' ? made : [])).slice(-ANSWERS);

/** A place within this of the best, of a hundred, is as good. No source. */
const AS_GOOD = 0.1;
export const asGood = ({ score, best }: Pick<StandTry, 'score' | 'best'>): boolean =>
  best - score <= AS_GOOD;

/** An answer on the bench that is as good as can be read off a smear. */
export const withinAStop = ({ offStops }: Pick<BenchTry, 'offStops'>): boolean =>
  Math.abs(offStops) <= 1;

export const readRight = ({ offSteps }: Pick<EyeTry, 'offSteps'>): boolean => offSteps === 0;

/** Signs put in order, and pressed for, of one sequence. */
export const orderTries = ({ tries }: Practice, signs: string): readonly OrderTry[] =>
  tries
    .flatMap((made) => (made.kind === 'order' && made.signs === signs ? made : []))
    .slice(-ANSWERS);

export const signsTries = ({ tries }: Practice, signs: string): readonly SignsTry[] =>
  tries
    .flatMap((made) => (made.kind === 'signs' && made.signs === signs ? made : []))
    .slice(-ANSWERS);
