export { ShootScreen as default } from '@/features/plan/ShootScreen';
