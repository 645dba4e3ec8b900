export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { KitStep as default } from '@/features/kit/KitStep';
