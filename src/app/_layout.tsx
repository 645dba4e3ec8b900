import '../global.css';
import { RootLayout } from '@/features/root/RootLayout';

export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';

export default RootLayout;
