export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { FieldStep as default } from '@/features/field/FieldStep';
