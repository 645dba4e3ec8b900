export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { LightStep as default } from '@/features/light/LightStep';
