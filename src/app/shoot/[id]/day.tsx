export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { DayStep as default } from '@/features/day/DayStep';
