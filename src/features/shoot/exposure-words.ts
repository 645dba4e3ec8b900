import {
  DELIVERED_LONG_SIDE_PX,
  formatShutter,
  motionSmear,
  nearestMark,
  RIGHT_WITHIN_STOPS,
  type ApertureRule,
  type CardRow,
  type ExposurePlan,
  type Motion,
  type SetRule,
  type Settings,
  type Turn,
  type WayOut,
} from '@/core';
import { CLASSES } from '@/presets/classes';
import { NO_OUTLOOK, type Outlook } from '@/answers/answer';
import type { View } from '@/answers/view';
import { notesOf, overfilledInWords } from './frame-notes';
import { engraved, sentence, stops } from './words';

/** What the dials stand at, why, and what would mend it. Every number is computed elsewhere. */

/** A lift or shortage of less is nothing one would say. */
const SAID_STOPS = 0.05;

const iso = (value: number): string => nearestMark('iso', value).label;

/** "1/1000 · f/2.8 · ISO 1600 · lift 0.7 stop afterwards · ND 3 stops". */
export function settingsInWords(settings: Settings): string {
  const { shutter, aperture, iso: speed } = engraved(settings);
  return [shutter, aperture, speed, ...extrasInWords(settings)].join(' · ');
}

/** What goes with the three dials: a lift afterwards, a filter. */
export const extrasInWords = ({ liftStops, filterStops = 0 }: Settings): readonly string[] => [
  ...(liftStops > SAID_STOPS ? [`lift ${stops(liftStops)} afterwards`] : []),
  ...(filterStops > 0 ? [filterInWords(filterStops)] : []),
];

/** "ND 3 stops", "polariser, 1.5 stops". */
export const filterInWords = (filterStops: number): string =>
  filterStops < 2
    ? `polariser, ${stops(filterStops)}`
    : `ND ${Number(filterStops.toFixed(1))} stops`;

const CLASS_WORDS: Readonly<Record<keyof typeof CLASSES, string>> = {
  rest: 'a small subject at rest',
  standing: 'people standing',
  walking: 'someone walking',
  play: 'play',
  fast: 'a fast mover',
  strike: 'a strike',
  slowFlight: 'slow flight',
  fastFlight: 'fast flight',
};

const classWords = ({ classId }: View): string => CLASS_WORDS[classId];

/** What a time stands for, after the time: "1/800: the least for play". */
function timeReason(rule: SetRule, at: 'must' | 'wish', view: View, plan: ExposurePlan): string {
  const wish = formatShutter(plan.wish.shutterS);
  switch (rule.by) {
    case 'class':
      return at === 'must'
        ? `the least for ${classWords(view)}`
        : `what ${classWords(view)} is best taken at`;
    case 'ownFloor':
      return 'your own floor';
    case 'unplanned':
      return 'it may dart or turn at any moment';
    case 'part':
      return at === 'must'
        ? `holds the ${rule.part} crisp while you follow`
        : `holds the ${rule.part} even if you do not follow`;
    case 'named': {
      const without = formatShutter(view.timesOf({ technique: view.wanted.technique }).wishS);
      return `keeps the ${rule.part} sharp, as the shot asks; without it ${without} would do`;
    }
    case 'hands':
      return 'your hands hold no slower';
    case 'carefulHands':
      return `careful hands at ${Math.round(view.focalMm)} mm`;
    case 'pan':
      return 'a pan that keeps one frame in three sharp';
    case 'streak':
      return 'slow enough for streaks';
    case 'chosen':
      return 'your choice';
    case 'held':
      return 'held by you';
    case 'light':
      return `as fast as ${iso(plan.settings.iso)} allows; ${wish} would hold more`;
    case 'spare':
      return `light to spare; ${wish} would do`;
    case 'short':
      return `slower than the ${formatShutter(plan.must.shutterS)} it wants`;
    default:
      return '';
  }
}

/** Whether the shutter stands at its must, and not where the wish is. */
const atMust = ({ settings, must }: ExposurePlan): boolean =>
  Math.abs(Math.log2(settings.shutterS / must.shutterS)) < SAID_STOPS;

