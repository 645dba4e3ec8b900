import { useState } from 'react';
import { View } from 'react-native';
import { BACKGROUNDS, TECHNIQUES } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { shotSchema, type Shot } from '@/records/brief';
import { withEntry } from '@/records/edit-brief';
import { subjectOf } from '@/records/own-subject';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Slider } from '@/ui/Slider';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { BACKGROUND_NAMES, TECHNIQUE_NAMES, TECHNIQUE_WHY } from '@/features/shoot/brief-words';
import { withShot } from '@/answers/choose-shot';
import { useRemoveEntry } from './use-remove-entry';

const TECHNIQUE_OPTIONS = TECHNIQUES.map((technique) => ({
  value: technique,
  label: `${TECHNIQUE_NAMES[technique]}: ${TECHNIQUE_WHY[technique]}`,
}));
const BACKGROUND_OPTIONS = BACKGROUNDS.map((background) => ({
  value: background,
  label: BACKGROUND_NAMES[background],
}));
const PRIORITIES = [
  { value: 'must', label: 'Must' },
  { value: 'should', label: 'Should' },
  { value: 'could', label: 'Could' },
] as const;
const HELD = [
  { value: 'level', label: 'Level' },
  { value: 'upright', label: 'Upright' },
] as const;
const LIGHTS = [
  { value: 'any', label: 'Any' },
  { value: 'front', label: 'Front' },
  { value: 'side', label: 'Side' },
  { value: 'back', label: 'Back' },
] as const;
const ROOM = [
  { value: 'room', label: 'Room to move into' },
  { value: 'tight', label: 'Tight' },
] as const;
const AS_GRADED = 'any';

/** One shot: what it is of, how it is taken, how many are owed. */
export function ShotSheet({
  shot,
  fresh,
  onClose,
}: {
  readonly shot: Shot;
  readonly fresh: boolean;
  readonly onClose: () => void;
}) {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const [draft, setDraft] = useState(shot);
  const [left, setLeft] = useState(false);
  const removeEntry = useRemoveEntry();
  const set = (next: Partial<Shot>) => setDraft((now) => ({ ...now, ...next }));
  const mark = setup.marks.find(({ id }) => id === draft.markId) ?? setup.marks[0];
  const parts = mark ? subjectOf(setup, mark.subjectId).parts.map(({ name }) => name) : [];
  const nameless = draft.name.trim() === '';
  const save = () => {
    setLeft(true);
    const checked = shotSchema.safeParse(draft);
    if (nameless || !checked.success) return;
    update((current) => {
      const kept = withEntry(current, 'shots', checked.data);
      return fresh || current.choice.shotId === shot.id ? withShot(kept, checked.data) : kept;
    });
    onClose();
  };
  return (
    <Sheet title={fresh ? 'A new shot' : 'Change the shot'} open onClose={onClose}>
      <Field
        label="Name of the shot"
        value={draft.name}
        maxLength={80}
        onChangeText={(name) => set({ name })}
        onBlur={() => setLeft(true)}
        error={left && nameless ? 'give it a name, such as “Keeper’s save”' : undefined}
      />
      <Picker
        label="Of the subject at"
        value={draft.markId}
        options={setup.marks.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(markId) => {
          const { sharp: _sharp, ...rest } = draft;
          setDraft({ ...rest, markId });
        }}
      />
      <Picker
        label="Technique"
        value={draft.technique}
        options={TECHNIQUE_OPTIONS}
        onChange={(technique) => {
          const { shutterS: _chosen, ...rest } = draft;
          setDraft({ ...rest, technique });
        }}
      />
      <Picker
        label="Must be sharp"
        value={draft.sharp ?? AS_GRADED}
        options={[
          { value: AS_GRADED, label: 'Body crisp, limbs slightly soft at most' },
          ...parts.map((part) => ({ value: part, label: `The ${part}, crisp` })),
        ]}
        onChange={(part) => {
          const { sharp: _sharp, ...rest } = draft;
          setDraft(part === AS_GRADED ? rest : { ...rest, sharp: part });
        }}
      />
      <Slider
        label="It fills"
        value={Math.round(draft.fill * 100)}
        min={5}
        max={150}
        step={5}
        bigStep={20}
        valueText={`${Math.round(draft.fill * 100)} % of the frame’s height`}
        onChange={(next) =>
          setDraft((now) => ({ ...now, fill: next(Math.round(now.fill * 100)) / 100 }))
        }
      />
      <Choice
        label="Camera held for it"
        value={draft.orientation}
        options={HELD}
        onChange={(orientation) => set({ orientation })}
      />
      <Choice
        label="In the frame"
        value={draft.roomToMove ? 'room' : 'tight'}
        options={ROOM}
        onChange={(room) => set({ roomToMove: room === 'room' })}
      />
      <Choice
        label="Light on it"
        value={draft.light}
        options={LIGHTS}
        onChange={(light) => set({ light })}
      />
      <Picker
        label="Background"
        value={draft.background}
        options={BACKGROUND_OPTIONS}
        onChange={(background) => set({ background })}
      />
      <Choice
        label="Priority"
        value={draft.priority}
        options={PRIORITIES}
        onChange={(priority) => set({ priority })}
      />
      <Stepper
        label="How many good ones are owed"
        value={draft.quota}
        min={1}
        max={500}
        valueText={String(draft.quota)}
        onStep={(clicks) => setDraft((now) => ({ ...now, quota: now.quota + clicks }))}
      />
      <View className="gap-2">
        <Button label={fresh ? 'Add and use' : 'Save the shot'} kind="primary" onPress={save} />
        {fresh ? null : (
          <Button
            label="Take the shot away"
            onPress={() => {
              removeEntry('shots', shot);
              onClose();
            }}
          />
        )}
        {left && nameless ? (
          <Text kind="small" ink="quiet">
            The name is missing, at the top.
          </Text>
        ) : null}
      </View>
    </Sheet>
  );
}
