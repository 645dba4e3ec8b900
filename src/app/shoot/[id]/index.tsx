import { Redirect, useLocalSearchParams } from 'expo-router';

export { PageTrouble as ErrorBoundary } from '@/features/root/PageTrouble';

export default function OpenShoot() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/shoot/${id}/ground`} />;
}
