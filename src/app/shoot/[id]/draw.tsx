export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { DrawScreen as default } from '@/features/draw/DrawScreen';