const ruleOf = (plan: ExposurePlan, lever: 'shutter' | 'aperture'): SetRule =>
  plan.budget.find((line) => line.lever === lever)?.ruledBy ?? { by: 'light' };

/** What rules the shutter, in a few words: "the least for play". */
export const shutterRuleInWords = (view: View, plan: ExposurePlan): string =>
  timeReason(ruleOf(plan, 'shutter'), atMust(plan) ? 'must' : 'wish', view, plan);

const APERTURE_WORDS: Readonly<Record<ApertureRule | 'mustDepth' | 'spare' | 'held', string>> = {
  depth: 'depth for the whole subject',
  mustDepth: 'depth for eye and face',
  layers: 'layers behind to be read',
  blur: 'as open as it goes, for the blur',
  widest: 'as open as the lens goes',
  spare: 'light to spare',
  held: 'held by you',
};

/** What rules the opening, in a few words. */
export const apertureRuleInWords = (plan: ExposurePlan): string =>
  APERTURE_WORDS[ruleOf(plan, 'aperture').by as keyof typeof APERTURE_WORDS] ?? '';

/** What a budget line's ISO stands in. */
export const ISO_WORDS = {
  base: 'the cleanest',
  good: 'clean',
  usable: 'grain to see',
  last: 'more grain than you would choose',
  beyond: 'beyond the body',
} as const;

/** "1/1000: the least for play. The foot moves 4.0 px." */
export function shutterReason(view: View, plan: ExposurePlan): string {
  const { smear = [], settings } = plan;
  const shutter = formatShutter(settings.shutterS);
  const { technique } = view.wanted;
  const most = [...smear].sort((a, b) => b.deliveredPx - a.deliveredPx)[0];
  if (most && most.deliveredPx > ALL_STREAK_SHARE * DELIVERED_LONG_SIDE_PX) {
    return `At ${shutter} all that moves is a streak.`;
  }
  const px = (deliveredPx: number) => `${deliveredPx.toFixed(1)} px`;
  const head = sentence(`${shutter}: ${shutterRuleInWords(view, plan)}`);
  if (technique === 'pan' && view.times.comesAtYou) {
    return `It comes at you: nothing to pan, so it is frozen. ${head}`;
  }
  if (technique === 'pan' && smear[0]) {
    const [rung] = view.ladder.rungs;
    const share = rung ? (rung.streakShare * settings.shutterS) / rung.shutterS : 0;
    return `${head} The ${smear[0].part} moves ${px(smear[0].deliveredPx)} in a swing as even as yours, the background ${(share * 100).toFixed(1)} % of the frame.`;
  }
  return most ? `${head} The ${most.part} moves ${px(most.deliveredPx)}.` : head;
}

/** Wider than this share of the picture, a streak's length says nothing more. */
const ALL_STREAK_SHARE = 0.25;

/** "1.1 stops short now", "2.3 stops in hand below ISO 6400". */
function standing(plan: ExposurePlan, usableIso: number): string {
  const { stopsDark, stopsBright, stopsShort, stopsSpare, works } = plan;
  if (!works && stopsDark > 0) return `too dark by ${stops(stopsDark)}: no dial is left to give it`;
  if (!works) return `too bright by ${stops(stopsBright)} with every dial at its darkest`;
  if (stopsShort > 0) return `${stops(stopsShort)} short of ${shortOf(plan, usableIso)}`;
  return stopsSpare > SAID_STOPS
    ? `${stops(stopsSpare)} in hand below ${iso(usableIso)}`
    : `just enough at ${iso(usableIso)}, nothing in hand`;
}

const shortOf = ({ must }: ExposurePlan, usableIso: number) =>
  `${formatShutter(must.shutterS)} at ${iso(usableIso)}`;

