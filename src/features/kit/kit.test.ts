import { ALDER_REACH } from '@/demo/alder-reach';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { viewOf } from '@/answers/view';
import { FIRST_SHOT } from '@/records/brief';
import { airThrough } from '@/records/air';
import { basedOn, firstItem, withItem, withoutItem } from '@/records/edit-kit';
import { bodyOf, kitItemSchema, lensOf, type ItemOfKind, type KitKind } from '@/records/kit';
import { shootSchema, type Shoot } from '@/records/shoot';
import { combinationsOf, shotsServed } from '@/answers/bag';
import { servedInWords, shotServedInWords } from './bag-words';
import { itemInWords, KIND_NAMES } from './item-words';
import { packedInWords, packingList } from './packing';
import { storesOf } from '@/answers/stores';
import { burstInWords } from './stores-words';
import { twoBodies } from '@/answers/two-bodies';
import { bodyRings, twoBodiesInWords } from './two-bodies-words';
import { weatherOf } from './weather';

const stores = (shoot: Shoot) => storesOf(shoot, weatherOf(shoot).coldestC);
const listOf = (shoot: Shoot, always: readonly string[] = []) =>
  packingList(shoot, stores(shoot), weatherOf(shoot), always);
const withAir = (air: Partial<Shoot['air']>): Shoot => ({
  ...LARKMOOR,
  air: { ...LARKMOOR.air, ...air },
});

test.each(Object.keys(KIND_NAMES) as KitKind[])('a new thing of kind %s is whole', (kind) => {
  const item = firstItem(kind, 'own-1');
  expect(kitItemSchema.parse(item)).toEqual(item);
  expect(itemInWords(item).length).toBeGreaterThan(3);
});

test('a thing of one’s own is used with its own figures, and taken out leaves its preset', () => {
  const old = { ...(firstItem('lens', 'own-old') as ItemOfKind<'lens'>), name: 'Old 300' };
  const like = basedOn(old, '300-4');
  expect(like).toMatchObject({ name: 'Old 300', basedOn: '300-4' });
  const slower = { ...like, focals: [{ focalMm: 300, widestAperture: 4.5 }] };
  const put = withItem(LARKMOOR.kit, slower);
  const worn = { ...put, lensId: 'own-old', focalMm: 300 };
  expect(lensOf(worn).focals).toEqual([{ focalMm: 300, widestAperture: 4.5 }]);
  const gone = withoutItem(worn, 'own-old');
  expect(gone.lensId).toBe('300-4');
  expect(shootSchema.safeParse({ ...LARKMOOR, kit: gone }).success).toBe(true);
});

test('a body taken out of the bag leaves both hands full', () => {
  const { second } = withoutItem(LARKMOOR.kit, 'own-spare');
  expect(second?.bodyId).toBe('crop-1.5-20');
  const kit = withoutItem(LARKMOOR.kit, 'own-main');
  expect(bodyOf(kit).id).toBe('full-frame-24');
});

test('a zoom shortened in the bag shortens what is in the hands', () => {
  const zoom = LARKMOOR.kit.bag.find(({ id }) => id === 'own-70-200') as ItemOfKind<'lens'>;
  const kit = withItem(LARKMOOR.kit, {
    ...zoom,
    takesConverter: false,
    focals: [
      { focalMm: 70, widestAperture: 2.8 },
      { focalMm: 150, widestAperture: 2.8 },
    ],
  });
  expect(kit.focalMm).toBe(150);
  expect(shootSchema.safeParse({ ...LARKMOOR, kit }).success).toBe(true);
});

test('every lens with every converter it takes stands on every body', () => {
  // Two bodies; the 300 and the 70–200 each bare and with 1.4x.
  expect(combinationsOf(LARKMOOR.kit)).toHaveLength(8);
  // Nothing in the bag: what is in the hands.
  const bare = { ...LARKMOOR.kit, bag: [], bodyId: 'full-frame-24', lensId: '70-200-2.8' };
  expect(combinationsOf(bare).map(({ name }) => name)).toEqual(['70–200 mm f/2.8']);
});

