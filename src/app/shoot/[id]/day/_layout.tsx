export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { DayScreen as default } from '@/features/day/DayScreen';
