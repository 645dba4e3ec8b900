/** The command line of answers as a person runs it: a list of pictures in, settings or a refusal out. */
import { runScript, scriptFile as file } from './run-script';

jest.setTimeout(30_000);

const answer = (...args: readonly string[]) => runScript('answer', args);

const ASKED = {
  subjectId: 'field-player',
  runs: 'across',
  distanceM: 30,
  orientation: 'level',
  bodyId: 'full-frame-24',
  lensId: '70-200-2.8',
  focalMm: 200,
  converter: 1,
  light: { ev: 10 },
};

test('the first eight fields and a light are enough; answers come in order, whole', () => {
  const dim = { ...ASKED, light: { lux: 200 }, lamps: { mainsHz: 50, share: 1 } };
  const triad = { shutterS: 1 / 800, aperture: 2.8, iso: 2000, stopsDark: 3 };
  const { status, stdout } = answer(
    file('asked.json', [ASKED, dim, { ...ASKED, light: { triad } }]),
    '--json',
  );
  expect(status).toBe(0);
  const answers = JSON.parse(stdout);
  expect(answers).toHaveLength(3);
  for (const one of answers) {
    expect(Object.keys(one).sort()).toEqual(
      [
        'settings',
        'must',
        'wish',
        'ruledBy',
        'stopsInHand',
        'stopsShort',
        'works',
        'filterStops',
        'waysOut',
        'sentences',
      ].sort(),
    );
  }
  // 1/800 is 2^(-29/3) s on its exact mark.
  expect(answers[0].must.shutterS).toBeCloseTo(2 ** (-29 / 3), 9);
  expect(answers[1].sentences.join(' ')).toMatch(/Lamps differ by/);
  // Three stops under at 1/800, f/2.8, ISO 2000 is EV 5.29; 2^(29/3), √8 and ISO 6400 want EV 6.67.
  expect(answers[2].stopsShort).toBeCloseTo(1.37, 1);
  expect(answers[2].waysOut.length).toBeGreaterThan(0);
});

test('nearer than the lens focuses is said first, and does not work', () => {
  const { stdout } = answer(
    file('near.json', [
      { ...ASKED, subjectId: 'butterfly-flower', lensId: '100-2.8', focalMm: 100, distanceM: 0.2 },
    ]),
    '--json',
  );
  const [near] = JSON.parse(stdout);
  expect(near.works).toBe(false);
  expect(near.sentences[0]).toMatch(/focuses from 0\.3 m/);
});

test('a large thing at the nearest focus of a long lens is answered, not refused', () => {
  const near = { lensId: '100-400-5.6', focalMm: 400, converter: 2, distanceM: 1 };
  const horse = { ...ASKED, ...near, subjectId: 'galloping-horse' };
  const { status, stdout } = answer(file('horse.json', [horse]), '--json');
  expect(status).toBe(0);
  expect(JSON.parse(stdout)[0].sentences[0]).toMatch(/overfills the frame/);
});

test('a frame that overflows is said first, with the focal length that would do', () => {
  const { stdout } = answer(file('full.json', [{ ...ASKED, distanceM: 10 }]));
  expect(stdout.split('\n')[1]).toMatch(/overfills the frame, 14\d %.*13\d mm holds it whole/);
});

test('--list prints the ids that a file may name', () => {
  const { status, stdout } = answer('--list');
  expect(status).toBe(0);
  for (const id of ['kingfisher-dive', 'two-x-20', '200-600-6.3', 'silhouette']) {
    expect(stdout).toContain(id);
  }
});

test.each([
  ['no file', [], /usage: npm run answer/],
  ['a file that is not there', ['/nowhere.json'], /can't be read/],
  ['no JSON', [file('cut.json', '[{')], /can't be read/],
  [
    'a body there is none of',
    [file('b.json', [ASKED, { ...ASKED, bodyId: 'x' }])],
    /\[1\]\.bodyId/,
  ],
  ['a light that is none', [file('l.json', [{ ...ASKED, light: {} }])], /\[0\]\.light/],
  ['a field too many', [file('f.json', [{ ...ASKED, colour: 1 }])], /\[0\].*colour/],
  [
    'a part it has not',
    [file('p.json', [{ ...ASKED, sharp: 'tail' }])],
    /\[0\]\.sharp: must be a part of it: body, head/,
  ],
  ['no list', [file('n.json', ASKED)], /the file/],
])('%s ends with code 2 and what to change', (_what, args, message) => {
  const { status, stderr } = answer(...args);
  expect(status).toBe(2);
  expect(stderr).toMatch(message);
});
