export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { LogStep as default } from '@/features/log/LogStep';
