import { LAMP_LEVELS_LUX } from '@/core';
import {
  bench,
  across,
  arc,
  at,
  backdrop,
  bothEnds,
  circle,
  closed,
  FOOT_M,
  keepOut,
  line,
  rectangle,
  spot,
} from './shapes';
import type { GroundTemplate } from './types';

/** Basketball courts. Figures of the rule books quoted from memory. */

interface BasketballRules {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly keyWidthM: number;
  /** From the baseline to the free-throw line. */
  readonly keyDepthM: number;
  /** From the baseline to the middle of the basket. */
  readonly basketM: number;
  readonly threePointM: number;
  /** From the sideline to the straight part of the three-point line. */
  readonly threePointSideM: number;
  readonly circleM: number;
  /** Strip round the court that must be clear. */
  readonly clearM: number;
}

function basketball(rules: BasketballRules): GroundTemplate {
  const { id, name, source, lengthM, widthM, keyWidthM, keyDepthM } = rules;
  const end = lengthM / 2;
  const basket = at(0, end - rules.basketM);
  const straightX = widthM / 2 - rules.threePointSideM;
  // Where the arc about the basket meets the straight parts.
  const turnDeg = (Math.asin(Math.min(1, straightX / rules.threePointM)) * 180) / Math.PI;
  const threePoint = [
    at(straightX, end),
    ...arc(basket, rules.threePointM, 180 - turnDeg, 180 + turnDeg),
    at(-straightX, end),
  ];
  return {
    id,
    name,
    source,
    surface: 'hallWood',
    lines: [
      line('boundary', closed(rectangle(-widthM / 2, -end, widthM / 2, end)), 'boundary'),
      line('centre line', across(0, widthM)),
      line('centre circle', circle(at(0, 0), rules.circleM)),
      ...bothEnds([
        line('key', [
          at(-keyWidthM / 2, end),
          at(-keyWidthM / 2, end - keyDepthM),
          at(keyWidthM / 2, end - keyDepthM),
          at(keyWidthM / 2, end),
        ]),
        line('free-throw circle', arc(at(0, end - keyDepthM), rules.circleM, 90, 270)),
        line('three-point line', threePoint),
        spot('basket', basket),
      ]),
    ],
    fieldOfPlay: rectangle(-widthM / 2, -end, widthM / 2, end),
    marks: [
      {
        id: 'lay-up',
        name: 'Lay-up at the basket',
        ...at(1.2, end - 2.6),
        headingDeg: 340,
        facingDeg: 340,
        subjectId: 'court-jump',
      },
      {
        id: 'break',
        name: 'Fast break',
        ...at(-3, 0),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'field-player',
      },
      {
        id: 'half-court',
        name: 'Bringing it over half court',
        ...at(1.5, 2),
        headingDeg: 0,
        facingDeg: 0,
        subjectId: 'field-player',
      },
      bench(at(-(widthM / 2 + 2), 5), 90),
    ],
    positions: [
      {
        id: 'baseline-right',
        name: 'Baseline, right of the basket',
        ...at(4.4, end + rules.clearM + 0.3),
        cameraHeightM: 0.7,
        why: 'Right-handed players open towards you; just outside the lane, facing the benches.',
      },
      {
        id: 'baseline-left',
        name: 'Baseline, left of the basket',
        ...at(-4.4, end + rules.clearM + 0.3),
        cameraHeightM: 0.7,
        why: 'For left-handed players, and to change sides at half-time.',
      },
      {
        id: 'seats',
        name: 'Seats above the sideline',
        ...at(widthM / 2 + 12, 2),
        cameraHeightM: 5,
        why: 'A long fast lens from above keeps the floor as a clean background.',
      },
    ],
    features: [
      keepOut(
        'clear-strip',
        `Clear of the court, ${rules.clearM.toFixed(1)} m`,
        rectangle(
          -widthM / 2 - rules.clearM,
          -end - rules.clearM,
          widthM / 2 + rules.clearM,
          end + rules.clearM,
        ),
      ),
      keepOut(
        'benches',
        'Team benches and the scorers’ table',
        rectangle(-widthM / 2 - rules.clearM - 2, -end, -widthM / 2 - rules.clearM, end),
      ),
      backdrop(
        'far-seats',
        'Seats, far side',
        [at(-widthM / 2 - 6, -end), at(-widthM / 2 - 6, end)],
        4,
        'face',
      ),
    ],
    switches: [
      {
        id: 'strong-hand',
        name: 'Player at the basket',
        options: [
          { label: 'Right-handed', positionId: 'baseline-right' },
          { label: 'Left-handed', positionId: 'baseline-left' },
        ],
        effects: [{ id: 'lay-up', mirror: 'place' }],
      },
    ],
    cautions: ['fieldSport', 'flash'],
    indoorLux: LAMP_LEVELS_LUX.goodHall,
    lensId: '24-70-2.8',
    focalMm: 45,
  };
}

export const BASKETBALL: readonly GroundTemplate[] = [
  basketball({
    id: 'basketball-fiba',
    name: 'Basketball court, FIBA',
    source: 'FIBA Official Rules: 28 by 15 m, three points from 6.75 m',
    lengthM: 28,
    widthM: 15,
    keyWidthM: 4.9,
    keyDepthM: 5.8,
    basketM: 1.575,
    threePointM: 6.75,
    threePointSideM: 0.9,
    circleM: 1.8,
    clearM: 2,
  }),
  basketball({
    id: 'basketball-nfhs',
    name: 'Basketball court, high school',
    source: 'NFHS: 84 by 50 ft, three points from 19 ft 9 in',
    lengthM: 84 * FOOT_M,
    widthM: 50 * FOOT_M,
    keyWidthM: 12 * FOOT_M,
    keyDepthM: 19 * FOOT_M,
    basketM: 5.25 * FOOT_M,
    threePointM: 19.75 * FOOT_M,
    threePointSideM: 25 * FOOT_M - 19.75 * FOOT_M,
    circleM: 6 * FOOT_M,
    clearM: 3 * FOOT_M,
  }),
  basketball({
    id: 'basketball-ncaa',
    name: 'Basketball court, college',
    source: 'NCAA: 94 by 50 ft, three points from 22 ft 1¾ in',
    lengthM: 94 * FOOT_M,
    widthM: 50 * FOOT_M,
    keyWidthM: 12 * FOOT_M,
    keyDepthM: 19 * FOOT_M,
    basketM: 5.25 * FOOT_M,
    threePointM: (22 + 1.75 / 12) * FOOT_M,
    threePointSideM: (40.125 / 12) * FOOT_M,
    circleM: 6 * FOOT_M,
    clearM: 6 * FOOT_M,
  }),
];
