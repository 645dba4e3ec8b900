export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { BriefStep as default } from '@/features/brief/BriefStep';
