export { ShootsScreen as default } from '@/features/shoots/ShootsScreen';
