export { Parts as default } from '@/features/shoot/Address';
export { DayScreen as Step } from '@/features/day/DayScreen';
