export { GroundStep as default } from '@/features/ground/GroundStep';
