export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { GroundStep as default } from '@/features/ground/GroundStep';
