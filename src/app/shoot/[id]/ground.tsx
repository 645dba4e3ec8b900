export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { GroundStep as default } from '@/features/ground/GroundStep';
