import { framedFrom } from '@/core';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { lensLike } from '@/records/edit-kit';
import { shootSchema, type Shoot } from '@/records/shoot';
import { combinationsOf } from './bag';
import { dayRequestOf, pictureKeyOf, pictureOf } from './day-request';
import { asDayPlans, bestWorn, lookingAt } from './picture-view';
import { viewOf } from './view';

const { bag } = TERN_WATER.kit;

test.each([TERN_WATER, LARKMOOR])(
  'what is taken in hand is what the day was planned with, for every event from every place ($title)',
  (shoot) => {
    const request = dayRequestOf(shoot);
    const names = combinationsOf(shoot.kit).map(({ name }) => name);
    for (const event of shoot.events) {
      const { mark, shot, orientation } = request?.pictures[pictureKeyOf(shoot, event)] ?? {};
      if (!mark || !shot) throw new Error('must have a picture');
      for (const position of request?.positions ?? []) {
        const wanted = { heightM: mark.subject.heightM, fill: shot.fill, orientation };
        const { index } = framedFrom(request?.shooters[0]?.kits ?? [], position, mark, wanted);
        const worn = bestWorn(shoot, pictureOf(shoot, event), position.id);
        expect(worn?.name).toBe(names[index]);
      }
    }
  },
);

test.each([TERN_WATER, LARKMOOR])(
  'taking it in hand leaves the day as it was planned, and the shoot whole ($title)',
  (shoot) => {
    const before = JSON.stringify(dayRequestOf(shoot)?.shooters);
    for (const event of shoot.events) {
      for (const { id } of shoot.positions) {
        const taken = asDayPlans(shoot, pictureOf(shoot, event), id);
        const worn = bestWorn(shoot, pictureOf(shoot, event), id);
        expect(taken.kit).toMatchObject(worn?.hands ?? {});
        expect(taken.choice).toMatchObject({ positionId: id, held: {} });
        expect(JSON.stringify(dayRequestOf(taken)?.shooters)).toBe(before);
        expect(shootSchema.safeParse(taken).success).toBe(true);
      }
    }
  },
);

const eventOf = (shoot: Shoot, shotId: string) => {
  const event = shoot.events.find((one) => one.shotId === shotId);
  if (!event) throw new Error(`${shotId}: must be given by an event`);
  return event;
};

test('a lens in the hands that is in no bag goes into it when another is taken', () => {
  const odd: Shoot = {
    ...TERN_WATER,
    kit: { ...TERN_WATER.kit, lensId: '300-4', focalMm: 300, converter: 1 },
  };
  const event = eventOf(odd, TERN_WATER.shots[0]?.id ?? '');
  const taken = TERN_WATER.positions
    .map(({ id }) => asDayPlans(odd, pictureOf(odd, event), id))
    .find(({ kit }) => kit.lensId !== '300-4');
  expect(taken?.kit.bag).toEqual([...bag, lensLike('300-4', 'own-laid-300-4')]);
  // In no bag at all it is all there is.
  const bare: Shoot = { ...odd, kit: { ...odd.kit, bodyId: 'full-frame-24', bag: [] } };
  const { second: _none, ...kit } = bare.kit;
  const alone = asDayPlans({ ...bare, kit }, pictureOf(bare, event), 'bridge');
  expect(alone.kit).toMatchObject({ lensId: '300-4', bag: [] });
});

test('the zoom stands at the framing wanted; without a promised shot, at one well filled', () => {
  const event = TERN_WATER.events[0];
  if (!event) throw new Error('must have an event');
  const plain = { shot: undefined, markId: pictureOf(TERN_WATER, event).markId };
  const fills = TERN_WATER.positions.flatMap(({ id }) => {
    const seen = viewOf(asDayPlans(TERN_WATER, plain, id));
    return seen.ok ? [seen.view.fill] : [];
  });
  expect(fills.some((fill) => Math.abs(fill - 0.6) < 0.02)).toBe(true);
  // Looked at with what is in the hands, the kit is left alone.
  expect(lookingAt(TERN_WATER, plain, 'bridge').kit).toBe(TERN_WATER.kit);
});
