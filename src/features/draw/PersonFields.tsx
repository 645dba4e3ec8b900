import { useState } from 'react';
import { View } from 'react-native';
import { fullCircle } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { changeItem } from '@/records/edit-site';
import { subjectOptions } from '@/records/own-subject';
import type { Mark, Position } from '@/records/shoot';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { BearingField } from './BearingField';

/** What is at a mark, which way it moves and which way it looks. */
export function MarkFields({ mark }: { readonly mark: Mark }) {
  const plan = useShown('setup');
  const { update } = useEdits();
  const change = (next: Partial<Mark>) =>
    update((current) => changeItem(current, 'marks', mark.id, (entry) => ({ ...entry, ...next })));
  return (
    <View className="gap-3">
      <BearingField
        label="Moves towards"
        trueDeg={mark.headingDeg}
        onChange={(headingDeg) => change({ headingDeg: fullCircle(headingDeg) })}
      />
      <BearingField
        label="Faces towards"
        trueDeg={mark.facingDeg}
        onChange={(facingDeg) => change({ facingDeg: fullCircle(facingDeg) })}
      />
      <NumberField
        label="Feet above the ground"
        unit="m"
        value={mark.feetM ?? 0}
        min={0}
        max={100}
        onChange={(feetM) => change({ feetM })}
      />
      <Picker
        label="Subject"
        value={mark.subjectId}
        options={subjectOptions(plan.setup)}
        onChange={(subjectId) => change({ subjectId })}
      />
    </View>
  );
}

const LONGEST_WHY = 300;

/** How high the camera is, and why one would stand there. */
export function PositionFields({ position }: { readonly position: Position }) {
  const { update } = useEdits();
  const [why, setWhy] = useState(position.why ?? '');
  const change = (how: (entry: Position) => Position) =>
    update((current) => changeItem(current, 'positions', position.id, how));
  const takeWhy = () => {
    const wished = why.trim();
    if (wished === (position.why ?? '')) return;
    change(({ why: _before, ...entry }) => (wished ? { ...entry, why: wished } : entry));
  };
  return (
    <View className="gap-3">
      <NumberField
        label="Camera height"
        unit="m"
        value={position.cameraHeightM}
        min={0.05}
        max={60}
        onChange={(cameraHeightM) => change((entry) => ({ ...entry, cameraHeightM }))}
      />
      <Field
        label="Why stand here"
        value={why}
        maxLength={LONGEST_WHY}
        onChangeText={setWhy}
        onBlur={takeWhy}
        onSubmitEditing={takeWhy}
      />
    </View>
  );
}
