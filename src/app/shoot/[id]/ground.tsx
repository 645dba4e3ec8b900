export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { GroundStep as default } from '@/features/ground/GroundStep';
