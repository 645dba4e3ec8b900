import { TERN_WATER } from '@/demo/tern-water';
import { lensLike, takenInHand, withItem } from './edit-kit';
import { shootSchema } from './shoot';

describe('what is taken in hand', () => {
  const { kit } = TERN_WATER;
  const { bodyId, lensId, converter } = kit;
  const strap = { bodyId: 'own-spare', lensId: 'own-70-200', converter: 1 } as const;

  test('the body on the other strap, with its lens, changes places with what was in the hands', () => {
    const taken = takenInHand(kit, strap);
    expect(taken).toMatchObject({ ...strap, second: { bodyId, lensId, converter } });
    // Its zoom stands within it.
    expect(taken.focalMm).toBe(200);
    expect(takenInHand(taken, { bodyId, lensId, converter }).second).toEqual(strap);
  });

  test('a lens from the other body changes places with the one it displaces', () => {
    const taken = takenInHand(kit, { ...strap, bodyId });
    expect(taken).toMatchObject({ bodyId, lensId: strap.lensId });
    expect(taken.second).toEqual({ bodyId: strap.bodyId, lensId, converter });
  });

  test('the other body with the lens in the hands: both change bodies', () => {
    const taken = takenInHand(kit, { bodyId: strap.bodyId, lensId, converter });
    expect(taken).toMatchObject({ bodyId: strap.bodyId, lensId });
    expect(taken.second).toEqual({ bodyId, lensId: strap.lensId, converter: 1 });
  });

  test('a third lens leaves the other strap alone', () => {
    const third = withItem(kit, lensLike('300-4', 'own-third'));
    const taken = takenInHand(third, { bodyId, lensId: 'own-third', converter: 1 });
    expect(taken).toMatchObject({ lensId: 'own-third', focalMm: 300, second: strap });
    expect(taken.bag).toEqual(third.bag);
  });

  test('a lens in no bag is put into it, unless it is the one taken or all there is', () => {
    const odd = { ...kit, lensId: '300-2.8', focalMm: 300 };
    const laid = lensLike('300-2.8', 'own-laid-300-2-8');
    const taken = takenInHand(odd, strap);
    expect(taken.bag).toEqual([...kit.bag, laid]);
    expect(shootSchema.safeParse({ ...TERN_WATER, kit: taken }).success).toBe(true);
    expect(takenInHand(odd, { bodyId, lensId: '300-2.8', converter: 1 }).bag).toEqual(kit.bag);
    const bare = { ...odd, bag: kit.bag.filter(({ kind }) => kind !== 'lens') };
    expect(takenInHand(bare, { ...strap, lensId: '400-2.8' }).bag).toEqual(bare.bag);
  });
});
