export { Parts as default } from '@/features/shoot/Address';
export { SettingsScreen as Step } from '@/features/settings/SettingsScreen';
