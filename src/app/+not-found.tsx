export { NotFoundScreen as default } from '@/features/root/NotFoundScreen';
