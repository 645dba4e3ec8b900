export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { FieldStep as default } from '@/features/field/FieldStep';
