export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { PracticeHome as default } from '@/features/practice/PracticeHome';
