import { point3, type Point2, type Point3 } from './vector';

/** Share of a subject's height at which its light is taken: the face, or a bird's. */
const LIT_AT_HEIGHT = 0.85;

/** A subject where it will be, in metres: on the ground, or on what it stands on. */
export interface Standing extends Point2 {
  readonly feetM?: number;
}

export interface SubjectPoints {
  readonly feet: Point3;
  /** Its middle: what a camera is aimed at. */
  readonly aim: Point3;
  /** Where its light is taken. */
  readonly face: Point3;
}

/** Where a subject of a height is looked at and lit: for one view, for a search, for all that draws it. */
export const subjectPoints = ({ x, y, feetM = 0 }: Standing, heightM: number): SubjectPoints => ({
  feet: point3(x, y, feetM),
  aim: point3(x, y, feetM + heightM / 2),
  face: point3(x, y, feetM + heightM * LIT_AT_HEIGHT),
});
