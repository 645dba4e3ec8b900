import { throwSector } from '@/core';
import { arc, at, backdrop, keepOut, line, rectangle, spot } from './shapes';
import type { GroundTemplate } from './types';

/**
 * 400 m track: two straights of 84.39 m, bends of 36.50 m to the kerb, eight lanes of 1.22 m.
 * Source: World Athletics Track and Field Facilities Manual, quoted from memory. Races run
 * anticlockwise; the home straight is on the right (x > 0), the finish at its far end (+y).
 */
export const TRACK = {
  straightM: 84.39,
  radiusM: 36.5,
  lanes: 8,
  laneM: 1.22,
  /** The line of running is measured this far out from the kerb. */
  measuredOutM: 0.3,
} as const;

const HALF = TRACK.straightM / 2;

/** A line round the track at a distance out from the kerb. */
function round(outM: number) {
  const radius = TRACK.radiusM + outM;
  return [
    at(radius, -HALF),
    at(radius, HALF),
    ...arc(at(0, HALF), radius, 90, -90),
    at(-radius, -HALF),
    ...arc(at(0, -HALF), radius, -90, -270),
  ];
}

const OUTER_M = TRACK.lanes * TRACK.laneM;
const across = (y: number) => [at(TRACK.radiusM, y), at(TRACK.radiusM + OUTER_M, y)];
const laneX = (lane: number) => TRACK.radiusM + (lane - 0.5) * TRACK.laneM;

const SHOT = at(14, -HALF - 14);
const DISCUS = at(-14, -HALF - 20);
const JAVELIN = at(24, HALF + 12);
/** Added at each side of a sector: a throw that misses it still flies. Common practice, no source. */
const SECTOR_MARGIN_DEG = 5;