function ahead({ spans }: Outlook, atMs: number, clock: (ms: number) => string): string {
  const next = spans.find(({ toMs }) => toMs >= atMs);
  if (!next) return '';
  const { fromMs, toMs, worst, toTheEnd } = next;
  if (fromMs <= atMs) return toTheEnd ? '' : `Enough again after ${clock(toMs)}.`;
  const short = `at ${clock(worst.timeMs)} ${stops(worst.stops)} short`;
  return toTheEnd
    ? `Good until ${clock(fromMs)}; ${short}.`
    : `Short from ${clock(fromMs)} to ${clock(toMs)}; ${short}.`;
}

/**
 * How long the settings hold, in two short lines: "good until 20:08", "then 1.1 stops short".
 * @param now the minute looked at, and whether dials are held by hand
 */
export function untilInWords(
  plan: ExposurePlan,
  { spans, unknown }: Outlook,
  {
    atMs,
    clock,
    held,
  }: {
    readonly atMs: number;
    readonly clock: (ms: number) => string;
    readonly held: boolean;
  },
): readonly [string, string] {
  const { works, stopsDark, stopsBright, stopsShort, stopsSpare } = plan;
  if (held) {
    const [dark, bright] = [stopsDark > RIGHT_WITHIN_STOPS, stopsBright > RIGHT_WITHIN_STOPS];
    const off = `${stops(dark ? stopsDark : stopsBright)} ${dark ? 'too dark' : 'too bright'}`;
    return ['held by you', dark || bright ? off : 'exposed right'];
  }
  if (!works) {
    return stopsDark > 0
      ? ['too dark', `by ${stops(stopsDark)}`]
      : ['too bright', `by ${stops(stopsBright)}`];
  }
  const next = spans.find(({ toMs }) => toMs >= atMs);
  if (stopsShort > 0) {
    const until = next && next.fromMs <= atMs && !next.toTheEnd ? `until ${clock(next.toMs)}` : '';
    return [`${stops(stopsShort)} short`, until];
  }
  if (!next) {
    const spare = stopsSpare > SAID_STOPS ? `${stops(stopsSpare)} in hand` : '';
    return [unknown ? 'good now' : 'good to the end', spare];
  }
  return [
    next.toTheEnd ? `good until ${clock(next.fromMs)}` : `short from ${clock(next.fromMs)}`,
    `then ${stops(next.worst.stops)} short`,
  ];
}

/** What the dials as held make of the frame. */
function heldSentence({ stopsDark, stopsBright }: ExposurePlan): string {
  const by = 'than metered, as you hold the dials';
  if (stopsDark > RIGHT_WITHIN_STOPS) return `${stops(stopsDark)} darker ${by}.`;
  if (stopsBright > RIGHT_WITHIN_STOPS) return `${stops(stopsBright)} brighter ${by}.`;
  return 'Exposed right as you hold the dials.';
}

/**
 * The stops in a sentence or two: short, too much or in hand now, and what is to come.
 * "Good until 20:08; at 20:45 1.1 stops short. 0.4 stop in hand below ISO 6400."
 */
export function stopsSentence(
  plan: ExposurePlan,
  outlook: Outlook,
  now: {
    readonly clock: (ms: number) => string;
    readonly atMs: number;
    /** The body's highest usable ISO. */
    readonly usableIso: number;
    /** Whether levers are held by hand: then the frame itself is spoken of. */
    readonly held?: boolean;
  },
): string {
  if (now.held) return heldSentence(plan);
  const coming = ahead(outlook, now.atMs, now.clock);
  const here = sentence(standing(plan, now.usableIso));
  return plan.works && plan.stopsShort === 0
    ? [coming, here].filter(Boolean).join(' ')
    : [here, coming].filter(Boolean).join(' ');
}

/** What can be turned from one row of a card to the next. */
export const DIAL_NAMES: Readonly<Record<Turn['dial'], string>> = {
  shutter: 'shutter',
  aperture: 'aperture',
  iso: 'ISO',
  lift: 'lift',
  filter: 'filter',
};

