import { z } from 'zod';
import {
  BACKDROP_DETAIL_M,
  BROAD_COLOURS,
  FEATURE_SHAPE,
  FEWEST_POINTS,
  WINDOW_PANES,
  type BackdropDetail,
  type FeatureKind,
} from '@/core';
import { bearing, id, metres, text } from './shape';

/** A thing on a ground: what stands, lies or runs there. */

/** Most points a line or an area may have. */
export const MOST_POINTS = 200;
export const point = z.strictObject({ x: metres, y: metres });

const height = z.number().gt(0).max(200);
const points = (fewest: number, most: number) => z.array(point).min(fewest).max(most);
const feature = <K extends FeatureKind, S extends z.ZodRawShape>(kind: K, shape: S) => {
  const form = FEATURE_SHAPE[kind];
  const most = form === 'line' || form === 'area' ? MOST_POINTS : FEWEST_POINTS[form];
  return z.strictObject({
    id,
    name: text(60),
    kind: z.literal(kind),
    points: points(FEWEST_POINTS[form], most),
    ...shape,
  });
};

/** Most windows a hide may have. */
export const MOST_WINDOWS = 12;
/** A window in the wall of a hide from one corner to the next. */
export const hideWindow = z.strictObject({
  wall: z
    .number()
    .int()
    .min(0)
    .max(MOST_POINTS - 1),
  asideM: z.number().min(-100).max(100),
  widthM: z.number().min(0.05).max(100),
  sillM: z.number().min(0).max(100),
  heightM: z.number().min(0.05).max(50),
  pane: z.enum(WINDOW_PANES),
  curtainM: z.number().min(0.05).max(100).optional(),
});

const colour = z.enum(BROAD_COLOURS).optional();

const month = z.number().int().min(1).max(12);

/** What stands, lies or runs on a ground; each kind with its own figures. */
export const featureSchema = z.discriminatedUnion('kind', [
  feature('stand', { heightM: height }),
  feature('wall', { heightM: height, colour }),
  feature('hide', {
    heightM: height,
    /** What one sees out through; all round when absent. */
    windows: z.array(hideWindow).min(1).max(MOST_WINDOWS).readonly().optional(),
  }),
  feature('trees', { heightM: height }),
  feature('tree', { heightM: height, crownM: z.number().gt(0).max(60) }),
  feature('branch', {
    heightM: height,
    tipM: z.number().min(0).max(200),
    thickMm: z.number().min(1).max(1000),
    spreadM: z.number().min(0).max(20),
    leafTakes: z.number().min(0).max(0.99),
    leafFrom: month,
    leafTo: month,
  }),
  feature('hill', {
    fromDeg: bearing,
    toDeg: bearing,
    elevationDeg: z.number().gt(0).max(60),
  }),
  feature('fence', {
    heightM: height,
    meshPitchMm: z.number().min(2).max(500),
    wireMm: z.number().min(0.1).max(20),
    postSpacingM: z.number().min(0.2).max(100),
    postWidthMm: z.number().min(5).max(1000),
  }),
  feature('lamp', { heightM: height }),
  feature('perch', {
    heightM: height,
    /** A level stick on it; a post's top alone when absent. */
    stick: z
      .strictObject({ lengthM: z.number().min(0.05).max(10), towardDeg: bearing })
      .readonly()
      .optional(),
  }),
  feature('cover', { heightM: height }),
  feature('food', { heightM: height }),
  feature('backdrop', {
    heightM: height,
    detail: z.enum(Object.keys(BACKDROP_DETAIL_M) as [BackdropDetail, ...BackdropDetail[]]),
    colour,
  }),
  feature('slope', {
    heightsM: z.array(z.number().min(-200).max(200)).max(MOST_POINTS).readonly(),
  }).refine(({ points: corners, heightsM }) => corners.length === heightsM.length, {
    path: ['heightsM'],
    error: 'must be one height for each of its points',
  }),
  feature('keepOut', {}),
  feature('path', {
    /** Boards so high over the ground; on the ground when absent. */
    deckM: z.number().min(0).max(20).optional(),
  }),
  feature('course', {}),
  feature('water', {}),
  feature('lane', {}),
  feature('outline', {}),
]);
