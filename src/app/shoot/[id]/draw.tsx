export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { DrawStep as default } from '@/features/draw/DrawStep';
