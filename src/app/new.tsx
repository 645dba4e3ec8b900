export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { NewShootScreen as default } from '@/features/brief/NewShootScreen';
