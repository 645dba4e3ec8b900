export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { PracticeScreen as default } from '@/features/practice/PracticeScreen';
