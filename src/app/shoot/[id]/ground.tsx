export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { GroundScreen as default } from '@/features/ground/GroundScreen';
