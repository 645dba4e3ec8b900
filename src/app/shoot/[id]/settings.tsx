export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';
export { SettingsStep as default } from '@/features/settings/SettingsStep';
