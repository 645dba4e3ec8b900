export { KitStep as default } from '@/features/kit/KitStep';
