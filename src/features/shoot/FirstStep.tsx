import { Redirect } from 'expo-router';
import { useState } from 'react';
import { useIsWide } from '@/ui/use-shape';
import { useLooked } from './open-shoot';

/** The step a shoot opens on: the ground, and on a phone during the shoot the field. */
export function FirstStep() {
  const { shoot, hours } = useLooked('shoot', 'hours');
  const wide = useIsWide();
  const [nowMs] = useState(() => Date.now());
  const during = nowMs >= hours.startMs && nowMs <= hours.endMs;
  return <Redirect href={`/shoot/${shoot.id}/${during && !wide ? 'field' : 'ground'}`} />;
}
