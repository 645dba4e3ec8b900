export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { BriefStep as default } from '@/features/brief/BriefStep';
