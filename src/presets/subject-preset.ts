import type { MovingPart } from '@/core';
import type { CautionTag } from './cautions';
import type { ClassId } from './classes';

/** A kind of subject: its size, pace and parts. Every value: common practice, no source. */
export interface SubjectPreset {
  readonly id: string;
  readonly name: string;
  /** What it does, in a caption's present tense: of one and of several. */
  readonly does: readonly [one: string, several: string];
  /** What its pictures are taken at: `CLASSES`. */
  readonly classId: ClassId;
  /** Flat, so that it is held parallel to the sensor: spread wings. */
  readonly flat?: boolean;
  /** Wears a brim: under a high sun the face lies in its shade. */
  readonly brim?: boolean;
  /** Speed that it sways at for each metre a second of wind: on a flower, on a twig. */
  readonly swayShare?: number;
  /** The preset that one's own subject was made of. */
  readonly basedOn?: string;
  readonly heightM: number;
  /** Depth along the line of sight that should be sharp. */
  readonly depthM: number;
  readonly speedMs: number;
  readonly climbDeg?: number;
  readonly parts: readonly MovingPart[];
  /** What to take care of wherever this subject is. */
  readonly cautions?: readonly CautionTag[];
}
