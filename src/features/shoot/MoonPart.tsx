import { useMemo } from 'react';
import { View } from 'react-native';
import { hasNight, moonOver } from '@/answers/moon';
import { Heading, Text } from '@/ui/Text';
import { moonInWords, moonNowInWords } from './moon-words';
import { useShown } from './open-shoot';

/** The moon of the minute looked at, where a shoot has hours without the sun. */
export function MoonPart() {
  const { shoot, atMs, clock } = useShown('shoot', 'atMs', 'clock');
  const { place, startLocal, endLocal, light } = shoot;
  const night = useMemo(
    () => hasNight({ place, startLocal, endLocal }),
    [place, startLocal, endLocal],
  );
  const moon = useMemo(
    () => (night && !light.indoors ? moonOver({ place }, atMs) : undefined),
    [night, light.indoors, place, atMs],
  );
  if (!moon) return null;
  return (
    <View role="region" aria-label="The moon" className="gap-1">
      <Heading level={2} kind="figure">
        The moon
      </Heading>
      <Text>{moonInWords(moon, clock)}</Text>
      <Text kind="small">{moonNowInWords(moon, clock(atMs))}</Text>
      <Text kind="small" ink="quiet">
        It is left out of the settings: cloud and trees take most of it.
      </Text>
    </View>
  );
}
