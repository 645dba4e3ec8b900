export { StepTrouble as ErrorBoundary } from '@/features/plan/ShootTrouble';
export { SettingsStep as default } from '@/features/settings/SettingsStep';
