import { at, backdrop, closed, keepOut, line, rectangle, trees } from './shapes';
import type { SiteFeature } from '@/core';
import type { GroundTemplate, TemplateMark, TemplatePosition } from './types';

/** Gardens, hedges, meadows, woods. Common practice, no source. */

const PRACTICE = 'common practice, no source';

export const FEEDER_GARDEN: GroundTemplate = {
  id: 'feeder-garden',
  name: 'Feeder garden with a window or hide',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('house wall', [at(-5, -0.5), at(5, -0.5)], 'boundary')],
  marks: [
    {
      id: 'perch',
      name: 'Last perch before the feeder',
      ...at(0.8, 5.5),
      headingDeg: 200,
      facingDeg: 200,
      subjectId: 'small-bird-perched',
      feetM: 1.5,
    },
    {
      id: 'arrival',
      name: 'Arrival on the wing',
      ...at(1.4, 6),
      headingDeg: 230,
      facingDeg: 230,
      subjectId: 'small-bird-flight',
      feetM: 1.6,
    },
  ],
  positions: [
    {
      id: 'window',
      name: 'At the open window',
      ...at(0, 0),
      cameraHeightM: 1.2,
      why: 'Screens at the window, and through the opening rather than the glass. One perch between cover and food, rivals removed.',
    },
  ],
  features: [
    trees('hedge', 'Hedge', rectangle(-8, 16, 8, 18), 2.5),
    {
      id: 'perch-stick',
      name: 'Placed perch',
      kind: 'perch',
      points: [at(0.8, 5.5)],
      heightM: 1.5,
    },
    { id: 'feeder', name: 'Feeder', kind: 'food', points: [at(0.2, 6.1)], heightM: 1.8 },
    { id: 'bush', name: 'Bush', kind: 'cover', points: [at(5.2, 1.1)], heightM: 1.5 },
  ],
  cautions: ['feeder', 'wildlife'],
  lensId: '300-4',
  focalMm: 300,
};

export const SINGING_HEDGE: GroundTemplate = {
  id: 'singing-hedge',
  name: 'Singing post on a hedge',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('field path', [at(-30, -3), at(0, -4), at(30, -3)], 'broken')],
  marks: [
    {
      id: 'post',
      name: 'Highest twig',
      ...at(0, 10),
      headingDeg: 170,
      facingDeg: 170,
      subjectId: 'small-bird-perched',
      feetM: 2,
    },
  ],
  positions: [
    {
      id: 'path',
      name: 'On the path',
      ...at(1.5, 1.8),
      cameraHeightM: 1.6,
      why: 'The same bushes each spring. Approach when it has gone inside; keep other twigs out of the line.',
    },
  ],
  features: [
    trees('far-wood', 'Wood behind', rectangle(-40, 60, 40, 70), 10),
    trees('hedge', 'Hedge', rectangle(-20, 10.4, 20, 12), 2),
    keepOut('nest', 'Bush with the nest: keep off', rectangle(4, 6, 12, 10.2)),
  ],
  cautions: ['wildlife', 'nest', 'field'],
  lensId: '600-4',
  focalMm: 600,
};

export const BUTTERFLY_MEADOW: GroundTemplate = {
  id: 'butterfly-meadow',
  name: 'Butterfly meadow',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('mown path', [at(-12, -1), at(12, -1)], 'broken')],
  marks: [
    {
      id: 'flower',
      name: 'Flower it comes back to',
      ...at(0, 0.55),
      headingDeg: 90,
      facingDeg: 180,
      subjectId: 'butterfly-flower',
    },
  ],
  positions: [
    {
      id: 'flower-side',
      name: 'Waiting at the flower',
      ...at(0, 0),
      cameraHeightM: 0.45,
      why: 'Don’t chase: wait, sensor parallel to the wings. Early and late they are slow; your shadow drives them off.',
    },
  ],
  features: [backdrop('tall-grass', 'Tall grass', [at(-6, 2.4), at(6, 2.4)], 0.9, 'leaf')],
  cautions: ['field', 'wildlife'],
  lensId: '100-2.8',
  focalMm: 100,
};

export const FOREST_CLEARING: GroundTemplate = {
  id: 'forest-clearing',
  name: 'Forest clearing with a tower',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('edge of the clearing', closed(rectangle(-18, -18, 18, 18)), 'broken')],
  marks: [
    {
      id: 'fruit',
      name: 'Fruiting tree',
      ...at(-4, 14),
      headingDeg: 160,
      facingDeg: 160,
      subjectId: 'small-bird-perched',
      feetM: 9,
    },
  ],
  positions: [
    {
      id: 'tower',
      name: 'On the tower',
      ...at(2, 2),
      cameraHeightM: 9,
      why: 'Eye level from a tower or slope rather than up into the sky; with a local guide.',
    },
  ],
  features: [
    {
      id: 'tower',
      name: 'Tower',
      kind: 'hide',
      points: rectangle(0.5, 0.5, 3.5, 3.5),
      heightM: 7.5,
    },
    trees('north', 'Forest, north', rectangle(-30, 18, 30, 30), 22),
    trees('south', 'Forest, south', rectangle(-30, -30, 30, -18), 22),
    trees('east', 'Forest, east', rectangle(18, -18, 30, 18), 22),
    trees('west', 'Forest, west', rectangle(-30, -18, -18, 18), 22),
  ],
  cautions: ['field', 'wildlife'],
  lensId: '600-4',
  focalMm: 600,
};

