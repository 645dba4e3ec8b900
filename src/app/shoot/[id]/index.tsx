export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { FirstStep as default } from '@/features/shoot/FirstStep';
