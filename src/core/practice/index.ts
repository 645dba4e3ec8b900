export { handOf, type Between, type Hand } from './hand';
export { rungAfter } from './ladder';
export { burstChance, pressEarly, type BurstAsked } from './press';
export { judgeSwing, type Aim, type AimAt, type CameraSwing } from './swing';
