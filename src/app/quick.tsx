export { QuickScreen as default } from '@/features/quick/QuickScreen';
