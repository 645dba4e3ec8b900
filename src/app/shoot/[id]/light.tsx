export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { LightScreen as default } from '@/features/light/LightScreen';
