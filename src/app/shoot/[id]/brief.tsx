export { BriefStep as default } from '@/features/brief/BriefStep';
