import { MOST_SHOOTERS, type Shooter } from './shooter';
import type { Shoot } from './shoot';

/** Changes of who shoots a day together. */

/** The shoot with one more to shoot with; the one of now gets a name, once. @param kit theirs, to begin with */
export function withShooter(
  shoot: Shoot,
  { own, name }: { readonly own: string; readonly name: string },
  newId: () => string,
): Shoot {
  const { shooters, choice, kit } = shoot;
  if (shooters.length >= MOST_SHOOTERS) return shoot;
  const other: Shooter = { id: newId(), name, kit: { ...kit, packed: [] } };
  if (shooters.length > 0) return { ...shoot, shooters: [...shooters, other] };
  const mine = { id: newId(), name: own };
  return { ...shoot, shooters: [mine, other], choice: { ...choice, shooterId: mine.id } };
}

/** The shoot with what is said of a shooter changed. */
export const withShooterChanged = (
  shoot: Shoot,
  id: string,
  how: (shooter: Shooter) => Shooter,
): Shoot => ({
  ...shoot,
  shooters: shoot.shooters.map((entry) => (entry.id === id ? how(entry) : entry)),
});

/** The shoot as another of them: their bag in hand, their day open. */
export function asShooter(shoot: Shoot, id: string): Shoot {
  const { shooters, choice, kit } = shoot;
  const next = shooters.find((entry) => entry.id === id);
  if (!next?.kit) return shoot;
  return {
    ...shoot,
    kit: next.kit,
    shooters: shooters.map((entry): Shooter => {
      const { kit: _theirs, ...rest } = entry;
      if (entry.id === choice.shooterId) return { ...rest, kit };
      return entry.id === id ? rest : entry;
    }),
    choice: { ...choice, shooterId: id },
  };
}

/** The shoot without one of them; what only they were to shoot anyone may. Of two none is left: one shoots alone. */
export function withoutShooter(shoot: Shoot, id: string): Shoot {
  const others = shoot.shooters.filter((entry) => entry.id !== id);
  const [first] = others;
  if (!first || others.length === shoot.shooters.length) return shoot;
  const left = shoot.choice.shooterId === id ? asShooter(shoot, first.id) : shoot;
  const free = left.events.map(({ shooterId, ...event }) =>
    shooterId && shooterId !== id && others.length > 1 ? { ...event, shooterId } : event,
  );
  if (others.length > 1) {
    const shooters = left.shooters.filter((entry) => entry.id !== id);
    return { ...left, events: free, shooters };
  }
  const { shooterId: _alone, ...choice } = left.choice;
  return { ...left, events: free, shooters: [], choice };
}
