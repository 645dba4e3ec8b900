export { LogStep as default } from '@/features/log/LogStep';
