export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { SettingsScreen as default } from '@/features/settings/SettingsScreen';
