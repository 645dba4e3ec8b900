export { Address as default } from '@/features/shoot/Address';
export { FieldScreen as Step } from '@/features/field/FieldScreen';
