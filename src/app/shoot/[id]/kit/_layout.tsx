export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { KitScreen as default } from '@/features/kit/KitScreen';
