export { Address as default } from '@/features/shoot/Address';
export { LightScreen as Step } from '@/features/light/LightScreen';
