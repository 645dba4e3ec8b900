export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { BriefStep as default } from '@/features/brief/BriefStep';
