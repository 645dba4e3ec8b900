import { useMemo } from 'react';
import { View } from 'react-native';
import { mistHours } from '@/answers/mist';
import { coolHours } from '@/answers/cool-hours';
import { coolInWords, mistInWords } from '@/features/shoot/mist-words';
import { useShown } from '@/features/shoot/open-shoot';
import { Heading, Text } from '@/ui/Text';

/** Whether mist hangs about the sunrise, hour by hour; nothing for a shoot without a sunrise. */
export function MorningPart() {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { air, light, place, startLocal, endLocal } = shoot;
  const hours = useMemo(
    () => mistHours({ air, light, place, startLocal, endLocal }),
    [air, light, place, startLocal, endLocal],
  );
  if (hours.length === 0) return null;
  const byHand = light.skyFrom === 'hand';
  return (
    <View role="region" aria-label="Mist" className="gap-1">
      <Heading level={2} kind="figure">
        Mist
      </Heading>
      {mistInWords(hours, clock).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      <Text kind="small" ink="quiet">
        {`By dew point and wind, ${byHand ? 'as the air is set by hand in Kit' : light.forecast?.simulated ? 'by the simulated forecast' : 'by the forecast'}; water and hollows hold it longest.`}
      </Text>
    </View>
  );
}

/** When butterflies sit; nothing where none is met. */
export function ButterflyPart() {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { marks, subjects, air, light, place, startLocal, endLocal } = shoot;
  const hours = useMemo(
    () => coolHours({ marks, subjects, air, light, place, startLocal, endLocal }),
    [marks, subjects, air, light, place, startLocal, endLocal],
  );
  if (hours.length === 0) return null;
  return (
    <View role="region" aria-label="Butterflies" className="gap-1">
      <Heading level={2} kind="figure">
        Butterflies
      </Heading>
      <Text>{coolInWords(hours, clock)}</Text>
      <Text kind="small" ink="quiet">
        Up to 16 °C and 3 m/s: common practice. Don’t chase them; wait at a flower.
      </Text>
    </View>
  );
}
