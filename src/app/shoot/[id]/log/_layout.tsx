export { Parts as default } from '@/features/shoot/Address';
export { LogScreen as Step } from '@/features/log/LogScreen';
