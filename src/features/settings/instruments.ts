import {
  alongBearing,
  bearingDeg,
  depthOfField,
  halfCircle,
  type Point2,
  type Settings,
} from '@/core';
import type { View } from '@/answers/view';
import type { PlanSwing } from '@/figures/plan-types';
import { swingOf } from './motion-words';

/** What the dials do, drawn on the ground: how deep the focus is, how far a pan swings. */

/** Further than so many times the subject's distance the zone is not drawn. */
const FURTHEST_TIMES = 2.5;
/** Half the frame's width as a slope at the subject, for the width of the zone. */
const LEAST_HALF_M = 0.5;

const beyond = (from: Point2, bearing: number, metres: number): Point2 => {
  const { x, y } = alongBearing(bearing);
  return { x: from.x + x * metres, y: from.y + y * metres };
};

/** The depth of field as a strip across the line of sight. */
export function focusZone(view: View, { aperture }: Settings): readonly Point2[] {
  const { focalMm, cocMm, position, body } = view;
  const { distanceM, bearingDeg: toward } = view.sight;
  const { nearM, farM } = depthOfField({ focalMm, cocMm, aperture, distanceM });
  const far = Math.min(farM, distanceM * FURTHEST_TIMES);
  const widthMm = view.orientation === 'upright' ? body.sensor.heightMm : body.sensor.widthMm;
  const corner = (metres: number, side: 1 | -1) => {
    const half = Math.max(LEAST_HALF_M, (metres * widthMm) / focalMm / 2);
    return beyond(beyond(position, toward, metres), toward + 90, side * half);
  };
  return [corner(nearM, -1), corner(nearM, 1), corner(far, 1), corner(far, -1)];
}

const MARGIN_DEG = 10;

/** The arc that a pan sweeps from the position, margins included. */
export function panSwing(view: View): PlanSwing {
  const { position, mark } = view;
  const { fromM, toM, totalDeg } = swingOf(view);
  const { offsetM } = view.passing;
  const at = (alongM: number) =>
    bearingDeg(position, beyond(mark, mark.headingDeg, alongM - offsetM));
  const from = at(fromM);
  const turn = halfCircle(at(toM) - from);
  const way = turn < 0 ? -1 : 1;
  return {
    at: { x: position.x, y: position.y },
    fromDeg: from - way * MARGIN_DEG,
    turnDeg: turn + 2 * way * MARGIN_DEG,
    text: `swing ${totalDeg.toFixed(0)}°`,
  };
}
