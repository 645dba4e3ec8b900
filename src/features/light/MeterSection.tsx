import { useState } from 'react';
import { View } from 'react-native';
import { whiteScene, type WhiteSchool } from '@/core';
import { fooledStops } from '@/answers/fooled';
import { METER_SCENES } from '@/presets/meter-scenes';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Text } from '@/ui/Text';

const OPTIONS = METER_SCENES.map(({ id, name }) => ({ value: id, label: name }));

/** "+1⅓", "−⅔", "0": stops in thirds, as a compensation dial is marked. */
export function thirdsInWords(value: number): string {
  const thirds = Math.round(Math.abs(value) * 3);
  if (thirds === 0) return '0';
  const rest = ['', '⅓', '⅔'][thirds % 3] ?? '';
  const whole = Math.floor(thirds / 3);
  return `${value < 0 ? '−' : '+'}${whole || rest === '' ? whole : ''}${rest}`;
}

const SCHOOLS: readonly {
  readonly school: WhiteSchool;
  readonly name: string;
  readonly why: string;
}[] = [
  {
    school: 'brightness',
    name: 'Keep it white',
    why: 'the meter’s own rule for white scenes: snow looks like snow, highlights may clip',
  },
  {
    school: 'texture',
    name: 'Hold its texture',
    why: 'a little under: every grain stays, and it is brightened afterwards',
  },
];

/** How far automatic exposure would be fooled by a scene, and what to dial against it. */
export function MeterSection() {
  const [id, setId] = useState<string>(METER_SCENES[0]?.id ?? '');
  const scene = METER_SCENES.find((entry) => entry.id === id) ?? METER_SCENES[0];
  const [share, setShare] = useState(scene?.share ?? 0.7);
  if (!scene) return null;
  const error = fooledStops(scene, share);
  const choose = (next: string) => {
    setId(next);
    setShare(METER_SCENES.find((entry) => entry.id === next)?.share ?? 0.7);
  };
  return (
    <View className="gap-3">
      <Picker label="Scene" value={id} options={OPTIONS} onChange={choose} />
      <Slider
        label={scene.id === 'whiteKit' ? 'Turf and stand take' : 'It takes'}
        value={Math.round(share * 100)}
        min={5}
        max={95}
        step={5}
        bigStep={20}
        valueText={`${Math.round(share * 100)} % of the frame`}
        onChange={(next) => setShare((now) => next(Math.round(now * 100)) / 100)}
      />
      <View>
        <Text kind="figure">
          {Math.abs(error) < 1 / 6
            ? 'A meter gets it right'
            : `A meter goes ${Math.abs(error).toFixed(1)} stops ${error > 0 ? 'dark' : 'bright'}`}
        </Text>
        {scene.white ? null : (
          <Text>{`Compensation ${thirdsInWords(error)}, or manual by a reading at the face.`}</Text>
        )}
      </View>
      {scene.white ? (
        <View role="list" aria-label="Two schools" className="gap-2">
          {SCHOOLS.map(({ school, name, why }) => (
            <View key={school} role="listitem">
              <Text kind="strong">
                {`${name}: ${thirdsInWords(whiteScene({ meterErrorStops: error, school }).compensationStops)}`}
              </Text>
              <Text kind="small" ink="quiet">
                {why}
              </Text>
            </View>
          ))}
        </View>
      ) : null}
      <Text kind="small" ink="quiet">
        Take the compensation off again afterwards: left on, it spoils the next scene.
      </Text>
    </View>
  );
}
