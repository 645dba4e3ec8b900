export { DayStep as default } from '@/features/day/DayStep';
