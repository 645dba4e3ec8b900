import { z } from 'zod';
import { FEATURE_SHAPE, toGeographic, type FeatureKind, type GeoPoint, type Point2 } from '@/core';
import { groundLines } from '@/presets/grounds';
import { firstProblem } from '@/records/parse';
import {
  featureSchema,
  markSchema,
  MOST_ENTRIES,
  MOST_POINTS,
  positionSchema,
  type Feature,
  type Mark,
  type Position,
  type Shoot,
} from '@/records/shoot';
import {
  onPlan,
  reading,
  refuseBlob,
  Refused,
  type PointsAs,
  type SiteItems,
  type SiteRead,
} from './site';

/**
 * A ground as GeoJSON (RFC 7946): one Feature for each mark, position and thing, its `id` kept, its
 * figures as properties under the record's own names. Painted lines of the template go along for
 * other programs and are left out when read back. Described in docs/ground-files.md.
 */

/** To a centimetre. */
const DEGREE_DIGITS = 7;
const METRE_DIGITS = 3;
const TEMPLATE_LINE = 'templateLine';

type Geometry =
  | { readonly type: 'Point'; readonly coordinates: readonly number[] }
  | { readonly type: 'LineString'; readonly coordinates: readonly (readonly number[])[] }
  | {
      readonly type: 'Polygon';
      readonly coordinates: readonly (readonly (readonly number[])[])[];
    };

interface GeoFeature {
  readonly type: 'Feature';
  readonly id?: string;
  readonly geometry: Geometry | null;
  readonly properties: Readonly<Record<string, unknown>>;
}

const rounded = (value: number, digits: number) => Number(value.toFixed(digits)) + 0;

