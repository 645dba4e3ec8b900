export { Address as default } from '@/features/shoot/Address';
export { GroundScreen as Step } from '@/features/ground/GroundScreen';
