export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { LightStep as default } from '@/features/light/LightStep';
