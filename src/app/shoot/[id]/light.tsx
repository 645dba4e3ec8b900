export { LightStep as default } from '@/features/light/LightStep';
