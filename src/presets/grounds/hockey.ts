import type { Point2 } from '@/core';
import type { GroundLine } from './types';

/**
 * Field hockey pitch in its own axes: origin at the centre spot, y along the pitch, x to the right
 * when looking along it. Source: FIH Rules of Hockey, Field and Equipment Specifications, quoted
 * from memory.
 */
export const HOCKEY = {
  lengthM: 91.4,
  widthM: 55,
  goalWidthM: 3.66,
  goalDepthM: 1.2,
  circleRadiusM: 14.63,
  brokenCircleRadiusM: 19.63,
  /** From the back line to the far edge of the 23 m line. */
  line23M: 22.9,
  /** From the goal line to the middle of the spot. */
  penaltySpotM: 6.475,
} as const;

const ARC_STEP_DEG = 5;

/** Quarter arcs about both goal posts joined by a straight line, opening down the pitch. */
function circleAt(radiusM: number, end: 1 | -1): Point2[] {
  const postX = HOCKEY.goalWidthM / 2;
  const backY = HOCKEY.lengthM / 2;
  const arc = (centreX: number, fromDeg: number): Point2[] =>
    Array.from({ length: 90 / ARC_STEP_DEG + 1 }, (_, i) => {
      const angle = ((fromDeg + i * ARC_STEP_DEG) * Math.PI) / 180;
      return {
        x: centreX + radiusM * Math.cos(angle),
        y: end * (backY + radiusM * Math.sin(angle)),
      };
    });
  return [...arc(-postX, 180), ...arc(postX, 270)];
}

const across = (y: number): Point2[] => [
  { x: -HOCKEY.widthM / 2, y },
  { x: HOCKEY.widthM / 2, y },
];

export const HOCKEY_BOUNDARY: readonly Point2[] = [
  { x: -HOCKEY.widthM / 2, y: -HOCKEY.lengthM / 2 },
  { x: HOCKEY.widthM / 2, y: -HOCKEY.lengthM / 2 },
  { x: HOCKEY.widthM / 2, y: HOCKEY.lengthM / 2 },
  { x: -HOCKEY.widthM / 2, y: HOCKEY.lengthM / 2 },
];

function endLines(end: 1 | -1): GroundLine[] {
  const backY = HOCKEY.lengthM / 2;
  const halfGoal = HOCKEY.goalWidthM / 2;
  const spotY = end * (backY - HOCKEY.penaltySpotM);
  return [
    { name: '23 m line', points: across(end * (backY - HOCKEY.line23M)), weight: 'marking' },
    { name: 'circle', points: circleAt(HOCKEY.circleRadiusM, end), weight: 'marking' },
    { name: 'broken circle', points: circleAt(HOCKEY.brokenCircleRadiusM, end), weight: 'broken' },
    {
      name: 'goal',
      points: [
        { x: -halfGoal, y: end * backY },
        { x: -halfGoal, y: end * (backY + HOCKEY.goalDepthM) },
        { x: halfGoal, y: end * (backY + HOCKEY.goalDepthM) },
        { x: halfGoal, y: end * backY },
      ],
      weight: 'marking',
    },
    {
      name: 'penalty spot',
      points: [
        { x: -0.3, y: spotY },
        { x: 0.3, y: spotY },
      ],
      weight: 'boundary',
    },
  ];
}

export const HOCKEY_LINES: readonly GroundLine[] = [
  {
    name: 'boundary',
    points: [...HOCKEY_BOUNDARY, HOCKEY_BOUNDARY[0] as Point2],
    weight: 'boundary',
  },
  { name: 'centre line', points: across(0), weight: 'marking' },
  ...endLines(1),
  ...endLines(-1),
];
