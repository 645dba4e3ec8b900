import { HOCKEY_BOUNDARY, HOCKEY_LINES } from './hockey';
import {
  bench,
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
  spot,
  YARD_M,
  FOOT_M,
} from './shapes';
import type { GroundTemplate } from './types';

/** Fields of grass. Figures of the rule books quoted from memory. */

const FIELD_LENS = { lensId: '70-200-2.8', focalMm: 200 } as const;

export const FIELD_HOCKEY: GroundTemplate = {
  id: 'field-hockey',
  name: 'Field hockey pitch',
  source: 'FIH Rules of Hockey: 91.40 by 55.00 m, circles 14.63 m',
  surface: 'grass',
  lines: HOCKEY_LINES,
  fieldOfPlay: HOCKEY_BOUNDARY,
  marks: [
    {
      id: 'attack',
      name: 'Attack in the circle',
      ...at(4, 36),
      headingDeg: 340,
      facingDeg: 340,
      subjectId: 'field-player',
    },
    {
      id: 'midfield',
      name: 'Midfield, running up',
      ...at(-8, 8),
      headingDeg: 10,
      facingDeg: 10,
      subjectId: 'field-player',
    },
    bench(at(-31.5, 8), 90),
  ],
  positions: [
    {
      id: 'back-line',
      name: 'Behind the back line',
      ...at(-16, 49),
      cameraHeightM: 1.2,
      why: 'Attackers come at you, and the goal stays in the frame; clear of the goal itself.',
    },
    {
      id: 'sideline',
      name: 'Sideline, level with the 23 m line',
      ...at(-31, 26),
      cameraHeightM: 1.2,
      why: 'Ahead of the play, looking back at it: runners face you.',
    },
  ],
  features: [
    keepOut(
      'run-off',
      'Run-off, 2 m at the sides and 3 m at the ends',
      rectangle(-29.5, -48.7, 29.5, 48.7),
    ),
    backdrop(
      'far-boards',
      'Boards and crowd, far side',
      [at(33, -40), at(33, 40)],
      1.2,
      'lettering',
    ),
  ],
  cautions: ['fieldSport', 'sun'],
  ...FIELD_LENS,
};

const PITCH = { lengthM: 105, widthM: 68 } as const;
const PENALTY_DEPTH_M = 16.5;
const GOAL_M = 7.32;

const associationEnd = bothEnds([
  line('penalty area', [
    at(-(GOAL_M / 2 + PENALTY_DEPTH_M), 52.5),
    at(-(GOAL_M / 2 + PENALTY_DEPTH_M), 52.5 - PENALTY_DEPTH_M),
    at(GOAL_M / 2 + PENALTY_DEPTH_M, 52.5 - PENALTY_DEPTH_M),
    at(GOAL_M / 2 + PENALTY_DEPTH_M, 52.5),
  ]),
  line('goal area', [
    at(-(GOAL_M / 2 + 5.5), 52.5),
    at(-(GOAL_M / 2 + 5.5), 47),
    at(GOAL_M / 2 + 5.5, 47),
    at(GOAL_M / 2 + 5.5, 52.5),
  ]),
  spot('penalty mark', at(0, 41.5)),
  // The part of the 9.15 m circle about the mark that lies outside the penalty area.
  line('penalty arc', arc(at(0, 41.5), 9.15, 126.87, 233.13)),
  line('goal', [
    at(-GOAL_M / 2, 52.5),
    at(-GOAL_M / 2, 54.5),
    at(GOAL_M / 2, 54.5),
    at(GOAL_M / 2, 52.5),
  ]),
  line('corner arc', arc(at(-34, 52.5), 1, 90, 180)),
  line('corner arc', arc(at(34, 52.5), 1, 180, 270)),
]);

export const ASSOCIATION: GroundTemplate = {
  id: 'association-pitch',
  name: 'Association football pitch',
  source: 'IFAB Laws of the Game, Law 1: 105 by 68 m (100–110 by 64–75 allowed)',
  surface: 'grass',
  lines: [
    line('boundary', closed(rectangle(-34, -52.5, 34, 52.5)), 'boundary'),
    line('halfway line', across(0, PITCH.widthM)),
    line('centre circle', circle(at(0, 0), 9.15)),
    ...associationEnd,
  ],
  fieldOfPlay: rectangle(-34, -52.5, 34, 52.5),
  marks: [
    {
      id: 'box',
      name: 'Attack in the penalty area',
      ...at(-5, 42),
      headingDeg: 10,
      facingDeg: 10,
      subjectId: 'field-player',
    },
    {
      id: 'wing',
      name: 'Winger on the line',
      ...at(29, 25),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'field-player',
    },
    bench(at(-38, 9), 90),
  ],
  positions: [
    {
      id: 'goal-line',
      name: 'Behind the goal line, left of the goal',
      ...at(-14, 56.5),
      cameraHeightM: 0.9,
      why: 'Attackers come at you and celebrate towards the corner; low sets them against the sky.',
    },
    {
      id: 'corner',
      name: 'By the corner flag',
      ...at(36, 54.5),
      cameraHeightM: 1.2,
      why: 'The winger runs at you and crosses past you.',
    },
  ],
  features: [
    keepOut('goal-net', 'Behind the goal, in the line of shots', rectangle(-6, 52.5, 6, 58)),
    backdrop(
      'far-boards',
      'Boards and crowd, far side',
      [at(-40, -50), at(-40, 50)],
      1,
      'lettering',
    ),
  ],
  cautions: ['fieldSport', 'sun'],
  ...FIELD_LENS,
};