test('a shot out of reach says what would reach it, in figures that agree', () => {
  const far = {
    ...ALDER_REACH,
    positions: ALDER_REACH.positions.slice(0, 1),
    shots: [{ ...FIRST_SHOT, id: 'tight', name: 'Head only', markId: 'perch-a', fill: 1.4 }],
  };
  const [shot] = shotsServed(far);
  expect(shot?.served).toBe(false);
  expect(shot && shotServedInWords(shot)).toMatch(
    /^The .+ fills \d+ % from .+, wants 140 %: stand [\d.]+ m closer, crop to \d+ MP, or carry \d+ mm\.$/,
  );
  const framed = shot?.framed;
  // Closer by what it says, the thin lens gives the framing wanted: fill grows as 1/(d − f).
  const position = far.positions[0];
  const mark = far.marks.find(({ id }) => id === 'perch-a');
  if (!framed || !position || !mark) throw new Error('must be there');
  const metres = Math.hypot(position.x - mark.x, position.y - mark.y);
  const ratio =
    (metres - framed.focalMm / 1000) / (metres - framed.closerM - framed.focalMm / 1000);
  expect(framed.fill * ratio).toBeCloseTo(1.4, 1);
});

test('a framing that a crop saves is served, and says what is left of it', () => {
  const [hide] = ALDER_REACH.positions;
  if (!hide) throw new Error('must be there');
  const fill = (wanted: number) => {
    const shots = [{ ...FIRST_SHOT, id: 's', name: 'Perched', markId: 'perch-a', fill: wanted }];
    const [shot] = shotsServed({ ...ALDER_REACH, positions: [hide], shots });
    if (!shot) throw new Error('must be judged');
    return shot;
  };
  const { framed } = fill(1.5);
  // By what its longest gives there: three fifths of what is wanted is the least.
  const just = fill(framed.fill / 0.61);
  expect([just.served, just.cropped]).toEqual([true, true]);
  expect(shotServedInWords(just)).toMatch(
    /fills \d+ % from .+, wants \d+ %: crop to \d+ MP, or stand [\d.]+ m closer\.$/,
  );
  expect(servedInWords([just])).toBe('The bag serves the one shot promised, with a crop.');
  const less = fill(framed.fill / 0.59);
  expect([less.served, less.cropped]).toEqual([false, false]);
  const whole = fill(framed.fill);
  expect([whole.served, whole.cropped]).toEqual([true, false]);
});

test('what the bag serves is counted', () => {
  expect(servedInWords([])).toMatch(/^No shots are promised/);
  const served = shotsServed(LARKMOOR);
  expect(served).toHaveLength(LARKMOOR.shots.length);
  expect(servedInWords(served)).toMatch(/^The bag serves (all \d|\d of \d) shots/);
});

test('two bodies hand over where both frame, the longer first', () => {
  const seen = viewOf(LARKMOOR);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const both = twoBodies(LARKMOOR.kit, seen.view);
  if (!both) throw new Error('must carry two');
  expect(both.far.name).toBe('300 mm f/4');
  expect(both.near.nearM).toBeLessThan(both.far.nearM);
  expect(both.change.atM).toBeGreaterThan(both.far.nearM);
  expect(both.change.atM).toBeLessThan(both.near.farM);
  expect(twoBodiesInWords(both)[2]).toMatch(/^Change at \d+ m/);
  expect(bodyRings(both, seen.view).filter(({ heavy }) => heavy)).toHaveLength(1);
  const { second: _none, ...one } = LARKMOOR.kit;
  expect(twoBodies(one, seen.view)).toBeUndefined();
});

test('a gap between two bodies is said and drawn', () => {
  const seen = viewOf(LARKMOOR);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const kit = {
    ...LARKMOOR.kit,
    lensId: '16-35-2.8',
    second: { bodyId: 'two-x-20', lensId: '800-5.6', converter: 1 as const },
  };
  const both = twoBodies(kit, seen.view);
  if (!both) throw new Error('must carry two');
  expect(both.change.gapM).toBeGreaterThan(5);
  expect(twoBodiesInWords(both)[2]).toMatch(/neither frames it/);
  expect(bodyRings(both, seen.view).every(({ heavy }) => !heavy)).toBe(true);
});

test('frames follow from the brief until one says otherwise, and cards from the frames', () => {
  const reckoned = stores(LARKMOOR);
  // 3 and 2 frozen at 2.75 %, a pan at 2 %, a silhouette at 10 %, 4 faces at 5 %: by hand.
  expect(reckoned.frames).toBe(110 + 73 + 50 + 10 + 80);
  const said = stores({ ...LARKMOOR, kit: { ...LARKMOOR.kit, frames: 4000 } });
  // Raw and JPEG, 28 + 11 MB: 1641 on 64 GB; 4000 and a quarter are 5000, so 4 cards.
  expect(said.cards).toMatchObject({ need: 4, have: 2 });
  expect(said.gigabytes).toBeCloseTo(156, 6);
  expect(said.holds).toBe(2 * 1641);
});

