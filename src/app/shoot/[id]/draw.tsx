export { Address as default } from '@/features/shoot/Address';
export { DrawScreen as Step } from '@/features/draw/DrawScreen';
