export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { LogScreen as default } from '@/features/log/LogScreen';
