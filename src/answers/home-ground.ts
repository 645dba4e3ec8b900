import { subjectById } from '@/presets/find';
import { figureOf } from '@/presets/subject-figures';
import { newShoot } from '@/records/new-shoot';
import type { Practice } from '@/records/practice';
import type { Shoot } from '@/records/shoot';

/**
 * The ground one practises on at home: a subject that crosses the sight from left to right before a wall and trees, on
 * an invented summer's afternoon with the sun behind the camera.
 */

const DAY = '2027-06-12';
export const HOME_AT_LOCAL = `${DAY}T15:00`;
const PLACE = { latitudeDeg: 51, longitudeDeg: 0, timeZone: 'UTC' } as const;
const LEAST_CAMERA_M = 1.2;
const ACROSS_DEG = 90;
/** What the background is drawn out from. No source. */
const WALL = { behindM: 9, longM: 240, heightM: 1.1 } as const;
const TREES = { behindM: 17, count: 30, apartM: 8, heightM: 9 } as const;

/** Shares from 0 to 1, evenly strewn. */
const strewn = (i: number, by = 0.618): number => (i * by) % 1;

export function homeShoot({ subjectId, distanceM, lensId, focalMm }: Practice['home']): Shoot {
  const subject = subjectById(subjectId);
  const fresh = newShoot(
    {
      ...{ title: 'Practice', template: 'blank', ...PLACE, bearingDeg: 0 },
      ...{ startLocal: `${DAY}T14:00`, endLocal: `${DAY}T16:00` },
    },
    'practice',
    `${DAY}T12:00:00.000Z`,
  );
  const cameraHeightM = Math.max(LEAST_CAMERA_M, subject.heightM / 2);
  const feetM = Math.max(0, cameraHeightM - subject.heightM / 2);
  const { longM, behindM, heightM } = WALL;
  return {
    ...fresh,
    kit: { ...fresh.kit, lensId, focalMm },
    marks: [
      {
        ...{ id: 'mark', name: subject.name, x: 0, y: 0, subjectId },
        ...{ headingDeg: ACROSS_DEG, facingDeg: ACROSS_DEG },
        // What flies or sits is met at the height of the eye.
        ...(feetM > 0 && subject.heightM < 1 && { feetM }),
      },
    ],
    positions: [{ id: 'position', name: 'Home', x: 0, y: -distanceM, cameraHeightM }],
    features: [
      // What sits, sits on something.
      ...(feetM > 0 && figureOf(subject) === 'perched'
        ? [
            {
              ...{ id: 'perch', name: 'Perch', kind: 'perch' as const, heightM: feetM },
              points: [{ x: 0, y: 0 }],
            },
          ]
        : []),
      {
        ...{ id: 'wall', name: 'Wall', kind: 'wall', heightM },
        points: [
          { x: -longM / 2, y: behindM },
          { x: longM / 2, y: behindM },
        ],
      },
      ...Array.from({ length: TREES.count }, (_, i): Shoot['features'][number] => {
        const share = strewn(i);
        return {
          ...{ id: `tree-${i}`, name: `Tree ${i + 1}`, kind: 'tree' },
          heightM: TREES.heightM * (0.6 + 0.6 * share),
          crownM: 3 + 3 * strewn(i, 0.414),
          points: [
            {
              x: (i - TREES.count / 2 + share) * TREES.apartM,
              y: TREES.behindM + 10 * strewn(i, 0.732),
            },
          ],
        };
      }),
    ],
  };
}
