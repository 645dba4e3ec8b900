export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { BriefScreen as default } from '@/features/brief/BriefScreen';
