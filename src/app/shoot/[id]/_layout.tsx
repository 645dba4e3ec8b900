import { ShootScreen } from '@/features/shoot/ShootScreen';
import { stepScreen, type StepScreens } from '@/features/shoot/step-screens';

export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';

/** Each step is fetched with its address. */
const SCREENS: StepScreens = {
  brief: stepScreen(() => import('./brief')),
  ground: stepScreen(() => import('./ground')),
  draw: stepScreen(() => import('./draw')),
  light: stepScreen(() => import('./light')),
  settings: stepScreen(() => import('./settings/_layout')),
  kit: stepScreen(() => import('./kit/_layout')),
  day: stepScreen(() => import('./day/_layout')),
  field: stepScreen(() => import('./field')),
  log: stepScreen(() => import('./log/_layout')),
  practice: stepScreen(() => import('./practice/_layout')),
};

export default function Shoot() {
  return <ShootScreen screens={SCREENS} />;
}
