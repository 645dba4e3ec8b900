import { View } from 'react-native';
import { turnDuring } from '@/core';
import { Button } from '@/ui/Button';
import { Slider } from '@/ui/Slider';
import { Text } from '@/ui/Text';
import { LEAST_SWEEP_DEG, MOST_SWEEP_DEG, type Arc } from './arc';
import { readBackInWords } from './fan-words';
import { usePractice, type Rehearsal } from './rehearsal';

/** The arc as it lies on the smear, set against what was foretold of these turns and this time. */
export function ReadBack({
  rehearsal,
  turnsPerS,
  shutterS,
  arc,
  onArc,
  onDone,
}: {
  readonly rehearsal: Rehearsal;
  readonly turnsPerS: number;
  readonly shutterS: number;
  readonly arc: Arc;
  readonly onArc: (next: Arc) => void;
  readonly onDone: () => void;
}) {
  const { note } = usePractice();
  const predictedDeg = turnDuring({ perS: turnsPerS, shutterS });
  const keep = () => {
    const read = { predictedDeg, measuredDeg: arc.sweepDeg };
    note({ kind: 'fan', shutterS, turnsPerS, ...read }, rehearsal);
    onDone();
  };
  const slider = (key: keyof Arc, label: string, min: number, max: number, unit: '°' | ' %') => {
    const each = unit === ' %' ? 100 : 1;
    const value = Math.round(arc[key] * each);
    return (
      <Slider
        {...{ label, value, min, max, step: 1, bigStep: 10 }}
        valueText={`${value}${unit}`}
        onChange={(next) => onArc({ ...arc, [key]: next(value) / each })}
      />
    );
  };
  return (
    <View className="gap-3">
      <Text>
        Tap the hub of the fan; draw the ends of the arc to where the smear begins and ends, by the
        same edge of the tape.
      </Text>
      <Text kind="strong" aria-live="polite">
        {readBackInWords(arc.sweepDeg, predictedDeg)}
      </Text>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button label="Keep it" kind="primary" onPress={keep} />
        </View>
        <View className="flex-1">
          <Button label="Another picture" onPress={onDone} />
        </View>
      </View>
      {slider('fromDeg', 'Begins at', 0, 359, '°')}
      {slider('sweepDeg', 'Goes on for', LEAST_SWEEP_DEG, MOST_SWEEP_DEG, '°')}
      {slider('acrossShare', 'Hub, across', 0, 100, ' %')}
      {slider('downShare', 'Hub, down', 0, 100, ' %')}
    </View>
  );
}
