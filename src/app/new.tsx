export { NewShootScreen as default } from '@/features/brief/NewShootScreen';
