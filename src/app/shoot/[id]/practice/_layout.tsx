export { Parts as default } from '@/features/shoot/Address';
export { PracticeScreen as Step } from '@/features/practice/PracticeScreen';
