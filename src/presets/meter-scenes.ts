/** Scenes that fool a reflected-light meter. Reflectances: common practice, round, no source. */
export interface MeterScene {
  readonly id: string;
  readonly name: string;
  /** What surrounds the subject, and the subject's own. */
  readonly around: number;
  readonly subject: number;
  /** Share of the frame that the surroundings take, to begin with. */
  readonly share: number;
  readonly white?: boolean;
}

export const METER_SCENES: readonly MeterScene[] = [
  { id: 'ice', name: 'Ice rink', around: 0.7, subject: 0.2, share: 0.7, white: true },
  { id: 'snow', name: 'Snow', around: 0.85, subject: 0.15, share: 0.75, white: true },
  { id: 'whiteKit', name: 'White kit', around: 0.18, subject: 0.8, share: 0.6, white: true },
  { id: 'sand', name: 'Bright sand', around: 0.4, subject: 0.2, share: 0.7 },
  { id: 'darkCrowd', name: 'Dark crowd behind', around: 0.06, subject: 0.25, share: 0.75 },
  { id: 'blackWater', name: 'Black water', around: 0.03, subject: 0.3, share: 0.8 },
  { id: 'trees', name: 'Dark trees behind', around: 0.05, subject: 0.25, share: 0.8 },
  // Not a reflectance: the sky's brightness as if it were one, beside the bird's own shaded side.
  { id: 'sky', name: 'Bird against the sky', around: 0.9, subject: 0.12, share: 0.85 },
  { id: 'turf', name: 'Green turf', around: 0.16, subject: 0.2, share: 0.75 },
];
