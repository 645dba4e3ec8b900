export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { NotFoundScreen as default } from '@/features/root/NotFoundScreen';
