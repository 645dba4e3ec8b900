import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import { z } from 'zod';
import { FEATURE_SHAPE, toGeographic, type GeoPoint, type Point2 } from '@/core';
import { firstProblem, shortened } from '@/records/parse';
import { xmlText } from './xml-text';
import { MOST_ENTRIES, MOST_POINTS, type Feature, type Shoot } from '@/records/shoot';
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
 * Waypoints as GPX 1.1: what a phone or a hand-held receiver carries to the site and back. Marks,
 * positions and single things go out as waypoints with their kind as `type`; tracks and routes come
 * in as lines. Headings, heights and meshes are not carried: GeoJSON is for those, and waypoints of
 * lamps, trees and perches are left out when read back.
 */

const DEGREE_DIGITS = 7;
const NAMESPACE = 'http://www.topografix.com/GPX/1/1';

interface WayPoint {
  readonly name: string;
  readonly type: string;
  readonly desc?: string | undefined;
  readonly at: Point2;
}

/** Writes marks, positions and single things as waypoints. */
export function writeGpx({ title, place, marks, positions, features }: Shoot): string {
  const waypoints: readonly WayPoint[] = [
    ...positions.map(({ name, why, x, y }) => ({
      name,
      type: 'position',
      desc: why,
      at: { x, y },
    })),
    ...marks.map(({ name, x, y }) => ({ name, type: 'mark', at: { x, y } })),
    ...features
      .filter(({ kind }) => FEATURE_SHAPE[kind] === 'point')
      .flatMap(({ name, kind, points }) => points.map((at) => ({ name, type: kind, at }))),
  ];
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    format: true,
    indentBy: ' ',
    suppressEmptyNode: true,
  });
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Bright Perch',
      '@xmlns': NAMESPACE,
      metadata: { name: xmlText(title) },
      wpt: waypoints.map(({ name, type, desc, at }) => {
        const { latitudeDeg, longitudeDeg } = toGeographic(at, place);
        return {
          '@lat': latitudeDeg.toFixed(DEGREE_DIGITS),
          '@lon': longitudeDeg.toFixed(DEGREE_DIGITS),
          name: xmlText(name),
          ...(desc && { desc: xmlText(desc) }),
          type,
        };
      }),
    },
  });
}

const degrees = (most: number) =>
  z
    .string()
    .regex(/^\s*[+-]?\d+(\.\d+)?\s*$/, 'must be decimal degrees')
    .transform(Number)
    .refine((value) => Math.abs(value) <= most, `must be within ${most}`);
const pointXml = z.object({
  '@lat': degrees(90),
  '@lon': degrees(180),
  name: z.unknown().optional(),
  type: z.unknown().optional(),
});
const pointsXml = z.array(pointXml).max(100_000, 'has over 100 000 points');
const gpxXml = z.object({
  wpt: pointsXml.max(MOST_ENTRIES, `must be at most ${MOST_ENTRIES} waypoints`).default([]),
  rte: z
    .array(z.object({ name: z.unknown().optional(), rtept: pointsXml.default([]) }))
    .max(MOST_ENTRIES)
    .default([]),
  trk: z
    .array(
      z.object({
        name: z.unknown().optional(),
        trkseg: z.array(z.object({ trkpt: pointsXml.default([]) })).default([]),
      }),
    )
    .max(MOST_ENTRIES)
    .default([]),
});

const wordOf = (value: unknown, fallback: string): string =>
  (typeof value === 'string' && value.trim() !== '' ? value.trim() : fallback).slice(0, 60);

/** A long track thinned evenly to as many points as a line may have. */
function thinned<T>(points: readonly T[]): readonly T[] {
  if (points.length <= MOST_POINTS) return points;
  const every = (points.length - 1) / (MOST_POINTS - 1);
  return Array.from({ length: MOST_POINTS }, (_, i) => points[Math.round(i * every)] as T);
}

