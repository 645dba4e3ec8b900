import { LAMP_LEVELS_LUX } from '@/core';
import {
  across,
  arc,
  at,
  backdrop,
  bothEnds,
  circle,
  closed,
  keepOut,
  line,
  rectangle,
} from './shapes';
import type { GroundLine, GroundTemplate } from './types';

/** Courts and rinks. Figures of the rule books quoted from memory. */

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
  features: [
    keepOut('free-zone', 'Free zone, 3 m', rectangle(-7.5, -12, 7.5, 12)),
    backdrop('far-seats', 'Seats, far end', [at(-7, -16), at(7, -16)], 4, 'face'),
  ],
  switches: [
    {
      id: 'hitting-hand',
      name: 'Spiker',
      options: [{ label: 'From the left' }, { label: 'From the right' }],
      effects: [{ id: 'spike', mirror: 'place' }],
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
  features: [
    keepOut('free-zone', 'Free zone, 3 m', rectangle(-7, -11, 7, 11)),
    backdrop('far-crowd', 'Crowd, far end', [at(-8, -15), at(8, -15)], 1.8, 'face'),
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
      // A right-hander opens to the right of the way the ball goes.
      facingDeg: 205,
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
  features: [
    keepOut(
      'run-off',
      'Run-off, 6.40 m behind and 3.66 m beside',
      rectangle(-9.145, -18.285, 9.145, 18.285),
    ),
    backdrop('back-screen', 'Back screen', [at(-9, 18.8), at(9, 18.8)], 3, 'lettering'),
  ],
  switches: [
    {
      id: 'server-hand',
      name: 'Server',
      options: [{ label: 'Right-handed' }, { label: 'Left-handed' }],
      effects: [{ id: 'serve', mirror: 'face' }],
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
  features: [
    backdrop(
      'far-boards',
      'Boards and seats, far side',
      [at(-17, -24), at(-17, 24)],
      4,
      'lettering',
    ),
  ],
  cautions: ['cold', 'flash'],
  indoorLux: LAMP_LEVELS_LUX.goodHall,
  lensId: '70-200-2.8',
  focalMm: 150,
};
