export { DrawStep as default } from '@/features/draw/DrawStep';
