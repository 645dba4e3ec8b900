export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { QuickScreen as default } from '@/features/quick/QuickScreen';
