import { LAMP_LEVELS_LUX } from '@/core';
import { arc, at, closed, line, rectangle } from './shapes';
import type { GroundTemplate } from './types';

/** Places without a rule book: roads, slopes, walls, gardens, woods. Common practice, no source. */

const PRACTICE = 'common practice, no source';

export const ROAD_BEND: GroundTemplate = {
  id: 'road-bend',
  name: 'Road, straight and bend',
  source: PRACTICE,
  surface: 'clayTrack',
  lines: [
    line('road edge', [at(-3.5, -70), at(-3.5, 0), ...arc(at(-33.5, 0), 30, 90, 0)], 'boundary'),
    line('road edge', [at(3.5, -70), at(3.5, 0), ...arc(at(-33.5, 0), 37, 90, 0)], 'boundary'),
    line('centre line', [at(0, -70), at(0, 0), ...arc(at(-33.5, 0), 33.5, 90, 0)], 'broken'),
  ],
  fieldOfPlay: rectangle(-3.5, -70, 3.5, 0),
  marks: [
    {
      id: 'straight',
      name: 'Riders on the straight',
      ...at(0, -30),
      headingDeg: 0,
      facingDeg: 0,
      subjectId: 'cyclist',
    },
    {
      id: 'bend',
      name: 'Riders in the bend',
      ...at(-4, 15),
      headingDeg: 333,
      facingDeg: 333,
      subjectId: 'cyclist',
    },
  ],
  positions: [
    {
      id: 'pan',
      name: 'Beside the straight, well back',
      ...at(16, -24),
      cameraHeightM: 1.5,
      why: 'Pan from the outside with room both sides and no spectators in the swing.',
    },
    {
      id: 'head-on',
      name: 'Inside the bend, looking up the straight',
      ...at(-9, 22),
      cameraHeightM: 1.6,
      why: 'Head-on at eye height for faces, on the inside: riders who fall go outwards.',
    },
  ],
  cautions: ['road', 'panning', 'sun', 'heat'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const SKI_SLOPE: GroundTemplate = {
  id: 'ski-slope',
  name: 'Ski turn, slope section',
  source: PRACTICE,
  surface: 'snow',
  lines: [
    line('piste edge', [at(-15, -40), at(-15, 40)], 'boundary'),
    line('piste edge', [at(15, -40), at(15, 40)], 'boundary'),
  ],
  fieldOfPlay: rectangle(-15, -40, 15, 40),
  marks: [
    {
      id: 'turn',
      name: 'Where the turn will be',
      ...at(-6, 10),
      headingDeg: 160,
      facingDeg: 180,
      subjectId: 'skier',
    },
  ],
  positions: [
    {
      id: 'below',
      name: 'Below the turn, beside the piste',
      ...at(18, -18),
      cameraHeightM: 1.2,
      why: 'Pre-focus where the turn will be; bright kit against the dark trees.',
    },
  ],
  obstacles: [
    {
      id: 'trees',
      name: 'Trees above the turn',
      kind: 'trees',
      footprint: rectangle(-40, 22, -18, 40),
      heightM: 14,
    },
  ],
  cautions: ['snow', 'cold', 'sun'],
  lensId: '70-200-2.8',
  focalMm: 200,
};

export const CLIMBING_WALL: GroundTemplate = {
  id: 'climbing-wall',
  name: 'Climbing wall',
  source: PRACTICE,
  surface: 'hallWood',
  lines: [line('foot of the wall', [at(-8, 6), at(8, 6)], 'boundary')],
  fieldOfPlay: rectangle(-8, 2.5, 8, 6),
  marks: [
    {
      id: 'climber',
      name: 'Climber on the wall',
      ...at(1, 5.6),
      headingDeg: 0,
      facingDeg: 240,
      subjectId: 'standing',
    },
  ],
  positions: [
    {
      id: 'side',
      name: 'To the side, near the wall',
      ...at(-7, 1.5),
      cameraHeightM: 1.6,
      why: 'From the side the face shows; near windows the light does too.',
    },
    {
      id: 'balcony',
      name: 'Balcony opposite',
      ...at(2, -9),
      cameraHeightM: 4,
      why: 'Level with the climber: hands, face and the drop below.',
    },
  ],
  obstacles: [
    {
      id: 'wall',
      name: 'Wall',
      kind: 'stand',
      footprint: rectangle(-8, 6, 8, 6.6),
      heightM: 12,
    },
  ],
  cautions: ['ladder'],
  indoorLux: LAMP_LEVELS_LUX.dimHall,
  lensId: '70-200-2.8',
  focalMm: 85,
};

export const SKATE_SPOT: GroundTemplate = {
  id: 'skate-spot',
  name: 'Skate spot',
  source: PRACTICE,
  surface: 'clayTrack',
  lines: [
    line('steps', closed(rectangle(-3, -1, 3, 1))),
    line('run-up', [at(0, -20), at(0, -1)], 'broken'),
  ],
  marks: [
    {
      id: 'jump',
      name: 'Top of the jump',
      ...at(0, 0.5),
      headingDeg: 0,
      facingDeg: 30,
      subjectId: 'court-jump',
    },
  ],
  positions: [
    {
      id: 'low',
      name: 'Below the steps, low',
      ...at(2.6, 6.5),
      cameraHeightM: 0.4,
      why: 'Low and wide lifts the rider into the sky; out of the landing.',
    },
  ],
  cautions: ['children'],
  lensId: '24-70-2.8',
  focalMm: 35,
};

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
    },
    {
      id: 'arrival',
      name: 'Arrival on the wing',
      ...at(1.4, 6),
      headingDeg: 230,
      facingDeg: 230,
      subjectId: 'small-bird-flight',
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
  obstacles: [
    {
      id: 'hedge',
      name: 'Hedge',
      kind: 'trees',
      footprint: rectangle(-8, 16, 8, 18),
      heightM: 2.5,
    },
  ],
  features: [
    { id: 'perch-stick', name: 'Placed perch', kind: 'perch', line: [at(0.8, 5.5)] },
    { id: 'feeder', name: 'Feeder', kind: 'perch', line: [at(0.2, 6.1)] },
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
  obstacles: [
    {
      id: 'far-wood',
      name: 'Wood behind',
      kind: 'trees',
      footprint: rectangle(-40, 60, 40, 70),
      heightM: 10,
    },
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
  obstacles: [
    {
      id: 'north',
      name: 'Forest, north',
      kind: 'trees',
      footprint: rectangle(-30, 18, 30, 30),
      heightM: 22,
    },
    {
      id: 'south',
      name: 'Forest, south',
      kind: 'trees',
      footprint: rectangle(-30, -30, 30, -18),
      heightM: 22,
    },
    {
      id: 'east',
      name: 'Forest, east',
      kind: 'trees',
      footprint: rectangle(18, -18, 30, 18),
      heightM: 22,
    },
    {
      id: 'west',
      name: 'Forest, west',
      kind: 'trees',
      footprint: rectangle(-30, -18, -18, 18),
      heightM: 22,
    },
  ],
  cautions: ['field', 'wildlife'],
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
