export { Parts as default } from '@/features/shoot/Address';
export { KitScreen as Step } from '@/features/kit/KitScreen';
