import fc from 'fast-check';
import { batteriesFor, buffer, cardsFor, coldShare } from '.';

test('a card that keeps up never fills the buffer', () => {
  expect(buffer({ bufferMb: 1000, fps: 5, fileMb: 20, writeMbS: 100 })).toMatchObject({
    burstS: Infinity,
    burstFrames: Infinity,
    clearS: 10,
  });
});

test('in the burst the buffer takes just what the card does not', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 200, max: 8000, noNaN: true }),
      fc.double({ min: 5, max: 40, noNaN: true }),
      fc.double({ min: 10, max: 80, noNaN: true }),
      fc.double({ min: 30, max: 900, noNaN: true }),
      (bufferMb, fps, fileMb, writeMbS) => {
        const { burstS } = buffer({ bufferMb, fps, fileMb, writeMbS });
        if (burstS < Infinity) {
          expect(burstS * fps * fileMb - burstS * writeMbS).toBeCloseTo(bufferMb, 6);
        } else expect(fps * fileMb).toBeLessThanOrEqual(writeMbS);
      },
    ),
  );
});

test('cards: a quarter to spare, and never fewer than two', () => {
  // 64 GB at 28 MB are 2285 frames; 4000 with a quarter to spare are 5000.
  expect(cardsFor({ frames: 4000, fileMb: 28, cardGb: 64 })).toEqual({
    cards: 3,
    framesPerCard: 2285,
  });
  expect(cardsFor({ frames: 100, fileMb: 28, cardGb: 64 }).cards).toBe(2);
});

test('batteries give less in the cold, and it never rises as it gets colder', () => {
  expect(coldShare(25)).toBe(1);
  expect(coldShare(0)).toBeCloseTo(0.8, 12);
  expect(coldShare(-20)).toBeCloseTo(0.5, 12);
  for (let t = -39; t < 60; t += 1) expect(coldShare(t)).toBeGreaterThanOrEqual(coldShare(t - 1));
  expect(batteriesFor({ frames: 3000, ratedFrames: 1000, temperatureC: 0 }).batteries).toBe(5);
});
