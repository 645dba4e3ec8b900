import {
  bench,
  across,
  at,
  backdrop,
  bothEnds,
  closed,
  FOOT_M,
  keepOut,
  line,
  rectangle,
  YARD_M,
} from './shapes';
import type { GroundTemplate } from './types';

/** Gridiron fields. Figures of the rule books quoted from memory. */

interface GridironRules {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  /** From the sideline to the hash marks, and from the sideline to the limit line. */
  readonly hashFt: number;
  readonly limitFt: number;
  readonly goalFt: number;
}

function gridiron({ id, name, source, hashFt, limitFt, goalFt }: GridironRules): GroundTemplate {
  const halfWidth = 80 * FOOT_M;
  const halfLength = 60 * YARD_M;
  const hashX = halfWidth - hashFt * FOOT_M;
  const limit = limitFt * FOOT_M;
  const yards = Array.from({ length: 21 }, (_, i) => (i - 10) * 5 * YARD_M);
  return {
    id,
    name,
    source,
    surface: 'grass',
    lines: [
      line(
        'boundary',
        closed(rectangle(-halfWidth, -halfLength, halfWidth, halfLength)),
        'boundary',
      ),
      line(
        'limit line',
        closed(
          rectangle(-halfWidth - limit, -halfLength - limit, halfWidth + limit, halfLength + limit),
        ),
        'broken',
      ),
      ...yards.map((y) =>
        line(
          Math.abs(Math.abs(y) - 50 * YARD_M) < 0.01 ? 'goal line' : 'yard line',
          across(y, 2 * halfWidth),
          Math.abs(Math.abs(y) - 50 * YARD_M) < 0.01 ? 'boundary' : 'marking',
        ),
      ),
      ...[-hashX, hashX].map((x) =>
        line('hash marks', [at(x, -50 * YARD_M), at(x, 50 * YARD_M)], 'broken'),
      ),
      ...bothEnds([
        line(
          'goal posts',
          [at((-goalFt * FOOT_M) / 2, halfLength), at((goalFt * FOOT_M) / 2, halfLength)],
          'boundary',
        ),
      ]),
    ],
    fieldOfPlay: rectangle(
      -halfWidth - limit,
      -halfLength - limit,
      halfWidth + limit,
      halfLength + limit,
    ),
    marks: [
      {
        id: 'runner',
        name: 'Runner coming down the field',
        ...at(12, 15),
        headingDeg: 5,
        facingDeg: 5,
        subjectId: 'field-player',
      },
      {
        id: 'catch',
        name: 'Catch in the end zone',
        ...at(-12, 50),
        headingDeg: 20,
        facingDeg: 200,
        subjectId: 'court-jump',
      },
      bench(at(-(halfWidth + limit + 2), 6), 90),
    ],
    positions: [
      {
        id: 'ahead',
        name: 'Behind the limit line, ahead of play',
        ...at(halfWidth + limit + 1, 36),
        cameraHeightM: 0.9,
        why: 'Kneel ahead of the play and look back: they run at you. Long yardage to go: further down.',
      },
      {
        id: 'end-zone',
        name: 'Behind the end line',
        ...at(-8, halfLength + limit + 1),
        cameraHeightM: 0.9,
        why: 'Near a score, catches and dives come towards you.',
      },
    ],
    features: [
      ...[-1, 1].map((side) =>
        keepOut(
          side < 0 ? 'team-left' : 'team-right',
          'Team area and coaches, between the 25-yard lines',
          rectangle(
            Math.min(side * (halfWidth + limit), side * (halfWidth + limit + 6 * YARD_M)),
            -25 * YARD_M,
            Math.max(side * (halfWidth + limit), side * (halfWidth + limit + 6 * YARD_M)),
            25 * YARD_M,
          ),
        ),
      ),
      backdrop(
        'far-stand',
        'Rail and crowd, far side',
        [at(-halfWidth - 14, -50), at(-halfWidth - 14, 50)],
        3,
        'face',
      ),
    ],
    cautions: ['fieldSport', 'sun'],
    lensId: '300-2.8',
    focalMm: 300,
  };
}

export const GRIDIRON_NFHS = gridiron({
  id: 'gridiron-nfhs',
  name: 'Gridiron field, high school',
  source: 'NFHS: 120 by 53⅓ yards with end zones, hash marks 53 ft 4 in from the sides',
  hashFt: 53 + 4 / 12,
  limitFt: 6,
  goalFt: 23 + 4 / 12,
});

export const GRIDIRON_NCAA = gridiron({
  id: 'gridiron-ncaa',
  name: 'Gridiron field, college',
  source:
    'NCAA: 120 by 53⅓ yards with end zones, hash marks 60 ft from the sides, limit line 12 ft',
  hashFt: 60,
  limitFt: 12,
  goalFt: 18.5,
});
