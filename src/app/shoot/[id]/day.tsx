export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { DayStep as default } from '@/features/day/DayStep';
