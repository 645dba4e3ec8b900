export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { DayStep as default } from '@/features/day/DayStep';