export const ATHLETICS_TRACK: GroundTemplate = {
  id: 'athletics-track',
  name: '400 m track',
  source: 'World Athletics: straights 84.39 m, radius 36.50 m, eight lanes of 1.22 m',
  surface: 'clayTrack',
  lines: [
    ...Array.from({ length: TRACK.lanes + 1 }, (_, lane) =>
      line(
        lane === 0 ? 'kerb' : lane === TRACK.lanes ? 'outer line' : 'lane line',
        round(lane * TRACK.laneM),
        lane === 0 || lane === TRACK.lanes ? 'boundary' : 'marking',
      ),
    ),
    line('finish', across(HALF), 'boundary'),
    line('100 m start', across(HALF - 100)),
    line('110 m hurdles start', across(HALF - 110)),
    // The straight runs on behind the bend as a chute for the sprints' starts.
    line('chute', [at(TRACK.radiusM, -HALF), at(TRACK.radiusM, HALF - 113)]),
    line('chute', [at(TRACK.radiusM + OUTER_M, -HALF), at(TRACK.radiusM + OUTER_M, HALF - 113)]),
    line('exchange zone begins', across(-HALF)),
    line('exchange zone ends', across(-HALF + 30)),
    // Ten hurdles of the 110 m: 13.72 m to the first, 9.14 m between.
    ...Array.from({ length: 10 }, (_, i) =>
      line('hurdle', across(HALF - 110 + 13.72 + 9.14 * i), 'broken'),
    ),
    line('long-jump runway', [at(-20, -30), at(-20, 12)]),
    line('long-jump pit', [
      at(-21.5, 13),
      at(-18.5, 13),
      at(-18.5, 22),
      at(-21.5, 22),
      at(-21.5, 13),
    ]),
    line('high-jump mat', [
      at(-3, HALF + 16),
      at(3, HALF + 16),
      at(3, HALF + 20),
      at(-3, HALF + 20),
      at(-3, HALF + 16),
    ]),
    line('vault runway', [at(20, -30), at(20, 12)]),
    line('vault mat', [at(17, 12), at(23, 12), at(23, 18), at(17, 18), at(17, 12)]),
    spot('shot circle', SHOT),
    spot('discus and hammer circle', DISCUS),
    spot('javelin arc', JAVELIN),
  ],
  fieldOfPlay: round(OUTER_M),
  marks: [
    {
      id: 'finish',
      name: 'Sprint finish, lane 4',
      ...at(laneX(4), HALF - 4),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'sprinter',
    },
    {
      id: 'blocks',
      name: 'Out of the blocks, lane 4',
      ...at(laneX(4), HALF - 99),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'sprinter',
    },
    {
      id: 'exchange',
      name: 'Baton exchange, lane 3',
      ...at(laneX(3), -HALF + 18),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'sprinter',
    },
    {
      id: 'hurdle-five',
      name: 'Fifth hurdle, lane 5',
      ...at(laneX(5), HALF - 110 + 13.72 + 9.14 * 4),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'sprinter',
    },
    {
      id: 'bend',
      name: 'Distance runners off the bend',
      ...at(36.8 * Math.sin(1.2), -HALF - 36.8 * Math.cos(1.2)),
      headingDeg: 21,
      facingDeg: 21,
      subjectId: 'distance-runner',
    },
    {
      id: 'high-jump',
      name: 'High-jump bar',
      ...at(0.6, HALF + 15.5),
      headingDeg: 340,
      facingDeg: 40,
      subjectId: 'high-jumper',
      feetM: 1.4,
    },
    {
      id: 'high-jump-right',
      name: 'High-jump bar, off the right leg',
      ...at(-0.6, HALF + 15.5),
      headingDeg: 20,
      facingDeg: 320,
      subjectId: 'high-jumper',
      feetM: 1.4,
    },
    {
      id: 'vault',
      name: 'Vault’s bar',
      ...at(20, 12.5),
      headingDeg: 0,
      // Turned over the bar they look back at it, and to the side they fell off.
      facingDeg: 140,
      subjectId: 'pole-vaulter',
      feetM: 3.6,
    },
    {
      id: 'long-jump',
      name: 'Long-jump pit',
      ...at(-20, 15.5),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'court-jump',
    },
    {
      id: 'discus',
      name: 'Discus circle',
      ...DISCUS,
      headingDeg: 0,
      facingDeg: 20,
      subjectId: 'thrower',
    },
  ],
  positions: [
    {
      id: 'behind-finish',
      name: 'Beyond the finish, outside the track',
      ...at(TRACK.radiusM + OUTER_M + 2, HALF + 26),
      cameraHeightM: 1,
      why: 'Sprinters come at you; keep the camera up after the finish.',
    },
    {
      id: 'hurdles-half-way',
      name: 'Half way down the hurdles, outside',
      ...at(TRACK.radiusM + OUTER_M + 4, HALF - 40),
      cameraHeightM: 0.8,
      why: 'Low, a little ahead: the lead leg comes over towards you.',
    },
    {
      id: 'outer-bend',
      name: 'Outside the bend',
      ...at(52, -HALF - 18),
      cameraHeightM: 1.2,
      why: 'Distance runners fan out round the bend; the last lap counts.',
    },
    {
      id: 'blocks-side',
      name: 'Beside the start, outside the track',
      ...at(TRACK.radiusM + OUTER_M + 5, HALF - 88),
      cameraHeightM: 0.6,
      why: 'Low and ahead of the blocks: the first strides come up at you. Silent until the gun.',
    },
    {
      id: 'pit-vest',
      name: 'Infield by the pit, vest worn',
      ...at(-13, 24),
      cameraHeightM: 0.5,
      why: 'Past the pit and to its side: jumpers come at you and the sand with them. Only with a vest, and where the officials put you.',
    },
    {
      id: 'high-jump-far',
      name: 'Outside the bend, behind the mat',
      ...at(8, HALF + 49),
      cameraHeightM: 1.8,
      why: 'At bar height on the side the face comes over; the take-off leg decides which. The infield is for those whom the officials let in.',
    },
    {
      id: 'high-jump-far-left',
      name: 'Outside the bend, left of the mat',
      ...at(-8, HALF + 49),
      cameraHeightM: 1.8,
      why: 'At bar height on the side the face comes over; the take-off leg decides which. The infield is for those whom the officials let in.',
    },
  ],
  features: [
    keepOut(
      'discus-sector',
      'Discus and hammer sector',
      throwSector({
        kind: 'discus',
        origin: DISCUS,
        bearingDeg: 0,
        lengthM: 85,
        marginDeg: SECTOR_MARGIN_DEG,
      }),
    ),
    keepOut(
      'shot-sector',
      'Shot sector',
      throwSector({
        kind: 'shot',
        origin: SHOT,
        bearingDeg: 0,
        lengthM: 25,
        marginDeg: SECTOR_MARGIN_DEG,
      }),
    ),
    keepOut(
      'javelin-sector',
      'Javelin sector',
      throwSector({
        kind: 'javelin',
        origin: JAVELIN,
        bearingDeg: 188,
        lengthM: 100,
        marginDeg: SECTOR_MARGIN_DEG,
      }),
    ),
    keepOut('long-jump-overrun', 'Long-jump pit and overrun', rectangle(-22, 12, -18, 27)),
    keepOut(
      'exchange-run',
      'Runners leaving lane one after the exchange',
      rectangle(TRACK.radiusM - 3, -HALF, TRACK.radiusM, -HALF + 40),
    ),
    backdrop(
      'home-stand',
      'Seats along the home straight',
      [at(TRACK.radiusM + 26, -HALF), at(TRACK.radiusM + 26, HALF)],
      5,
      'face',
    ),
  ],
  switches: [
    {
      id: 'take-off-leg',
      name: 'High jumper takes off from the',
      options: [{ label: 'Left leg' }, { label: 'Right leg' }],
      effects: [
        { id: 'high-jump', mirror: 'place' },
        { id: 'high-jump-right', mirror: 'place' },
        { id: 'high-jump-far', mirror: 'place' },
        { id: 'high-jump-far-left', mirror: 'place' },
      ],
      own: {
        trait: 'foot',
        sides: ['left', 'right'],
        marks: ['high-jump', 'high-jump-right'],
      },
    },
  ],
  cautions: ['track', 'throws', 'sun'],
  lensId: '300-2.8',
  focalMm: 300,
};
