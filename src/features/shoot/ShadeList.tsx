import { View } from 'react-native';
import { isSunless } from '@/core';
import { Heading, Text } from '@/ui/Text';
import { useShown } from './open-shoot';
import { shadeInWords } from './shade-words';
import { useShades } from './use-shades';

/** Every shade on the mark in hand in these hours: whose it is, when, and until which day of the year. */
export function ShadeList() {
  const { shoot, seen, hours, clock, setup } = useShown('shoot', 'seen', 'hours', 'clock', 'setup');
  const shades = useShades();
  if (!seen.ok || isSunless(setup.light)) return null;
  const title = `Shade on ${seen.view.mark.name}`;
  return (
    <View role="region" aria-label={title} className="gap-1">
      <Heading level={2} kind="figure">
        {title}
      </Heading>
      {shades === undefined ? <Text role="status">Working it out…</Text> : null}
      {shades?.length === 0 ? <Text>None in these hours while the sun is up.</Text> : null}
      <View role="list" aria-label={title}>
        {(shades ?? []).map(({ name, ...shade }) => (
          <View key={name} role="listitem" className="border-b border-line py-2">
            <Text kind="strong">{name}</Text>
            <Text kind="small">
              {`${shadeInWords(shade, hours, clock, shoot.startLocal.slice(0, 10))}.`}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}