/** Bushes along a path, thirty metres apart, on either side: draw on as far as the path goes. */
const bushOf = (i: number) => {
  const side = i % 2 === 0 ? 1 : -1;
  const letter = 'abcd'.charAt(i);
  const alongM = 30 * i;
  const facingDeg = side > 0 ? 250 : 110;
  const mark: TemplateMark = {
    id: `bush-${letter}`,
    name: `Top of bush ${letter.toUpperCase()}`,
    ...at(side * 9, alongM),
    headingDeg: facingDeg,
    facingDeg,
    subjectId: 'small-bird-perched',
    feetM: 1.8,
  };
  const position: TemplatePosition = {
    id: `path-${letter}`,
    name: `On the path at bush ${letter.toUpperCase()}`,
    ...at(side * 0.5, alongM - 5),
    cameraHeightM: 1.6,
    why: 'From the path, sun behind you; stand when it sings and walk when it is inside.',
  };
  const bush: SiteFeature = {
    id: `bush-${letter}`,
    name: `Bush ${letter.toUpperCase()}`,
    kind: 'tree',
    points: [at(side * 10, alongM)],
    heightM: 1.8,
    crownM: 2.5,
  };
  return { mark, position, bush };
};
const BUSHES = [bushOf(0), bushOf(1), bushOf(2), bushOf(3)] as const;

export const SINGING_PATH: GroundTemplate = {
  id: 'singing-path',
  name: 'Singing bushes along a path',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('path', [at(0, -15), at(1, 15), at(-1, 60), at(0, 105)], 'broken')],
  marks: [BUSHES[0].mark, BUSHES[1].mark, BUSHES[2].mark, BUSHES[3].mark],
  positions: [BUSHES[0].position, BUSHES[1].position, BUSHES[2].position, BUSHES[3].position],
  features: BUSHES.map(({ bush }) => bush),
  cautions: ['wildlife', 'nest', 'field'],
  lensId: '400-2.8',
  focalMm: 400,
};

export const REED_EDGE: GroundTemplate = {
  id: 'reed-edge',
  name: 'Reed edge by the water',
  source: PRACTICE,
  surface: 'water',
  lines: [line('shore', [at(-30, -2), at(-8, 0), at(10, -1), at(30, -3)], 'boundary')],
  marks: [
    {
      id: 'edge',
      name: 'At the edge of the reeds',
      ...at(3, 21),
      headingDeg: 250,
      facingDeg: 250,
      subjectId: 'heron',
    },
    {
      id: 'lift-off',
      name: 'Lifting off along the reeds',
      ...at(-5, 17),
      headingDeg: 250,
      facingDeg: 250,
      subjectId: 'heron',
      feetM: 1,
    },
  ],
  positions: [
    {
      id: 'low-bank',
      name: 'Lying on the bank',
      ...at(-2, -3),
      cameraHeightM: 0.35,
      why: 'As low as the water lets you: the far bank goes soft and the bird stands free of it.',
    },
  ],
  features: [
    { id: 'water', name: 'Open water', kind: 'water', points: rectangle(-30, 0, 30, 22) },
    trees('reeds', 'Reeds', rectangle(-30, 23, 30, 30), 2.2),
  ],
  cautions: ['wildlife', 'field', 'water'],
  lensId: '600-4',
  focalMm: 600,
};

export const ANIMAL_CLEARING: GroundTemplate = {
  id: 'animal-clearing',
  name: 'Large animal in a clearing',
  source: PRACTICE,
  surface: 'grass',
  lines: [line('edge of the wood', closed(rectangle(-45, -40, 45, 40)), 'broken')],
  marks: [
    {
      id: 'grazing',
      name: 'Grazing in the open',
      ...at(8, 18),
      headingDeg: 230,
      facingDeg: 230,
      subjectId: 'deer',
    },
    {
      id: 'crossing',
      name: 'Crossing to the wood',
      ...at(-14, 24),
      headingDeg: 280,
      facingDeg: 280,
      subjectId: 'deer',
    },
  ],
  positions: [
    {
      id: 'edge',
      name: 'At the edge, wind in your face',
      ...at(0, -38),
      cameraHeightM: 1.1,
      why: 'Still, in the shade of the edge, the wind from it to you. Far enough that it goes on feeding.',
    },
  ],
  features: [
    trees('wood-north', 'Wood, north', rectangle(-45, 40, 45, 55), 18),
    trees('wood-west', 'Wood, west', rectangle(-60, -40, -45, 55), 18),
  ],
  cautions: ['wildlife', 'field'],
  lensId: '600-4',
  focalMm: 600,
};

export const BLANK: GroundTemplate = {
  id: 'blank',
  name: 'Blank ground',
  source: PRACTICE,
  surface: 'grass',
  lines: [],
  marks: [
    {
      id: 'mark',
      name: 'Mark',
      ...at(0, 10),
      headingDeg: 180,
      facingDeg: 180,
      subjectId: 'standing',
    },
  ],
  positions: [
    {
      id: 'position',
      name: 'Position',
      ...at(0, -10),
      cameraHeightM: 1.5,
      why: 'Twenty metres off, facing the subject: move it to where you can stand.',
    },
  ],
  cautions: [],
  lensId: '70-200-2.8',
  focalMm: 200,
};
