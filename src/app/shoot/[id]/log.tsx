export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { LogStep as default } from '@/features/log/LogStep';