test('a burst lasts longer the smaller the file, and a card slower than the body rules', () => {
  const [raw, jpeg, both] = stores(LARKMOOR).bursts;
  // 3000 MB, 12 a second, 250 MB/s: raw 3000/(336 − 250) = 34.9 s; JPEG is under 250; both 3000/218.
  expect(raw?.burstS).toBeCloseTo(34.88, 2);
  expect(jpeg?.burstS).toBe(Infinity);
  expect(both?.burstS).toBeCloseTo(13.76, 2);
  expect(jpeg && burstInWords(jpeg)).toMatch(/keeps up/);
  expect(both && burstInWords(both)).toBe('13.8 s, 165 frames; empty again in 12 s');
});

test('cold asks for more batteries', () => {
  const many = { ...LARKMOOR, kit: { ...LARKMOOR.kit, frames: 3000 } };
  expect(storesOf(many, 20).batteries.need).toBe(4);
  // At −20 °C half of the 1200 frames: 3750/600.
  expect(storesOf(many, -20).batteries.need).toBe(7);
});

test('cold kit in damp warm air fogs, and says for how long', () => {
  const damp = weatherOf(withAir({ temperatureC: 30, humidityPct: 70, kitC: 18 }));
  expect(damp.fogs).toBe(true);
  // Dew point 23.93 °C; 25 minutes · ln((30 − 18)/(30 − 23.93)) = 17.05 minutes.
  expect(damp.notes.find(({ id }) => id === 'fog')?.head).toBe('The lens fogs for 18 minutes');
  expect(weatherOf(withAir({})).fogs).toBe(false);
});

test('rain names what is not sealed; frost asks to seal the kit before going in', () => {
  const wet = weatherOf(withAir({ rainMmH: 3 }));
  expect(wet.notes.find(({ id }) => id === 'rain')?.why).toMatch(/not sealed: Second body/);
  const frost = weatherOf(withAir({ temperatureC: -10, windMs: 8 }));
  expect(frost.fogsIndoors).toBe(true);
  const indoors = ({ notes }: ReturnType<typeof weatherOf>) =>
    notes.find(({ id }) => id === 'indoors');
  expect(indoors(frost)?.why).toMatch(/would gather water in a warm room/);
  const mild = weatherOf(withAir({ temperatureC: 20 }));
  expect(indoors(mild)).toMatchObject({ head: 'Going in needs no care', act: false });
  expect(indoors(mild)?.why).toMatch(/stays above the dew point/);
  expect(frost.notes.map(({ id }) => id)).toContain('cold');
});

test('thunder keeps one in for thirty minutes', () => {
  const { notes } = weatherOf(withAir({ thunderLocal: '2027-04-16T19:10' }));
  expect(notes[0]).toMatchObject({ id: 'lightning', head: 'Stay inside until 19:40' });
});

test('a forecast that is followed gives the hours’ weather; hours it does not cover are set by hand', () => {
  const hour = (time: string, temperatureC: number) => ({
    time,
    cloudLow: 0,
    cloud: 0.5,
    cloudHigh: 1,
    windMs: 4,
    temperatureC,
    humidityPct: 80,
    rainMmH: 0,
    visibilityKm: 20,
  });
  const forecast = {
    version: 1 as const,
    simulated: true,
    weather: 'settled' as const,
    latitudeDeg: 53,
    longitudeDeg: -2,
    date: '2027-04-16',
    hours: [
      hour('2027-04-16T17:00:00Z', 11),
      hour('2027-04-16T18:00:00Z', 9),
      hour('2027-04-16T19:00:00Z', 7),
    ],
  };
  const light = { ...LARKMOOR.light, skyFrom: 'forecast' as const, forecast };
  expect(weatherOf({ ...LARKMOOR, light })).toMatchObject({ from: 'forecast', coldestC: 7 });
  const other = {
    ...LARKMOOR,
    light,
    startLocal: '2027-05-01T10:00',
    endLocal: '2027-05-01T12:00',
  };
  expect(airThrough(other)).toMatchObject({ from: 'hand', hours: [LARKMOOR.air] });
});

