export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { LogStep as default } from '@/features/log/LogStep';
