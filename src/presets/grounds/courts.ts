import { LAMP_LEVELS_LUX } from '@/core';
import { across, arc, at, bothEnds, circle, closed, FOOT_M, line, rectangle, spot } from './shapes';
import type { GroundLine, GroundTemplate } from './types';

/** Courts and rinks. Figures of the rule books quoted from memory. */

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
    ],
    positions: [
      {
        id: 'baseline-right',
        name: 'Baseline, right of the basket',
        ...at(4.4, end + 1.2),
        cameraHeightM: 0.7,
        why: 'Right-handed players open towards you; just outside the lane, facing the benches.',
      },
      {
        id: 'baseline-left',
        name: 'Baseline, left of the basket',
        ...at(-4.4, end + 1.2),
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
  }),
];

const volleyLines = (halfLengthM: number, halfWidthM: number, attackM?: number): GroundLine[] => [
  line(
    'boundary',
    closed(rectangle(-halfWidthM, -halfLengthM, halfWidthM, halfLengthM)),
    'boundary',
  ),
  line('net', [at(-halfWidthM - 1, 0), at(halfWidthM + 1, 0)], 'boundary'),
  ...(attackM === undefined
    ? []
    : bothEnds([line('attack line', across(attackM, 2 * halfWidthM))])),
];

export const VOLLEYBALL: GroundTemplate = {
  id: 'volleyball-court',
  name: 'Volleyball court',
  source: 'FIVB: 18 by 9 m, attack line 3 m from the net, net 2.43 or 2.24 m high',
  surface: 'hallWood',
  lines: volleyLines(9, 4.5, 3),
  fieldOfPlay: rectangle(-7.5, -12, 7.5, 12),
  marks: [
    {
      id: 'spike',
      name: 'Spike at the net',
      ...at(-2.5, -1),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'court-jump',
    },
    {
      id: 'serve',
      name: 'Server',
      ...at(3, -9.5),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'court-jump',
    },
  ],
  positions: [
    {
      id: 'end-high',
      name: 'Seats behind the far end',
      ...at(-2, 16),
      cameraHeightM: 3.5,
      why: 'A higher viewpoint beats floor level: faces over the net, hands and ball together.',
    },
    {
      id: 'net-post',
      name: 'Beside the net, off the free zone',
      ...at(8.5, 1.5),
      cameraHeightM: 1.4,
      why: 'Blocks and spikes in profile, arms over the net.',
    },
  ],
  cautions: ['flash'],
  indoorLux: LAMP_LEVELS_LUX.goodHall,
  lensId: '70-200-2.8',
  focalMm: 150,
};