export const RUGBY: GroundTemplate = {
  id: 'rugby-field',
  name: 'Rugby field',
  source: 'World Rugby Law 1: field of play 100 by 70 m, in-goal 10 m (6–22 allowed)',
  surface: 'grass',
  lines: [
    line('playing area', closed(rectangle(-35, -60, 35, 60)), 'boundary'),
    line('halfway line', across(0, 70)),
    ...bothEnds([
      line('goal line', across(50, 70), 'boundary'),
      line('22 m line', across(28, 70)),
      line('10 m line', across(10, 70), 'broken'),
      line('5 m line', across(45, 70), 'broken'),
      line('goal posts', [at(-2.8, 50), at(2.8, 50)], 'boundary'),
      line('5 m from touch', [at(-30, 0), at(-30, 50)], 'broken'),
      line('5 m from touch', [at(30, 0), at(30, 50)], 'broken'),
      line('15 m from touch', [at(-20, 0), at(-20, 50)], 'broken'),
      line('15 m from touch', [at(20, 0), at(20, 50)], 'broken'),
    ]),
  ],
  fieldOfPlay: rectangle(-35, -60, 35, 60),
  marks: [
    {
      id: 'try-line',
      name: 'Run for the line',
      ...at(-18, 44),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'field-player',
    },
    {
      id: 'line-out',
      name: 'Line-out',
      ...at(-28, 20),
      headingDeg: 90,
      facingDeg: 90,
      subjectId: 'court-jump',
    },
    bench(at(-40, 8), 90),
  ],
  positions: [
    {
      id: 'in-goal',
      name: 'Behind the dead-ball line',
      ...at(-20, 65.5),
      cameraHeightM: 1,
      why: 'Tries are scored towards you.',
    },
    {
      id: 'touch',
      name: 'Touchline, ahead of play',
      ...at(-40.5, 38),
      cameraHeightM: 1.2,
      why: 'Downfield of the ball, looking back: the carrier faces you.',
    },
  ],
  features: [
    keepOut('perimeter', 'Perimeter of the playing area, 5 m', rectangle(-40, -65, 40, 65)),
    backdrop('far-rail', 'Rail and crowd, far side', [at(43, -55), at(43, 55)], 1.8, 'face'),
  ],
  cautions: ['fieldSport', 'sun'],
  ...FIELD_LENS,
};

const CREASE_M = 9 * FOOT_M;

export const LACROSSE: GroundTemplate = {
  id: 'lacrosse-field',
  name: 'Lacrosse field',
  source: 'World Lacrosse and NCAA men’s field: 110 by 60 yards, goals 80 yards apart',
  surface: 'grass',
  lines: [
    line(
      'boundary',
      closed(rectangle(-30 * YARD_M, -55 * YARD_M, 30 * YARD_M, 55 * YARD_M)),
      'boundary',
    ),
    line('midfield line', across(0, 60 * YARD_M)),
    ...bothEnds([
      line('restraining line', across(20 * YARD_M, 60 * YARD_M)),
      line('goal line', [at(-3 * FOOT_M, 40 * YARD_M), at(3 * FOOT_M, 40 * YARD_M)], 'boundary'),
      line('crease', circle(at(0, 40 * YARD_M), CREASE_M)),
    ]),
  ],
  fieldOfPlay: rectangle(-30 * YARD_M, -55 * YARD_M, 30 * YARD_M, 55 * YARD_M),
  marks: [
    {
      id: 'shot',
      name: 'Shot on the crease',
      ...at(-3, 28),
      headingDeg: 10,
      facingDeg: 10,
      subjectId: 'field-player-swing',
    },
    bench(at(31, 6), 270),
  ],
  positions: [
    {
      id: 'end-line',
      name: 'Behind the end line',
      ...at(-14, 53),
      cameraHeightM: 1.2,
      why: 'Shooters face you over the goal; well off its line, since the ball comes fast.',
    },
  ],
  features: [
    keepOut('behind-goal', 'Behind the goal, in the line of shots', rectangle(-6, 50.3, 6, 58)),
    backdrop('far-side', 'Benches and crowd, far side', [at(36, -45), at(36, 45)], 1.8, 'face'),
  ],
  cautions: ['fieldSport', 'sun'],
  ...FIELD_LENS,
};
