export { Address as default } from '@/features/shoot/Address';
export { BriefScreen as Step } from '@/features/brief/BriefScreen';
