export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { ShootsScreen as default } from '@/features/shoots/ShootsScreen';
