import {
  groundHeightM,
  groundUnderM,
  onGround,
  raised,
  slopeCorners,
  slopeIn,
  type Slope,
  behindHead,
  boughsAcross,
  boughsOf,
  insidePolygon,
  sectionAlong,
  sightBlocks,
  sightLeaves,
} from '@/core';
import { branchesBefore, thingsOf, type Named } from '@/answers/along-sight';
import type { View } from '@/answers/view';
import { blockInWords } from '@/features/shoot/hide-words';
import { metres, percent, sentence, smallLength } from '@/features/shoot/words';
import type { SideViewPieces } from '@/figures/SideView';
import type { Shoot } from '@/records/shoot';

/** The line of sight from the side: what to draw, and what it comes to in words. */

export interface SideSeen {
  readonly pieces: SideViewPieces;
  readonly words: readonly string[];
}

/** Ground drawn beyond the subject, as times its distance, and how far it is followed unless the subject is further still. */
const BEYOND = 2.6;
const FURTHEST_M = 400;
/** A thing that stands higher is cut off at the top of the drawing. */
const HIGHEST_TIMES = 2.2;

/** "The line is level." "Looking 12° up." */
function slopeWords(elevationDeg: number): string {
  const deg = Math.abs(elevationDeg);
  if (deg < 0.5) return 'The line of sight is level.';
  return `Looking ${deg.toFixed(0)}° ${elevationDeg > 0 ? 'up' : 'down'}.`;
}

type Thing = SideViewPieces['things'][number];

const ROOF_M = 0.05;

/** A thing as it is drawn; of what the camera sits in the wall before it, round the window that is looked out of, and a roof. */
function drawn(
  { camera, aim }: View,
  {
    obstacle,
    fromM,
    toM,
  }: { readonly obstacle: Named; readonly fromM: number; readonly toM: number },
): readonly Thing[] {
  const { name, heightM, openings, footprint } = obstacle;
  if (!openings || fromM > 0 || !insidePolygon(camera, footprint)) {
    return [{ name, fromM, toM, lowM: 0, heightM }];
  }
  const roof = { name, fromM, toM, lowM: heightM - ROOF_M, heightM };
  if (openings.length === 0) return [roof];
  const wall = { name: '', fromM: toM, toM, lowM: 0, heightM };
  const opening = sightLeaves(camera, aim, obstacle);
  if (!opening) return [roof, wall];
  return [roof, { ...wall, heightM: opening.sillM }, { ...wall, lowM: opening.headM }];
}

/** What the chosen position sees of the chosen mark, from the side. @param month 1 to 12: leaves are as they are in it */
export function sideView(view: View, features: Shoot['features'], month: number): SideSeen {
  const { camera, aim, subject, mark, sight } = view;
  const slope = slopeIn(features);
  const { feetM = 0 } = onGround(features, mark);
  const headM = feetM + subject.heightM;
  const awayM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const reachM = Math.max(awayM + 4, Math.min(FURTHEST_M, awayM * BEYOND));
  const things = thingsOf(features);
  const met = sectionAlong(camera, aim, things, reachM);
  const blocks = sightBlocks(camera, aim, things);
  const behind = behindHead(camera, aim, headM, things, reachM);
  const under = groundUnderM(features, camera);
  const over = slope ? ' over the lowest ground' : '';
  const topM = HIGHEST_TIMES * Math.max(headM, camera.z, 0.5);
  const head = behind && clearanceWords(behind, camera.z, under);
  return {
    pieces: {
      reachM,
      topM,
      cameraM: camera.z,
      subject: { name: mark.name, awayM, feetM, headM },
      things: met
        .filter(({ obstacle }) => !obstacle.surface)
        .flatMap((piece) => drawn(view, piece)),
      ...(slope && { ground: groundAlong(slope, view, reachM) }),
      branches: boughsAcross(camera, aim, raised(features).flatMap(boughsOf), reachM).map(
        ({ bough, atM, heightM, acrossM }) => ({
          ...{ atM, heightM, acrossM, upM: Math.max(2 * bough.leafRadiusM, bough.woodM) },
          isBare: !bough.leafTakes[month - 1],
        }),
      ),
    },
    words: [
      `Camera at ${metres(camera.z)}, head at ${metres(headM)}${over}, ${metres(awayM)} apart. ${slopeWords(sight.elevationDeg)}`,
      ...blocks.map((block) =>
        block.fromWithin
          ? `${sentence(blockInWords(block)).slice(0, -1)}, is in the way.`
          : `${block.obstacle.name} is in the way, ${metres(block.distanceM)} off: the line passes ${smallLength(block.overM)} under its top.`,
      ),
      ...branchesBefore(view, features, month).map(
        ({ name, hidesShare }) => `${name} hides ${percent(hidesShare)} of ${mark.name}.`,
      ),
      head ?? 'Nothing stands behind the head.',
    ],
  };
}

/** The ground under the line of sight, from corner to corner. */
function groundAlong(
  slope: Slope,
  { camera, aim }: View,
  reachM: number,
): NonNullable<SideViewPieces['ground']> {
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const toward = { x: (aim.x - camera.x) / levelM, y: (aim.y - camera.y) / levelM };
  return [0, ...slopeCorners(slope, camera, toward).filter((m) => m < reachM), reachM].map(
    (atM) => ({
      atM,
      heightM: groundHeightM(slope, {
        x: camera.x + toward.x * atM,
        y: camera.y + toward.y * atM,
      }),
    }),
  );
}

/** What rises behind the head, and the camera height that would lift the head over it. */
function clearanceWords(
  behind: NonNullable<ReturnType<typeof behindHead<Named>>>,
  cameraM: number,
  underM: number,
): string {
  const { obstacle, overHeadM, cameraM: clearM } = behind;
  if (overHeadM <= 0) return `The head stands clear of ${obstacle.name}, against the sky.`;
  const rises = `${obstacle.name} rises ${smallLength(overHeadM)} behind the head.`;
  return clearM - underM > 0.05 && clearM < cameraM
    ? `${rises} With the camera at ${metres(clearM - underM)} or lower the head is clear of it.`
    : `${rises} No camera above the ground lifts the head over it.`;
}
