import { setUnits } from '@/ui/units';
import { refusalInWords, refusalsInWords, scoreWhyInWords } from './score-words';
import { visitInWords } from './visit-words';

afterEach(() => setUnits('metric'));

test('what a score stands on is said with its figures', () => {
  expect(scoreWhyInWords({ kind: 'fills', fill: 0.62, focalMm: 199.7, wanted: 0.6 })).toBe(
    'fills 62 % at 200 mm, wanted 60 %',
  );
  expect(scoreWhyInWords({ kind: 'faceOff', offDeg: 34.6 })).toBe('the face is 35° off the camera');
  expect(scoreWhyInWords({ kind: 'behind', timesAsFar: 2.34, blurShare: 0.0123 })).toBe(
    'background 2.3 times as far; blur disc 1.2 % of the frame',
  );
  expect(scoreWhyInWords({ kind: 'behind', blurShare: 0.114 })).toBe(
    'nothing behind; blur disc 11 % of the frame',
  );
  expect(scoreWhyInWords({ kind: 'sun', phaseDeg: 41.2 })).toBe(
    'the sun 41° round from behind the camera',
  );
  const light = { kind: 'light', ev: 9.26, shutterS: 1 / 1000, aperture: 2.8 } as const;
  expect(scoreWhyInWords({ ...light, spareStops: -1.13 })).toBe(
    'EV 9.3, 1.1 stops short of 1/1000 at f/2.8',
  );
  expect(scoreWhyInWords({ ...light, spareStops: 1.13 })).toBe(
    'EV 9.3, 1.1 stops over 1/1000 at f/2.8',
  );
  // Less than half a click is short for nobody: the answer has no shortage either.
  expect(scoreWhyInWords({ ...light, spareStops: -0.15 })).toBe(
    'EV 9.3, just enough for 1/1000 at f/2.8',
  );
  expect(scoreWhyInWords({ ...light, spareStops: -0.18 })).toBe(
    'EV 9.3, 0.2 stop short of 1/1000 at f/2.8',
  );
  for (const kind of ['inTheWay', 'comesAtYou', 'clear', 'noSun', 'noPicture'] as const) {
    expect(scoreWhyInWords({ kind })).toMatch(/^[a-z :]+$/);
  }
});

test('lengths are said in the units in force', () => {
  const near = { kind: 'withinNearestFocus', distanceM: 0.9, nearestM: 1.2 } as const;
  expect(scoreWhyInWords(near)).toBe('0.9 m is nearer than the lens focuses, 1.2 m');
  expect(scoreWhyInWords({ kind: 'walk', walkM: 30.4 })).toBe('30 m to walk');
  setUnits('imperial');
  expect(scoreWhyInWords(near)).toBe('3.0 ft is nearer than the lens focuses, 3.9 ft');
  expect(scoreWhyInWords({ kind: 'walk', walkM: 30.48 })).toBe('100 ft to walk');
});

test('where one may not stand is said', () => {
  const pitch = { kind: 'inside', name: 'the pitch' } as const;
  const nest = { kind: 'disturbs', distanceM: 2.04, keepAwayM: 3 } as const;
  expect(refusalInWords({ kind: 'outside', name: 'the pen' })).toBe('outside the pen');
  expect(refusalsInWords([pitch, nest])).toBe(
    'inside the pitch; 2.0 m from the mark, nearer than 3 m',
  );
});

test('visits are said by the hour, or how long one waits for one', () => {
  expect(visitInWords({ rate: 2.7, visits: 8 })).toBe('2.7 an hour');
  expect(visitInWords({ rate: 1, visits: 3 })).toBe('1.0 an hour');
  expect(visitInWords({ rate: 0.4, visits: 1 })).toBe('one in 150 minutes');
  expect(visitInWords({ rate: 0, visits: 0 })).toBe('none seen');
});
