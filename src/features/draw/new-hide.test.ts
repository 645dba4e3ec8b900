import { insidePolygon, sightBlocks, obstaclesOf, point3 } from '@/core';
import { throughInWords } from '@/features/shoot/frame-notes';
import { alongSight } from '@/answers/along-sight';
import { viewOf } from '@/answers/view';
import { ALDER_REACH } from '@/demo/alder-reach';
import { HIDE_FORMS, HIDES } from '@/presets/hides';
import { shootSchema, type Feature, type Shoot } from '@/records/shoot';
import { figuresOf } from '@/features/ground/figures';
import { answerAt } from '@/answers/answer';
import { msOf } from '@/records/times';
import { newHide, windowMore } from './new-hide';
import { putDown } from './put';

const AT = { x: 6, y: -20 };
type Hide = Extract<Feature, { kind: 'hide' }>;
const hideIn = (shoot: Shoot, id: string) =>
  shoot.features.find((feature): feature is Hide => feature.id === id) as Hide;

test.each(HIDE_FORMS)(
  'a %s is put down with a seat that sees the mark out of its window',
  (form) => {
    const { shoot } = putDown(ALDER_REACH, form, 'new', [AT]);
    const hide = hideIn(shoot, 'new');
    const seat = shoot.positions.find(({ id }) => id === 'new-seat');
    if (!seat) throw new Error('must have a seat');
    expect(shoot.choice.positionId).toBe('new-seat');
    expect(seat.carriedBy).toBe('new');
    expect(insidePolygon(seat, hide.points)).toBe(true);
    const { sillM, heightM } = HIDES[form].window;
    expect(seat.cameraHeightM).toBeCloseTo(sillM + heightM / 2, 2);
    const mark = shoot.marks.find(({ id }) => id === shoot.choice.markId);
    const to = point3(mark?.x ?? 0, mark?.y ?? 0, seat.cameraHeightM);
    expect(sightBlocks(point3(seat.x, seat.y, seat.cameraHeightM), to, obstaclesOf(hide))).toEqual(
      [],
    );
    expect(shootSchema.safeParse(shoot).success).toBe(true);
  },
);

test('a hide put round somebody’s place takes that as its seat', () => {
  const at = ALDER_REACH.positions[2];
  if (!at) throw new Error('must have a third position');
  const { shoot } = putDown(ALDER_REACH, 'tent', 'new', [at]);
  expect(shoot.positions).toHaveLength(ALDER_REACH.positions.length);
  expect(shoot.positions[2]).toMatchObject({ id: at.id, carriedBy: 'new' });
});

test('a window more goes into a wall that has none', () => {
  const hide = newHide('tent', { shoot: ALDER_REACH, id: 'h', at: AT, name: 'Tent' });
  const second = windowMore(hide);
  expect(second).toEqual({ ...hide.windows?.[0], wall: 0 });
  expect(windowMore({ ...hide, windows: [...(hide.windows ?? []), second] }).wall).toBe(1);
  const { windows: _none, ...bare } = hide;
  expect(windowMore(bare)).toEqual({ ...HIDES.hide.window, wall: 2, asideM: 0 });
});

test('glass costs light that the settings count, and says how it is looked through', () => {
  const seen = (form: (typeof HIDE_FORMS)[number]) => {
    const { shoot } = putDown(ALDER_REACH, form, 'new', [AT]);
    const view = viewOf(shoot);
    if (!view.ok) throw new Error(JSON.stringify(view.trouble));
    const answer = answerAt(view.view, shoot, msOf(shoot.atLocal, shoot.place.timeZone));
    return { ...view, shoot, answer };
  };
  const [open, house, tent] = [seen('hide'), seen('house'), seen('tent')];
  expect(open.view.through).toMatchObject({ hide: 'Hide 2', lossStops: 0 });
  expect(throughInWords(open.view)).toBeUndefined();
  // Two panes, squarely: 0.24 stops, and what the settings let in is that much more.
  expect(house.view.through?.offSquareDeg).toBeLessThan(3);
  expect(house.view.lossStops - house.view.extensionStops).toBeCloseTo(0.237, 2);
  expect(throughInWords(house.view)).toBe(
    'Through glass, 0° off its square: hood against it and the room dark, or it reflects. It costs 0.2 stop; the settings count it.',
  );
  expect(throughInWords(tent.view)).toMatch(/^Through the net of Tent hide: lens in its slit/);
  const figures = figuresOf(open.view, open.answer, alongSight(open.view, open.shoot.features, 5));
  // 0.6 m either side at 0.3 m: 63° each way. The lens at 1.18 m: 0.18 m down to the sill, 0.17 m up.
  expect(figures.find(({ name }) => name === 'Swings in the window')?.value).toMatch(
    /^\d+° \w+ to \d+° \w+, 31° down to 30° up$/,
  );
});

test('a mark that a wall hides is in the way of nothing else', () => {
  const { shoot } = putDown(ALDER_REACH, 'tent', 'new', [AT]);
  const behind = {
    ...shoot,
    marks: shoot.marks.map((mark) => ({ ...mark, x: AT.x + 4, y: AT.y - 30 })),
  };
  const view = viewOf(behind);
  if (!view.ok) throw new Error('must be seen');
  const [block, ...others] = alongSight(view.view, behind.features, 5).blocks;
  expect(block).toMatchObject({ fromWithin: true });
  expect(others).toEqual([]);
  expect(view.view.through).toBeUndefined();
});
