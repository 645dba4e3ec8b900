export { SettingsStep as default } from '@/features/settings/SettingsStep';
