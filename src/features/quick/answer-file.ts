import { z } from 'zod';
import {
  ev as evOf,
  evFromIlluminance,
  focalRange,
  solveExposure,
  TECHNIQUES,
  type ExposurePlan,
  type Settings,
} from '@/core';
import { exposureDemands } from '@/answers/answer';
import { troubleInWords } from '@/features/shoot/words';
import { answerSentences, shutterRuleInWords, wayInWords } from '@/features/shoot/exposure-words';
import { viewOf, type View } from '@/answers/view';
import { BODIES } from '@/presets/bodies';
import { lensById, subjectById } from '@/presets/find';
import { CONVERTERS, LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';
import { FIRST_SHOT } from '@/records/brief';
import { presetId } from '@/records/shape';
import { FIRST_PAN_SIGMA, type Shoot } from '@/records/shoot';
import { blankSetup, HEADING_DEG } from './quick';

/**
 * Answers without the interface (docs/answer-file.md): a list of pictures in, what to set for each out,
 * by the very view and solver of the app.
 */

const seconds = z.number().gt(0).max(60);
const light = z.union([
  z.strictObject({ ev: z.number().min(-12).max(20) }),
  z.strictObject({
    triad: z.strictObject({
      shutterS: seconds,
      aperture: z.number().min(0.7).max(64),
      iso: z.number().min(25).max(1_000_000),
      /** How dark the frame looked; below 0 too bright. */
      stopsDark: z.number().min(-6).max(6),
    }),
  }),
  z.strictObject({ lux: z.number().gt(0).max(200_000) }),
]);

export const askedSchema = z
  .strictObject({
    subjectId: presetId(SUBJECTS),
    runs: z.enum(['across', 'diagonal', 'towards']),
    distanceM: z.number().min(0.05).max(2000),
    orientation: z.enum(['level', 'upright']),
    bodyId: presetId(BODIES),
    lensId: presetId(LENSES),
    /** As engraved on the lens, without the converter. */
    focalMm: z.number().min(4).max(3000),
    converter: z.literal([...CONVERTERS]),
    support: z.enum(['hand', 'monopod', 'beanBag', 'tripod']).default('hand'),
    technique: z.enum(TECHNIQUES).default('freeze'),
    /** The part that must be sharp. */
    sharp: z.string().max(40).optional(),
    light,
    /** Distance of what lies behind, from the camera. */
    backgroundM: z.number().gt(0).max(100_000).optional(),
    windMs: z.number().min(0).max(60).optional(),
    lamps: z
      .strictObject({ mainsHz: z.literal([50, 60]), share: z.number().min(0).max(1) })
      .optional(),
    school: z.enum(['balanced', 'motion', 'quality']).default('balanced'),
  })
  .superRefine(({ subjectId, sharp }, context) => {
    if (sharp === undefined || !SUBJECTS.some(({ id }) => id === subjectId)) return;
    const parts = subjectById(subjectId).parts.map(({ name }) => name);
    if (!parts.includes(sharp)) {
      context.addIssue({
        code: 'custom',
        path: ['sharp'],
        message: `must be a part of it: ${parts.join(', ')}`,
      });
    }
  });
export type Asked = z.infer<typeof askedSchema>;

/** Most pictures of one file. */
const MOST_ASKED = 10_000;
export const answerFileSchema = z.array(askedSchema).min(1).max(MOST_ASKED);

export interface Answered {
  readonly settings: Required<Settings>;
  readonly must: ExposurePlan['must'];
  readonly wish: ExposurePlan['wish'];
  readonly ruledBy: string;
  readonly stopsInHand: number;
  readonly stopsShort: number;
  readonly works: boolean;
  /** Neutral filter that the settings count with; 0 for none. */
  readonly filterStops: number;
  readonly waysOut: readonly {
    readonly label: string;
    readonly cost: string;
    readonly settings: Required<Settings>;
  }[];
  readonly sentences: readonly string[];
}

/** Neutral filters that a bag has, as a rule. Common practice, no source. */
const CARRIED = [3, 6].map((stops) => ({
  kind: 'filter' as const,
  id: `own-nd-${stops}`,
  name: `Neutral filter, ${stops} stops`,
  stops,
}));
/** Swing of lamps whose kind is not known. Common practice, no source. */
const MODULATION = 0.4;

const evSaid = (said: Asked['light']): number => {
  if ('ev' in said) return said.ev;
  if ('lux' in said) return evFromIlluminance(said.lux);
  return evOf(said.triad) - said.triad.stopsDark;
};

const choiceOf = ({ school, orientation }: Asked): Shoot['choice'] => ({
  markId: 'mark',
  positionId: 'position',
  orientation,
  school,
  liftStops: 1,
  held: {},
  panSigma: FIRST_PAN_SIGMA,
});

/** What the app sees of it, standing no nearer than the lens focuses. */
function viewFor(asked: Asked, distanceM: number): View {
  const { subjectId, runs, orientation, bodyId, lensId, converter, support } = asked;
  const { technique, sharp, windMs } = asked;
  const { shortestMm, longestMm } = focalRange(lensById(lensId));
  const focalMm = Math.min(longestMm, Math.max(shortestMm, asked.focalMm));
  const stand = { subjectId, headingDeg: HEADING_DEG[runs], distanceM };
  const seen = viewOf(
    blankSetup(stand, {
      choice: { ...choiceOf(asked), shotId: 'shot' },
      shots: [
        {
          ...FIRST_SHOT,
          id: 'shot',
          name: 'Asked',
          markId: 'mark',
          technique,
          orientation,
          ...(sharp !== undefined && { sharp }),
        },
      ],
      kit: { bodyId, lensId, focalMm, converter, support, bag: CARRIED, packed: [] },
      ...(windMs !== undefined && { windMs }),
    }),
  );
  if (!seen.ok) throw new RangeError(troubleInWords(seen.trouble));
  return seen.view;
}

const whole = ({ filterStops = 0, ...settings }: Settings): Required<Settings> => ({
  ...settings,
  filterStops,
});

/** What to set for one picture. */
export function answerAsked(asked: Asked): Answered {
  const { nearestFocusM, name } = lensById(asked.lensId);
  const tooNear = asked.distanceM < nearestFocusM;
  const view = viewFor(asked, Math.max(asked.distanceM, nearestFocusM));
  const expected = evSaid(asked.light);
  const demands = exposureDemands(view, choiceOf(asked));
  const plan = solveExposure({
    ...demands,
    ev: { low: expected, expected, high: expected },
    ...(demands.focus &&
      asked.backgroundM !== undefined && {
        focus: {
          ...demands.focus,
          backgroundM: asked.backgroundM,
          frameWidthMm: view.body.sensor.widthMm,
        },
      }),
    ...(asked.lamps && { lamps: { ...asked.lamps, modulation: MODULATION } }),
  });
  const { settings, must, wish, stopsSpare, stopsShort, works, waysOut } = plan;
  const clamped = view.focalMm / asked.converter;
  return {
    settings: whole(settings),
    must,
    wish,
    ruledBy: shutterRuleInWords(view, plan),
    stopsInHand: stopsSpare,
    stopsShort,
    works: works && !tooNear,
    filterStops: settings.filterStops ?? 0,
    waysOut: waysOut.map((way) => ({
      ...wayInWords(way, plan, view.motion),
      settings: whole(way.settings),
    })),
    sentences: [
      ...(tooNear
        ? [
            `The ${name} focuses from ${nearestFocusM} m; ${asked.distanceM} m is nearer. Step back: these are the settings from there.`,
          ]
        : []),
      ...(Math.abs(clamped / asked.focalMm - 1) > 0.01
        ? [`The ${name} does not go to ${asked.focalMm} mm: taken at ${Math.round(clamped)} mm.`]
        : []),
      ...answerSentences(view, plan),
    ],
  };
}