/** Twice the signed area: positive for corners that run anticlockwise. */
const turning = (corners: readonly Point2[]): number =>
  corners.reduce((sum, a, i) => {
    const b = corners[(i + 1) % corners.length] as Point2;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);

function geometryOf(
  points: readonly Point2[],
  form: 'none' | 'point' | 'line' | 'area',
  place: GeoPoint,
): Geometry | null {
  const position = (point: Point2) => {
    const { longitudeDeg, latitudeDeg } = toGeographic(point, place);
    return [rounded(longitudeDeg, DEGREE_DIGITS), rounded(latitudeDeg, DEGREE_DIGITS)];
  };
  const [first] = points;
  if (!first || form === 'none') return null;
  if (form === 'point') return { type: 'Point', coordinates: position(first) };
  if (form === 'line') return { type: 'LineString', coordinates: points.map(position) };
  // RFC 7946 3.1.6: the outer ring runs anticlockwise, its last position equal to its first.
  const ring = turning(points) < 0 ? [first, ...points.slice(1).reverse()] : points;
  return { type: 'Polygon', coordinates: [[...ring, first].map(position)] };
}

function featureOf({ id, name, kind, points, ...figures }: Feature, place: GeoPoint): GeoFeature {
  return {
    type: 'Feature',
    id,
    geometry: geometryOf(points, FEATURE_SHAPE[kind], place),
    properties: { kind, name, ...figures },
  };
}

const pointFeature = (
  kind: 'mark' | 'position',
  { id, x, y, ...figures }: Mark | Position,
  place: GeoPoint,
): GeoFeature => ({
  type: 'Feature',
  id,
  geometry: geometryOf([{ x, y }], 'point', place),
  properties: { kind, ...figures },
});

/** Writes marks, positions and things, and the template's painted lines, in WGS 84. */
export function writeGeoJson({ place, ground, marks, positions, features }: Shoot): string {
  const painted = groundLines(ground.template, ground.bearingDeg).map(
    ({ name, points }): GeoFeature => ({
      type: 'Feature',
      geometry: geometryOf(points, 'line', place),
      properties: { kind: TEMPLATE_LINE, name },
    }),
  );
  const collection = {
    type: 'FeatureCollection',
    features: [
      ...marks.map((mark) => pointFeature('mark', mark, place)),
      ...positions.map((position) => pointFeature('position', position, place)),
      ...features.map((feature) => featureOf(feature, place)),
      ...painted,
    ],
  };
  return `${JSON.stringify(collection, null, 1)}\n`;
}

const positionJson = z.array(z.number()).min(2).max(4);
const MOST_POSITIONS = MOST_POINTS + 1;
const lineJson = z.array(positionJson).min(2).max(MOST_POSITIONS);
const ringJson = z
  .array(positionJson)
  .min(4)
  .max(MOST_POSITIONS)
  .refine(
    (ring) => ring[0]?.every((figure, i) => figure === ring.at(-1)?.[i]),
    'must end where it begins: the area is not closed',
  );
const ringsJson = z
  .array(ringJson)
  .min(1)
  .max(1, 'must be one ring: areas with holes are not taken');
const MOST_PARTS = 200;
const geometryJson = z.discriminatedUnion('type', [
  z.object({ type: z.literal('Point'), coordinates: positionJson }),
  z.object({ type: z.literal('LineString'), coordinates: lineJson }),
  z.object({ type: z.literal('Polygon'), coordinates: ringsJson }),
  z.object({
    type: z.literal('MultiPoint'),
    coordinates: z.array(positionJson).max(MOST_PARTS),
  }),
  z.object({
    type: z.literal('MultiLineString'),
    coordinates: z.array(lineJson).max(MOST_PARTS),
  }),
  z.object({
    type: z.literal('MultiPolygon'),
    coordinates: z.array(ringsJson).max(MOST_PARTS),
  }),
]);
type GeometryJson = z.infer<typeof geometryJson>;
const featureJson = z.object({
  type: z.literal('Feature'),
  id: z.union([z.string().max(200), z.number()]).optional(),
  geometry: geometryJson.nullable(),
  properties: z.record(z.string(), z.unknown()).nullable(),
});
const collectionJson = z.object({
  type: z.literal('FeatureCollection'),
  features: z
    .array(featureJson)
    .max(3 * MOST_ENTRIES, `must be at most ${3 * MOST_ENTRIES} features`),
});

/** The plain pieces of a geometry. */
function piecesOf(geometry: GeometryJson): readonly Geometry[] {
  switch (geometry.type) {
    case 'MultiPoint':
      return geometry.coordinates.map((coordinates) => ({ type: 'Point', coordinates }));
    case 'MultiLineString':
      return geometry.coordinates.map((coordinates) => ({ type: 'LineString', coordinates }));
    case 'MultiPolygon':
      return geometry.coordinates.map((coordinates) => ({ type: 'Polygon', coordinates }));
    default:
      return [geometry];
  }
}

interface Reader {
  readonly origin: GeoPoint;
  readonly pointsAs: PointsAs;
  readonly newId: () => string;
}

function pointsOf(geometry: Geometry, origin: GeoPoint, what: string): Point2[] {
  const at = ([longitudeDeg, latitudeDeg]: readonly number[]): Point2 => {
    const { x, y } = onPlan(
      { longitudeDeg: longitudeDeg as number, latitudeDeg: latitudeDeg as number },
      origin,
      what,
    );
    return { x: rounded(x, METRE_DIGITS), y: rounded(y, METRE_DIGITS) };
  };
  switch (geometry.type) {
    case 'Point':
      return [at(geometry.coordinates)];
    case 'LineString':
      return geometry.coordinates.map(at);
    case 'Polygon':
      // A ring repeats its first position at its end.
      return (geometry.coordinates[0] ?? []).slice(0, -1).map(at);
  }
}

function checked<T>(schema: z.ZodType<T>, value: unknown, what: string): T {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  throw new Refused(`${what}: ${firstProblem(result.error)}`);
}

type Known = 'mark' | 'position' | FeatureKind;
const isKnown = (kind: unknown): kind is Known =>
  kind === 'mark' || kind === 'position' || (typeof kind === 'string' && kind in FEATURE_SHAPE);

/** Names that other programs give. */
function nameOf(properties: Readonly<Record<string, unknown>>, fallback: string): string {
  const given = [properties.name, properties.title].find(
    (value) => typeof value === 'string' && value.trim() !== '',
  );
  return (typeof given === 'string' ? given.trim() : fallback).slice(0, 60);
}

/** A feature of our own, by its kind. */
function ownItem(
  kind: Known,
  id: string,
  points: readonly Point2[],
  { kind: _kind, ...figures }: Readonly<Record<string, unknown>>,
  what: string,
): Partial<Record<keyof SiteItems, unknown>> {
  if (kind !== 'mark' && kind !== 'position') {
    const item = checked(featureSchema, { id, kind, points, ...figures }, what);
    return { features: item };
  }
  const [at] = points;
  if (!at) throw new Refused(`${what}: a ${kind} needs a place`);
  const item = { id, ...at, ...figures };
  return kind === 'mark'
    ? { marks: checked(markSchema, item, what) }
    : { positions: checked(positionSchema, item, what) };
}

const FOREIGN_CAMERA_M = 1.5;

/** Something that another program drew: a place, a line, or an area's edge. */
function foreignItem(
  geometry: Geometry,
  id: string,
  points: readonly Point2[],
  properties: Readonly<Record<string, unknown>>,
  { pointsAs }: Reader,
): Partial<Record<keyof SiteItems, unknown>> {
  const [at] = points;
  if (geometry.type === 'Point' && at) {
    const name = nameOf(properties, pointsAs === 'marks' ? 'Mark' : 'Position');
    return pointsAs === 'marks'
      ? { marks: { id, name, ...at, headingDeg: 0, facingDeg: 0, subjectId: 'standing' } }
      : { positions: { id, name, ...at, cameraHeightM: FOREIGN_CAMERA_M } };
  }
  const round = geometry.type === 'Polygon' && at ? [...points, at] : [...points];
  return {
    features: { id, name: nameOf(properties, 'Line'), kind: 'outline', points: round },
  };
}

const OWN_ID = /^[\w-]{1,40}$/;

/**
 * Reads a ground from GeoJSON, whole or not at all. Features of our own kinds keep their ids and
 * figures; of others, points become marks or positions and lines and areas become plain lines.
 */
export function readGeoJson(text: string, reader: Reader): SiteRead {
  return reading(() => {
    refuseBlob(text);
    let raw: unknown;
    try {
      raw = JSON.parse(text);
    } catch {
      throw new Refused('the file is not GeoJSON: it is no JSON, or it is cut off');
    }
    const type = (raw as { type?: unknown } | null)?.type;
    const { features } = checked(
      collectionJson,
      type === 'Feature' ? { type: 'FeatureCollection', features: [raw] } : raw,
      'the file',
    );
    const items: Record<keyof SiteItems, unknown[]> = { marks: [], positions: [], features: [] };
    const taken = new Set<string>();
    let painted = 0;
    features.forEach(({ id, geometry, properties }, i) => {
      const own = properties ?? {};
      if (own.kind === TEMPLATE_LINE) {
        painted += 1;
        return;
      }
      const what = `feature ${i + 1}`;
      const pieces: readonly (Geometry | null)[] = geometry ? piecesOf(geometry) : [null];
      pieces.forEach((piece, part) => {
        const wished = typeof id === 'string' && OWN_ID.test(id) && part === 0 ? id : undefined;
        // A mark, a position and a thing may each have the same id; two of one list may not.
        const list = own.kind === 'mark' || own.kind === 'position' ? own.kind : 'feature';
        const free = wished !== undefined && !taken.has(`${list} ${wished}`);
        const itemId = free ? wished : reader.newId();
        taken.add(`${list} ${itemId}`);
        const points = piece ? pointsOf(piece, reader.origin, what) : [];
        if (!isKnown(own.kind) && !piece) return;
        const found =
          isKnown(own.kind) || !piece
            ? ownItem(own.kind as Known, itemId, points, own, what)
            : foreignItem(piece, itemId, points, own, reader);
        for (const into of ['marks', 'positions', 'features'] as const) {
          if (found[into] !== undefined) items[into].push(found[into]);
        }
      });
    });
    return {
      items: items as unknown as SiteItems,
      notes:
        painted > 0 ? [`${painted} painted lines belong to the template and are left out.`] : [],
    };
  });
}