/** Why a card's row begins: "light falls to EV 7.3; short by 0.4 stop". */
export function rowReason({ light, stopsShort, stopsDark }: CardRow): string {
  const at = `EV ${light.ev.toFixed(1)}`;
  const now = light.since ? `light ${light.since} to ${at}` : at;
  if (stopsDark > RIGHT_WITHIN_STOPS) return `${now}: too dark by ${stops(stopsDark)}`;
  return stopsShort > 0 ? `${now}: short by ${stops(stopsShort)}` : now;
}

/** A way out as a button says it, and what it costs. */
export interface WaySaid {
  readonly label: string;
  readonly cost: string;
}

/** Longest streak at a time of any part that rules by itself, in px of the delivered picture. */
function mostPx(motion: Motion | undefined, shutterS: number) {
  if (!motion) return undefined;
  const ruling = motion.parts.filter((part) => !part.rulesOnlyIfNamed);
  const parts = ruling.length > 0 ? ruling : motion.parts;
  // A pan follows a part: it stays among them.
  return motionSmear({ ...motion, shutterS })
    .filter(({ part }) => parts.some(({ name }) => name === part))
    .reduce((a, b) => (b.deliveredPx > a.deliveredPx ? b : a));
}

/** "1/500, no lift" · "the foot moves 6.3 px instead of 4.0". */
export function wayInWords(way: WayOut, plan: ExposurePlan, motion: Motion | undefined): WaySaid {
  const { levers, settings } = way;
  const before = plan.settings;
  const changed: string[] = [];
  const costs: string[] = [];
  const moved = (a: number, b: number) => Math.abs(Math.log2(a / b)) > SAID_STOPS;
  if (levers.includes('filter')) {
    return {
      label: `Put on ${filterInWords(way.filterStops ?? 0)}`,
      cost: 'a filter to carry; nothing in the picture',
    };
  }
  if (moved(settings.shutterS, before.shutterS)) {
    changed.push(formatShutter(settings.shutterS));
    const [then, was] = [mostPx(motion, settings.shutterS), mostPx(motion, before.shutterS)];
    if (then && was && settings.shutterS > before.shutterS) {
      costs.push(
        `the ${then.part} moves ${then.deliveredPx.toFixed(1)} px instead of ${was.deliveredPx.toFixed(1)}`,
      );
    }
  }
  if (moved(settings.iso, before.iso)) {
    changed.push(iso(settings.iso));
    if (settings.iso > before.iso)
      costs.push(`${stops(Math.log2(settings.iso / before.iso))} more grain`);
  }
  const lift = settings.liftStops - before.liftStops;
  if (lift > SAID_STOPS) {
    changed.push(`lift ${stops(settings.liftStops)}`);
    costs.push('grain in the shadows when lifted');
  } else if (lift < -SAID_STOPS) changed.push('no lift');
  return { label: changed.join(', '), cost: costs.join('; ') };
}

/** A way out in a word or two: "1/800", "ISO 8000", "a lift of 1.0 stop". */
export function wayInShort(way: WayOut, { settings: before }: ExposurePlan): string {
  const { settings, filterStops } = way;
  const moved = (a: number, b: number) => Math.abs(Math.log2(a / b)) > SAID_STOPS;
  if (filterStops !== undefined) return filterInWords(filterStops);
  if (moved(settings.shutterS, before.shutterS)) return formatShutter(settings.shutterS);
  if (moved(settings.iso, before.iso)) return iso(settings.iso);
  return `a lift of ${stops(settings.liftStops)}`;
}

/** Every sentence of an answer, the settings first. */
export function answerSentences(view: View, plan: ExposurePlan): readonly string[] {
  const overfilled = overfilledInWords(view);
  const ways = plan.waysOut.map((way) => wayInWords(way, plan, view.motion));
  return [
    ...(overfilled ? [overfilled] : []),
    sentence(settingsInWords(plan.settings)),
    shutterReason(view, plan),
    stopsSentence(plan, NO_OUTLOOK, {
      clock: String,
      atMs: 0,
      usableIso: view.body.iso.usable,
    }),
    ...ways.map(({ label, cost }) => sentence(`or ${label}${cost ? ` (${cost})` : ''}`)),
    ...notesOf(view, plan),
  ];
}
