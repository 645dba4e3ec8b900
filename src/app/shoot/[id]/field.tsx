export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { FieldScreen as default } from '@/features/field/FieldScreen';
