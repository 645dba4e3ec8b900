import type { Shoot } from '@/records/shoot';
import { ALDER_REACH } from './alder-reach';
import { LARKMOOR } from './larkmoor';
import { TERN_WATER } from './tern-water';

/** The invented scenarios that ship with the app. */
export const DEMO_SHOOTS: readonly Shoot[] = [LARKMOOR, ALDER_REACH, TERN_WATER];
