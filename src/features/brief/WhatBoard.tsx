import { memo, useDeferredValue, useState } from 'react';
import { Pressable, View } from 'react-native';
import { groupsFor } from '@/answers/board';
import { ShootSketch } from '@/figures/ShootSketch';
import { groundById } from '@/presets/grounds';
import { kindOf, type GroundKind } from '@/presets/grounds/board';
import { sketchOf } from '@/records/summary';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';

const sketches = new Map<string, ReturnType<typeof sketchOf>>();

/** A template's ground as a stamp: drawn once. */
export function groundSketch(id: string): ReturnType<typeof sketchOf> {
  const known = sketches.get(id);
  if (known) return known;
  const { marks, positions, features = [], surface } = groundById(id);
  const made = sketchOf({
    ground: { template: id, bearingDeg: 0, thrown: [], surface },
    features: features.map((entry) => ({ ...entry, points: [...entry.points] })),
    marks: [...marks],
    positions: [...positions],
  });
  sketches.set(id, made);
  return made;
}

const Tile = memo(function Tile({
  kind: { id, short },
  onPick,
}: {
  readonly kind: GroundKind;
  readonly onPick: (id: string) => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={short}
      onPress={() => onPick(id)}
      className="min-h-touch w-[31.5%] min-w-[6.75rem] items-center gap-1 border border-line p-2 active:opacity-60 sm:w-[23.5%]"
    >
      <ShootSketch sketch={groundSketch(id)} sizePx={64} />
      <Text kind="small" className="text-center">
        {short}
      </Text>
    </Pressable>
  );
});

function Tiles({
  name,
  kinds,
  onPick,
}: {
  readonly name: string;
  readonly kinds: readonly GroundKind[];
  readonly onPick: (id: string) => void;
}) {
  return (
    <View role="group" aria-label={name} className="gap-2">
      <Heading level={3} kind="label" ink="quiet">
        {name}
      </Heading>
      <View className="flex-row flex-wrap gap-2">
        {kinds.map((entry) => (
          <Tile key={entry.id} kind={entry} onPick={onPick} />
        ))}
      </View>
    </View>
  );
}

/** All kinds of ground as small true drawings, in groups, found by the words people use. */
export function WhatBoard({
  used,
  error,
  onPick,
}: {
  /** Ids of grounds that were used, the last first. */
  readonly used: readonly string[];
  readonly error: string | undefined;
  readonly onPick: (id: string) => void;
}) {
  const [sought, setSought] = useState('');
  const groups = groupsFor(useDeferredValue(sought));
  return (
    <View className="gap-3">
      <Field
        label="Find by a word"
        placeholder="soccer, high jump, feeder, wren"
        value={sought}
        error={error}
        onChangeText={setSought}
      />
      {used.length > 0 && !sought.trim() ? (
        <Tiles name="Last used" kinds={used.map(kindOf)} onPick={onPick} />
      ) : null}
      {groups.map(({ name, kinds }) => (
        <Tiles key={name} name={name} kinds={kinds} onPick={onPick} />
      ))}
      {groups.length === 0 ? (
        <View className="gap-2">
          <Text>{`No ground is found by “${sought.trim()}”. A blank one can be drawn on as it is there.`}</Text>
          <Tiles name="Anything else" kinds={[kindOf('blank')]} onPick={onPick} />
        </View>
      ) : null}
    </View>
  );
}
