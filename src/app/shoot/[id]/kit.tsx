export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { KitStep as default } from '@/features/kit/KitStep';
