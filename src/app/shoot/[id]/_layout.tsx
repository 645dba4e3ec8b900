export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { ShootScreen as default } from '@/features/shoot/ShootScreen';
