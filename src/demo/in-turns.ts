import { GROUND_TEMPLATES } from '@/presets/grounds';
import { inTurns, setUpSchemas } from '@/records/set-up';
import type { Shoot } from '@/records/shoot';
import { DEMO_SHOOTS } from './index';
import { ALDER_REACH } from './alder-reach';
import { LARKMOOR } from './larkmoor';
import { TERN_WATER } from './tern-water';

/** The demo's shoots, made one a turn with what they are made of: the page is being drawn meanwhile. */
export async function demoInTurns(): Promise<readonly Shoot[]> {
  await setUpSchemas();
  await inTurns([() => GROUND_TEMPLATES, () => LARKMOOR, () => ALDER_REACH, () => TERN_WATER]);
  return DEMO_SHOOTS;
}
