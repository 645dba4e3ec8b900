import { fullCircle, halfCircle, turned, type Placing, type Point2 } from '@/core';
import { groundById } from '@/presets/grounds';
import { REACH_M, type Shoot } from './shoot';
import type { Underlay } from './underlay';

/** Changes of a whole ground: how it lies, where it lies, which way round it is played. */

const kept = (metres: number) => Math.min(REACH_M, Math.max(-REACH_M, metres));

/** A point kept within reach of the site. */
export const within = <P extends Point2>(point: P): P => ({
  ...point,
  x: kept(point.x),
  y: kept(point.y),
});

/** A picture under the plan turns with what is drawn over it. */
const turnedAlong = (underlay: Underlay, byDeg: number): Underlay => ({
  ...within(turned(underlay, byDeg)),
  topDeg: fullCircle(underlay.topDeg + byDeg),
});

/** The shoot with its whole ground turned about the origin to another true bearing. */
export function turnGround(shoot: Shoot, bearingDeg: number): Shoot {
  const by = bearingDeg - shoot.ground.bearingDeg;
  const turnAll = <P extends Point2>(points: readonly P[]) =>
    points.map((point) => within(turned(point, by)));
  return {
    ...shoot,
    ground: { ...shoot.ground, bearingDeg: fullCircle(bearingDeg) },
    ...(shoot.underlay && { underlay: turnedAlong(shoot.underlay, by) }),
    // A hill keeps its bearings: it stands where it stands, however the pitch lies.
    features: shoot.features.map((feature) => {
      const points = turnAll(feature.points);
      if (feature.kind !== 'perch' || !feature.stick) return { ...feature, points };
      const { stick } = feature;
      return {
        ...feature,
        points,
        stick: { ...stick, towardDeg: fullCircle(stick.towardDeg + by) },
      };
    }),
    marks: turnAll(shoot.marks).map((mark) => ({
      ...mark,
      headingDeg: fullCircle(mark.headingDeg + by),
      facingDeg: fullCircle(mark.facingDeg + by),
    })),
    positions: turnAll(shoot.positions),
    readings: turnAll(shoot.readings).map((reading) => ({
      ...reading,
      faceDeg: fullCircle(reading.faceDeg + by),
    })),
  };
}

/** The shoot laid where two of its points are known to be. The time zone stays the person's. */
export function placeGround(shoot: Shoot, { origin, turnDeg }: Placing): Shoot {
  const laid = turnGround(shoot, fullCircle(shoot.ground.bearingDeg + turnDeg));
  return { ...laid, place: { ...shoot.place, ...origin } };
}

/** Mirrored about a line along the ground's long axis, `aboutX` to its right. */
function mirrored<P extends Point2>(point: P, axisDeg: number, aboutX: number): P {
  const upright = turned(point, -axisDeg);
  return turned({ ...upright, x: 2 * aboutX - upright.x }, axisDeg);
}

/**
 * The shoot with one of its template's switches thrown over: the batter on the other side, the
 * swimmer breathing the other way. Thrown twice it is as before. The position that then suits is
 * chosen, where there is one.
 */
export function throwSwitch(shoot: Shoot, switchId: string): Shoot {
  const { bearingDeg, thrown, template } = shoot.ground;
  const lever = groundById(template).switches?.find(({ id }) => id === switchId);
  if (!lever) return shoot;
  const over = !thrown.includes(switchId);
  const effectOn = (id: string) => lever.effects.find((effect) => effect.id === id);
  const { positionId } = lever.options[over ? 1 : 0];
  return {
    ...shoot,
    ground: {
      ...shoot.ground,
      thrown: over ? [...thrown, switchId] : thrown.filter((id) => id !== switchId),
    },
    marks: shoot.marks.map((mark) => {
      const effect = effectOn(mark.id);
      if (!effect) return mark;
      const { headingDeg, facingDeg } = mark;
      if (effect.mirror === 'face') {
        return { ...mark, facingDeg: fullCircle(headingDeg - halfCircle(facingDeg - headingDeg)) };
      }
      return within({
        ...mirrored(mark, bearingDeg, effect.aboutX ?? 0),
        headingDeg: fullCircle(2 * bearingDeg - headingDeg),
        facingDeg: fullCircle(2 * bearingDeg - facingDeg),
      });
    }),
    positions: shoot.positions.map((position) => {
      const effect = effectOn(position.id);
      return effect ? within(mirrored(position, bearingDeg, effect.aboutX ?? 0)) : position;
    }),
    choice: {
      ...shoot.choice,
      ...(positionId && shoot.positions.some(({ id }) => id === positionId) && { positionId }),
    },
  };
}
