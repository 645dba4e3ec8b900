import { Redirect, useLocalSearchParams } from 'expo-router';

export default function OpenShoot() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/shoot/${id}/ground`} />;
}
