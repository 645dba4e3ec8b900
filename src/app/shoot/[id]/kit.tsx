export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { KitStep as default } from '@/features/kit/KitStep';
