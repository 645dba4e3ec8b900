export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { FieldStep as default } from '@/features/field/FieldStep';
