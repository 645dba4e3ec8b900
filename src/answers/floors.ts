import type { OwnFloors } from '@/presets/classes';
import type { Shoot } from '@/records/shoot';

/** Floors in force: one's own, and what earlier shoots taught this plan; the faster where both say one. */
export function floorsOf({
  kit,
  choice,
}: Pick<Shoot, 'kit'> & { readonly choice: Pick<Shoot['choice'], 'floors'> }):
  OwnFloors | undefined {
  const { floors: own = {} } = kit;
  const { floors: taught } = choice;
  if (!taught) return kit.floors;
  const faster = Object.entries(taught).map(
    ([id, shutterS]) => [id, Math.min(shutterS, own[id] ?? Infinity)] as const,
  );
  return { ...own, ...Object.fromEntries(faster) };
}
