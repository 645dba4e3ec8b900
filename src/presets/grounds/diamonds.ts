import type { Point2 } from '@/core';
import {
  bench,
  arc,
  at,
  backdrop,
  chainLink,
  circle,
  closed,
  FOOT_M,
  keepOut,
  line,
  spot,
} from './shapes';
import type { GroundTemplate } from './types';

/**
 * Diamonds, origin at the back tip of home plate, y towards second base. Figures of the rule books
 * quoted from memory; fences vary, the usual ones are drawn.
 */

/** A strip of some width along a line. */
function rectangleAlong(from: Point2, to: Point2, widthM: number): Point2[] {
  const lengthM = Math.hypot(to.x - from.x, to.y - from.y);
  const side = {
    x: ((to.y - from.y) * widthM) / 2 / lengthM,
    y: ((from.x - to.x) * widthM) / 2 / lengthM,
  };
  return [
    at(from.x - side.x, from.y - side.y),
    at(from.x + side.x, from.y + side.y),
    at(to.x + side.x, to.y + side.y),
    at(to.x - side.x, to.y - side.y),
  ];
}

interface Diamond {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  readonly baseFt: number;
  readonly pitchFt: number;
  readonly fenceFt: number;
  readonly lensId: string;
  readonly focalMm: number;
}

function diamond({
  id,
  name,
  source,
  baseFt,
  pitchFt,
  fenceFt,
  lensId,
  focalMm,
}: Diamond): GroundTemplate {
  const base = baseFt * FOOT_M;
  const side = base / Math.SQRT2;
  const fence = fenceFt * FOOT_M;
  const foul = fence / Math.SQRT2;
  const infieldDepth = pitchFt * FOOT_M;
  const bases = [at(0, 0), at(side, side), at(0, 2 * side), at(-side, side)];
  const fence8 = arc(at(0, 0), fence, -45, 45);
  return {
    id,
    name,
    source,
    surface: 'grass',
    lines: [
      line('base paths', closed(bases)),
      line('foul line', [at(0, 0), at(foul, foul)], 'boundary'),
      line('foul line', [at(0, 0), at(-foul, foul)], 'boundary'),
      line('outfield fence', fence8, 'boundary'),
      spot('pitching plate', at(0, infieldDepth)),
    ],
    fieldOfPlay: [at(0, 0), ...fence8],
    marks: [
      {
        id: 'batter',
        name: 'Batter',
        ...at(-0.9, 0.3),
        headingDeg: 90,
        facingDeg: 75,
        subjectId: 'batter',
      },
      {
        id: 'batter-left',
        name: 'Left-handed batter',
        ...at(0.9, 0.3),
        headingDeg: 270,
        facingDeg: 285,
        subjectId: 'batter',
      },
      {
        id: 'first',
        name: 'Play at first base',
        ...at(side, side),
        headingDeg: 45,
        facingDeg: 270,
        subjectId: 'field-player',
      },
      {
        id: 'pitcher',
        name: 'Pitcher',
        ...at(0, infieldDepth),
        headingDeg: 180,
        facingDeg: 180,
        subjectId: 'pitcher',
      },
      {
        id: 'second',
        name: 'Slide at second base',
        ...at(0.6, 2 * side - 1),
        headingDeg: 315,
        facingDeg: 225,
        subjectId: 'field-player',
      },
      bench(at(-side * 0.6 - 9, side * 0.5 - 4), 60, 'Coach and dugout'),
    ],
    positions: [
      {
        id: 'first-side',
        name: 'First-base side',
        ...at(side * 0.9 + 7, side * 0.55 - 5),
        cameraHeightM: 1.4,
        why: 'Right-handed batters face you, and infield throws to first come at you.',
      },
      {
        id: 'third-side',
        name: 'Third-base side',
        ...at(-side * 0.9 - 7, side * 0.55 - 5),
        cameraHeightM: 1.4,
        why: 'Left-handed batters face you, and so do runners coming home.',
      },
      {
        id: 'backstop',
        name: 'Behind the plate, outside the wire',
        ...at(-1.5, -10),
        cameraHeightM: 1.6,
        why: 'For the pitcher. Lens within 15 cm of the wire, in a post’s strip of shade.',
      },
    ],
    features: [
      chainLink('backstop-fence', 'Backstop', [at(-9, -7), at(-4, -9), at(4, -9), at(9, -7)], 6),
      backdrop('outfield-wall', 'Outfield fence', fence8, 2.4, 'lettering'),
      keepOut('plate', 'Home plate and the swing of the bat, 13 ft', circle(at(0, 0), 13 * FOOT_M)),
      keepOut(
        'overrun',
        'Run past first base, 15 ft',
        rectangleAlong(at(side, side), at(side + 15 * FOOT_M, side + 15 * FOOT_M), 3),
      ),
    ],
    switches: [
      {
        id: 'batter-hand',
        name: 'Batter',
        options: [
          { label: 'Right-handed', positionId: 'first-side' },
          { label: 'Left-handed', positionId: 'third-side' },
        ],
        effects: [
          { id: 'batter', mirror: 'place' },
          { id: 'batter-left', mirror: 'place' },
        ],
        own: { trait: 'hand', sides: ['right', 'left'], marks: ['batter', 'batter-left'] },
      },
    ],
    cautions: ['diamond', 'sun'],
    lensId,
    focalMm,
  };
}

export const DIAMONDS: readonly GroundTemplate[] = [
  diamond({
    id: 'baseball-little-league',
    name: 'Baseball diamond, Little League',
    source: 'Little League: bases 60 ft, pitching 46 ft, fence 200 ft',
    baseFt: 60,
    pitchFt: 46,
    fenceFt: 200,
    lensId: '70-200-2.8',
    focalMm: 200,
  }),
  diamond({
    id: 'baseball-high-school',
    name: 'Baseball diamond, high school',
    source: 'NFHS: bases 90 ft, pitching 60 ft 6 in, fence about 330 ft',
    baseFt: 90,
    pitchFt: 60.5,
    fenceFt: 330,
    lensId: '300-2.8',
    focalMm: 300,
  }),
  diamond({
    id: 'baseball-ncaa',
    name: 'Baseball diamond, college',
    source: 'NCAA: bases 90 ft, pitching 60 ft 6 in, fence about 375 ft',
    baseFt: 90,
    pitchFt: 60.5,
    fenceFt: 375,
    lensId: '400-2.8',
    focalMm: 400,
  }),
  diamond({
    id: 'softball-little-league',
    name: 'Softball diamond, Little League',
    source: 'Little League Softball (majors): bases 60 ft, pitching 40 ft, fence 200 ft',
    baseFt: 60,
    pitchFt: 40,
    fenceFt: 200,
    lensId: '70-200-2.8',
    focalMm: 200,
  }),
  diamond({
    id: 'softball-high-school',
    name: 'Softball diamond, high school and college',
    source: 'NFHS and NCAA: bases 60 ft, pitching 43 ft, fence about 200 ft',
    baseFt: 60,
    pitchFt: 43,
    fenceFt: 200,
    lensId: '70-200-2.8',
    focalMm: 200,
  }),
];
