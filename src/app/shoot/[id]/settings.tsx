export { StepTrouble as ErrorBoundary } from '@/features/shoot/ShootTrouble';
export { SettingsStep as default } from '@/features/settings/SettingsStep';
