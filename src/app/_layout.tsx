import '../global.css';
import { RootLayout } from '@/features/root/RootLayout';

export default RootLayout;
