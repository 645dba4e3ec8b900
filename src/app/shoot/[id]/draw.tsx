export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { DrawStep as default } from '@/features/draw/DrawStep';