export const BEACH_VOLLEYBALL: GroundTemplate = {
  id: 'beach-volleyball-court',
  name: 'Beach volleyball court',
  source: 'FIVB Beach Volleyball: 16 by 8 m, free zone 3 m or more',
  surface: 'drySand',
  lines: volleyLines(8, 4),
  fieldOfPlay: rectangle(-7, -11, 7, 11),
  marks: [
    {
      id: 'dig',
      name: 'Dive for the ball',
      ...at(1.5, -5),
      headingDeg: 20,
      facingDeg: 20,
      subjectId: 'field-player',
    },
    {
      id: 'spike',
      name: 'Spike at the net',
      ...at(-2, -0.8),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'court-jump',
    },
  ],
  positions: [
    {
      id: 'far-corner',
      name: 'Far corner, low',
      ...at(7.5, 11.5),
      cameraHeightM: 0.6,
      why: 'Low from the far corner: sand in the air, faces towards you, sky behind.',
    },
  ],
  cautions: ['sun', 'heat'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const TENNIS: GroundTemplate = {
  id: 'tennis-court',
  name: 'Tennis court',
  source:
    'ITF Rules of Tennis: 23.77 by 10.97 m (singles 8.23 m), service line 6.40 m from the net',
  surface: 'clayTrack',
  lines: [
    line('boundary', closed(rectangle(-5.485, -11.885, 5.485, 11.885)), 'boundary'),
    line('net', [at(-6.4, 0), at(6.4, 0)], 'boundary'),
    line('singles line', [at(-4.115, -11.885), at(-4.115, 11.885)]),
    line('singles line', [at(4.115, -11.885), at(4.115, 11.885)]),
    line('centre service line', [at(0, -6.4), at(0, 6.4)]),
    ...bothEnds([line('service line', across(6.4, 8.23))]),
  ],
  fieldOfPlay: rectangle(-9, -18, 9, 18),
  marks: [
    {
      id: 'serve',
      name: 'Server',
      ...at(1, 12),
      headingDeg: 190,
      facingDeg: 190,
      subjectId: 'court-jump',
    },
    {
      id: 'baseline',
      name: 'Stroke on the baseline',
      ...at(-2, 11.5),
      headingDeg: 90,
      facingDeg: 180,
      subjectId: 'field-player-swing',
    },
  ],
  positions: [
    {
      id: 'far-end',
      name: 'Behind the far end, to the side',
      ...at(6, -19),
      cameraHeightM: 1.6,
      why: 'The server faces you over the net; to the side keeps the net cord off the face.',
    },
    {
      id: 'side',
      name: 'Beside the court, off the service line',
      ...at(10.5, 4),
      cameraHeightM: 0.9,
      why: 'Strokes from the side, low, against the far wall or hedge.',
    },
  ],
  cautions: ['sun', 'flash'],
  lensId: '300-4',
  focalMm: 300,
};

const RINK_CORNER_M = 8.5;
const rink = [
  at(-15 + RINK_CORNER_M, -30),
  ...arc(at(15 - RINK_CORNER_M, -30 + RINK_CORNER_M), RINK_CORNER_M, 180, 90),
  ...arc(at(15 - RINK_CORNER_M, 30 - RINK_CORNER_M), RINK_CORNER_M, 90, 0),
  ...arc(at(-15 + RINK_CORNER_M, 30 - RINK_CORNER_M), RINK_CORNER_M, 0, -90),
  ...arc(at(-15 + RINK_CORNER_M, -30 + RINK_CORNER_M), RINK_CORNER_M, -90, -180),
];

export const ICE_RINK: GroundTemplate = {
  id: 'ice-rink',
  name: 'Ice rink',
  source: 'IIHF: 60 by 30 m, corners 8.5 m, goal lines 4 m from the ends, blue lines 22.86 m',
  surface: 'ice',
  lines: [
    line('boards', closed(rink), 'boundary'),
    line('centre line', across(0, 30)),
    line('centre circle', circle(at(0, 0), 4.5)),
    ...bothEnds([
      line(
        'goal line',
        across(26, 2 * (15 - RINK_CORNER_M + Math.sqrt(RINK_CORNER_M ** 2 - 4.5 ** 2))),
      ),
      line('blue line', across(7.14, 30)),
      line('goal', [at(-0.915, 26), at(-0.915, 27.12), at(0.915, 27.12), at(0.915, 26)]),
      line('face-off circle', circle(at(-7, 20), 4.5)),
      line('face-off circle', circle(at(7, 20), 4.5)),
    ]),
  ],
  fieldOfPlay: rink,
  marks: [
    {
      id: 'slot',
      name: 'Shot from the slot',
      ...at(1, 19),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'field-player-swing',
    },
  ],
  positions: [
    {
      id: 'glass-corner',
      name: 'Camera hole in the corner glass',
      ...at(-11.5, 30.5),
      cameraHeightM: 1.5,
      why: 'Shooters face you past the goal; through a hole in the glass rather than the glass.',
    },
    {
      id: 'above-glass',
      name: 'First row over the glass',
      ...at(17.5, 14),
      cameraHeightM: 4,
      why: 'Over the glass, ice as a clean bright background; meters are fooled by it.',
    },
  ],
  cautions: ['cold', 'flash'],
  indoorLux: LAMP_LEVELS_LUX.goodHall,
  lensId: '70-200-2.8',
  focalMm: 150,
};