/** @throws Refused for what the parser will not take: too deep, or tags of forbidden names */
function treeOf(parser: XMLParser, text: string): { readonly gpx?: unknown } {
  try {
    return parser.parse(text) as { readonly gpx?: unknown };
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new Refused(`the file is not GPX: ${shortened(why)}`);
  }
}

function parsed(text: string): z.infer<typeof gpxXml> {
  refuseBlob(text);
  // No document type, hence no entities of its own: those are how XML is made to swell.
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) {
    throw new Refused('the file has a document type of its own, which no GPX needs');
  }
  const valid = XMLValidator.validate(text);
  if (valid !== true) {
    throw new Refused(`the file is not GPX: line ${valid.err.line}, ${shortened(valid.err.msg)}`);
  }
  const lists = new Set(['wpt', 'rte', 'rtept', 'trk', 'trkseg', 'trkpt']);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    parseAttributeValue: false,
    removeNSPrefix: true,
    isArray: (name) => lists.has(name),
  });
  const { gpx } = treeOf(parser, text);
  if (gpx === undefined) throw new Refused('the file is not GPX: it has no gpx element');
  const result = gpxXml.safeParse(gpx === '' ? {} : gpx);
  if (!result.success) throw new Refused(firstProblem(result.error));
  return result.data;
}

/**
 * Reads waypoints, and tracks and routes as lines, whole or not at all. A waypoint that says it is
 * a mark or a position is one; others become what the person asks for.
 */
export function readGpx(
  text: string,
  {
    origin,
    pointsAs,
    newId,
  }: { readonly origin: GeoPoint; readonly pointsAs: PointsAs; readonly newId: () => string },
): SiteRead {
  return reading(() => {
    const { wpt, rte, trk } = parsed(text);
    const at = (point: z.infer<typeof pointXml>, what: string): Point2 => {
      const { x, y } = onPlan(
        { latitudeDeg: point['@lat'], longitudeDeg: point['@lon'] },
        origin,
        what,
      );
      return { x: Number(x.toFixed(3)), y: Number(y.toFixed(3)) };
    };
    const items = { marks: [], positions: [], features: [] } as {
      [L in keyof SiteItems]: SiteItems[L][number][];
    };
    const things = wpt.filter(({ type }) => String(type) in FEATURE_SHAPE).length;
    wpt.forEach((point, i) => {
      if (String(point.type) in FEATURE_SHAPE) return;
      const place = at(point, `waypoint ${i + 1}`);
      const as = { mark: 'marks', position: 'positions' }[String(point.type)] ?? pointsAs;
      const base = { id: newId(), ...place };
      if (as === 'marks') {
        items.marks.push({
          ...base,
          name: wordOf(point.name, 'Mark'),
          headingDeg: 0,
          facingDeg: 0,
          subjectId: 'standing',
        });
      } else {
        items.positions.push({
          ...base,
          name: wordOf(point.name, 'Position'),
          cameraHeightM: 1.5,
        });
      }
    });
    const lines = [
      ...rte.map(({ name, rtept }) => ({ name, points: rtept })),
      ...trk.flatMap(({ name, trkseg }) => trkseg.map(({ trkpt }) => ({ name, points: trkpt }))),
    ].filter(({ points }) => points.length > 1);
    const thin = lines.filter(({ points }) => points.length > MOST_POINTS).length;
    lines.forEach(({ name, points }, i) => {
      const line: Feature = {
        id: newId(),
        name: wordOf(name, 'Track'),
        kind: 'outline',
        points: thinned(points).map((point) => at(point, `line ${i + 1}`)),
      };
      items.features.push(line);
    });
    if (wpt.length + lines.length === 0) {
      throw new Refused('the file has no waypoints, tracks or routes');
    }
    return {
      items,
      notes: [
        ...(thin > 0 ? [`Tracks of over ${MOST_POINTS} points are thinned evenly.`] : []),
        ...(things > 0
          ? [`${things} waypoints of lamps, trees or perches are left out: GPX has no heights.`]
          : []),
      ],
    };
  });
}
