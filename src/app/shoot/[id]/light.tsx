export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { LightStep as default } from '@/features/light/LightStep';