test('the packing list follows from the rest: what is lacking comes first', () => {
  const wet = { ...withAir({ rainMmH: 2, temperatureC: -2, windMs: 6 }) };
  const bare = {
    ...wet,
    kit: { ...wet.kit, bag: [], bodyId: 'full-frame-24', lensId: '70-200-2.8' },
  };
  const { second: _none, ...kit } = bare.kit;
  const lines = listOf({ ...bare, kit });
  const keys = lines.map(({ key }) => key);
  expect(lines[0]?.lacking).toBe(true);
  expect(keys).toEqual(
    expect.arrayContaining([
      'cards',
      'batteries',
      'rain-cover',
      'sealed-bag',
      'gloves',
      'head-lamp',
    ]),
  );
  expect(listOf(LARKMOOR).map(({ key }) => key)).not.toContain('rain-cover');
  expect(new Set(keys).size).toBe(keys.length);
});

test('a tripod where tripods are forbidden is to stay; lines of one’s own are on every list', () => {
  const banned = {
    ...ALDER_REACH,
    brief: { ...ALDER_REACH.brief, forbidden: ['tripod' as const] },
  };
  const lines = listOf(banned, ['Keys']);
  expect(lines.find(({ key }) => key === 'own-tripod')?.why).toMatch(/forbidden/);
  expect(lines.at(-1)).toMatchObject({ text: 'Keys', why: 'always' });
});

test('what is ticked off is counted among what is on the list', () => {
  const lines = listOf(LARKMOOR);
  expect(packedInWords(lines, [])).toBe(`0 of ${lines.length} packed`);
  expect(packedInWords(lines, ['cards', 'long gone'])).toBe(`1 of ${lines.length} packed`);
  expect(
    packedInWords(
      lines,
      lines.map(({ key }) => key),
    ),
  ).toBe(`All ${lines.length} packed`);
});

test('a pan by day without a filter in the bag lacks one on the packing list; with one it is there', () => {
  const tern = TERN_WATER;
  const bare = {
    ...tern,
    kit: { ...tern.kit, bag: tern.kit.bag.filter(({ kind }) => kind !== 'filter') },
  };
  const lineOf = (shoot: Shoot) => listOf(shoot).find(({ text }) => /Neutral filter/.test(text));
  expect(lineOf(tern)).toMatchObject({ lacking: false });
  expect(lineOf(bare)).toMatchObject({
    lacking: true,
    why: expect.stringMatching(/slow times by day/),
  });
  const still = {
    ...bare,
    shots: bare.shots.filter(({ technique }) => technique !== 'pan' && technique !== 'streak'),
  };
  expect(lineOf(still)).toBeUndefined();
});

test('weather set by hand holds though a forecast lies beside it, until that is followed', () => {
  const shoot = LARKMOOR;
  const hour = {
    ...{ cloudLow: 0.9, cloud: 0.9, cloudHigh: 1, windMs: 9, temperatureC: -12 },
    ...{ humidityPct: 90, rainMmH: 4, visibilityKm: 5 },
  };
  const hours = Array.from({ length: 30 }, (_, i) => ({
    ...hour,
    time: new Date(Date.parse('2027-04-16T06:00:00Z') + i * 3_600_000).toISOString(),
  }));
  const forecast = {
    ...{ version: 1 as const, simulated: true as const, weather: 'snow' as const },
    ...{ latitudeDeg: 53, longitudeDeg: -2, date: '2027-04-16', hours },
  };
  const by = (skyFrom: 'hand' | 'forecast') =>
    weatherOf({ ...shoot, light: { ...shoot.light, forecast, skyFrom } });
  expect(by('hand').coldestC).toBe(shoot.air.temperatureC);
  expect(by('hand').rains).toBe(false);
  expect(by('forecast').coldestC).toBe(-12);
  expect(by('forecast').rains).toBe(true);
});

test('who is to be found, or an order of events, asks for paper; neither asks for none', () => {
  const keys = (change: Partial<Shoot>) => listOf({ ...LARKMOOR, ...change }).map(({ key }) => key);
  const person = { id: 'p', name: 'Number 9' };
  const event = TERN_WATER.events[0] as Shoot['events'][number];
  expect(keys({ people: [], events: [] })).not.toContain('order');
  expect(keys({ people: [person], events: [] })).toContain('order');
  const { markId: _mark, shotId: _shot, pinnedTo: _pinned, ...anywhere } = event;
  expect(keys({ people: [], events: [{ ...anywhere, entries: [] }] })).toContain('order');
  expect(keys({ brief: { ...LARKMOOR.brief, access: 'Club manager' } })).toContain('leave');
});
