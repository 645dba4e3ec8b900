export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { DrawStep as default } from '@/features/draw/DrawStep';
