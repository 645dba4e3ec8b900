import { above, atLeast, within } from '../check';

export interface Buffer {
  /** Seconds of shooting until the buffer is full; Infinity if the card keeps up. */
  readonly burstS: number;
  readonly burstFrames: number;
  /** Seconds to write a full buffer to the card. */
  readonly clearS: number;
}

/**
 * How long a burst lasts: size/(rate × file − write speed), and how long the buffer takes to clear.
 * @throws RangeError for sizes, rates or speeds not above 0
 */
export function buffer({
  bufferMb,
  fps,
  fileMb,
  writeMbS,
}: {
  readonly bufferMb: number;
  readonly fps: number;
  readonly fileMb: number;
  readonly writeMbS: number;
}): Buffer {
  above('bufferMb', bufferMb, 0);
  above('fps', fps, 0);
  above('fileMb', fileMb, 0);
  above('writeMbS', writeMbS, 0);
  const fillingMbS = fps * fileMb - writeMbS;
  const burstS = fillingMbS > 0 ? bufferMb / fillingMbS : Infinity;
  return {
    burstS,
    burstFrames: burstS === Infinity ? Infinity : Math.floor(burstS * fps),
    clearS: bufferMb / writeMbS,
  };
}

/** Spare room to carry on cards and in batteries. Common practice, no source. */
const SPARE_SHARE = 0.25;

/**
 * Cards for the frames expected, with a quarter to spare; at least two, so that one can fail.
 * @throws RangeError for negative frames or sizes not above 0
 */
export function cardsFor({
  frames,
  fileMb,
  cardGb,
}: {
  readonly frames: number;
  readonly fileMb: number;
  readonly cardGb: number;
}): { readonly cards: number; readonly framesPerCard: number } {
  atLeast('frames', frames, 0);
  above('fileMb', fileMb, 0);
  above('cardGb', cardGb, 0);
  const framesPerCard = Math.floor((cardGb * 1000) / fileMb);
  above('framesPerCard', framesPerCard, 0);
  return {
    cards: Math.max(2, Math.ceil((frames * (1 + SPARE_SHARE)) / framesPerCard)),
    framesPerCard,
  };
}

/**
 * Share of its rated frames that a lithium-ion battery gives in the cold: all at 20 °C, 80 % at
 * 0 °C, 50 % at −20 °C, straight between. Common practice, no source.
 * @throws RangeError outside −40 to 60 °C
 */
export function coldShare(temperatureC: number): number {
  within('temperatureC', temperatureC, -40, 60);
  if (temperatureC >= 20) return 1;
  if (temperatureC >= 0) return 0.8 + (0.2 * temperatureC) / 20;
  return Math.max(0.25, 0.8 + (0.3 * temperatureC) / 20);
}

/**
 * Batteries for the frames expected, derated for the cold, with a quarter to spare; at least two.
 * @throws RangeError for negative frames, a rating not above 0, or as {@link coldShare}
 */
export function batteriesFor({
  frames,
  ratedFrames,
  temperatureC,
}: {
  readonly frames: number;
  readonly ratedFrames: number;
  readonly temperatureC: number;
}): { readonly batteries: number; readonly framesPerBattery: number } {
  atLeast('frames', frames, 0);
  above('ratedFrames', ratedFrames, 0);
  const framesPerBattery = ratedFrames * coldShare(temperatureC);
  return {
    batteries: Math.max(2, Math.ceil((frames * (1 + SPARE_SHARE)) / framesPerBattery)),
    framesPerBattery,
  };
}
