import { memo, useState } from 'react';
import { View } from 'react-native';
import { withPlace } from '@/answers/choose-shot';
import type { Update } from '@/features/shoot/edits';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { chosenMark, chosenPosition, type Setup } from '@/answers/view';
import { bearingInWords } from '@/features/shoot/words';
import type { ClassId } from '@/presets/classes';
import { groundById } from '@/presets/grounds';
import { throwSwitch } from '@/records/edit-ground';
import { changeItem } from '@/records/edit-site';
import { subjectOf, subjectOptions } from '@/records/own-subject';
import type { Mark, Position } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Slider } from '@/ui/Slider';
import { Text } from '@/ui/Text';
import { PartFramings } from './PartFramings';
import { PlaceFrom } from './PlaceFrom';
import { WishSection } from './WishSection';
import { written } from '@/ui/units';

const HEADING_STEP_DEG = 5;

/** Classes whose subjects may wear a cap. */
const PEOPLE: ReadonlySet<ClassId> = new Set(['standing', 'walking', 'play', 'strike']);
const BRIMS = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Wears one' },
] as const;

const ORIENTATIONS = [
  { value: 'level', label: 'Level' },
  { value: 'upright', label: 'Upright' },
] as const;

/** What is in the frame: position and camera, mark and subject, and the picture wanted of it. */
export function FrameFields() {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const { positions, marks, choice } = setup;
  const position = chosenPosition(setup);
  return (
    <View className="gap-3">
      <PositionControls
        positions={positions}
        id={position.id}
        cameraHeightM={position.cameraHeightM}
        orientation={choice.orientation}
        update={update}
      />
      {position.why ? (
        <Text kind="small" ink="quiet">
          {position.why}
        </Text>
      ) : null}
      <MarkControls
        marks={marks}
        mark={chosenMark(setup)}
        subjects={setup.subjects}
        update={update}
      />
      <Switches ground={setup.ground} update={update} />
      <PartFramings />
      <WishSection />
      <ByDistance />
    </View>
  );
}

/** Placing by tape and compass, a press away: it follows each move while it is open. */
function ByDistance() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button label="Place by distance" onPress={() => setOpen(true)} />
      <Sheet title="Place by distance" open={open} onClose={() => setOpen(false)}>
        <PlaceFrom />
      </Sheet>
    </>
  );
}

/** Which way round the ground is played: the batter's hand, the take-off leg. */
const Switches = memo(function Switches({
  ground,
  update,
}: {
  readonly ground: Setup['ground'];
  readonly update: Update;
}) {
  return (groundById(ground.template).switches ?? []).map(({ id, name, options }) => (
    <Choice
      key={id}
      label={name}
      value={ground.thrown.includes(id) ? 1 : 0}
      options={options.map(({ label }, value) => ({ value, label }))}
      onChange={(value) =>
        update((current) =>
          current.ground.thrown.includes(id) === (value === 1) ? current : throwSwitch(current, id),
        )
      }
    />
  ));
});

const choose =
  (update: Update) =>
  (choice: Partial<Setup['choice']>): void =>
    update((current) => ({ ...current, choice: { ...current.choice, ...choice } }));

interface PositionProps {
  readonly positions: readonly Position[];
  readonly id: string;
  readonly cameraHeightM: number;
  readonly orientation: Setup['choice']['orientation'];
  readonly update: Update;
}

/** Which position, how high the camera, how it is held. */
function PositionFields({ positions, id, cameraHeightM, orientation, update }: PositionProps) {
  return (
    <>
      {positions.length > 1 ? (
        <Picker
          label="Position"
          value={id}
          options={positions.map((entry) => ({ value: entry.id, label: entry.name }))}
          onChange={(positionId) => update((current) => withPlace(current, { positionId }))}
        />
      ) : null}
      <Slider
        label="Camera height"
        value={cameraHeightM}
        min={0.1}
        max={8}
        step={0.1}
        bigStep={0.5}
        valueText={written(cameraHeightM, 'm', 1)}
        onChange={(next) =>
          update(
            (current) =>
              changeItem(current, 'positions', id, (entry) => ({
                ...entry,
                cameraHeightM: Number(next(entry.cameraHeightM).toFixed(2)),
              })),
            `camera height ${id}`,
          )
        }
      />
      <Choice
        label="Camera held"
        value={orientation}
        options={ORIENTATIONS}
        onChange={(held) => choose(update)({ orientation: held })}
      />
    </>
  );
}

const sameNames = (a: readonly Position[], b: readonly Position[]): boolean =>
  a.length === b.length && a.every(({ id, name }, i) => id === b[i]?.id && name === b[i]?.name);

/** Not drawn again while a position is dragged: where it lies is not shown here. */
const PositionControls = memo(
  PositionFields,
  (a, b) =>
    a.id === b.id &&
    a.cameraHeightM === b.cameraHeightM &&
    a.orientation === b.orientation &&
    a.update === b.update &&
    sameNames(a.positions, b.positions),
);

/** Which mark, what is there, which way it runs. */
const MarkControls = memo(function MarkControls({
  marks,
  mark,
  subjects,
  update,
}: {
  readonly marks: readonly Mark[];
  readonly mark: Mark;
  readonly subjects: Setup['subjects'];
  readonly update: Update;
}) {
  const change = (how: (entry: Mark) => Mark, step?: string) =>
    update((current) => changeItem(current, 'marks', mark.id, how), step);
  const subject = subjectOf({ subjects }, mark.subjectId);
  const isPerson = PEOPLE.has(subject.classId);
  const wearsBrim = mark.brim ?? subject.brim ?? false;
  return (
    <>
      {marks.length > 1 ? (
        <Picker
          label="Mark"
          value={mark.id}
          options={marks.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(markId) => update((current) => withPlace(current, { markId }))}
        />
      ) : null}
      <Picker
        label="Subject"
        value={mark.subjectId}
        options={subjectOptions({ subjects })}
        onChange={(subjectId) => change((entry) => ({ ...entry, subjectId }))}
      />
      {isPerson ? (
        <Choice
          label="Cap or brim"
          value={wearsBrim ? 'yes' : 'no'}
          options={BRIMS}
          onChange={(worn) => change((entry) => ({ ...entry, brim: worn === 'yes' }))}
        />
      ) : null}
      <Slider
        label={subject.speedMs > 0 ? 'Runs and faces' : 'Faces'}
        value={Math.round(mark.headingDeg)}
        min={0}
        max={355}
        step={HEADING_STEP_DEG}
        bigStep={45}
        valueText={bearingInWords(mark.headingDeg)}
        onChange={(next) =>
          change((entry) => {
            const deg = next(entry.headingDeg) % 360;
            return { ...entry, headingDeg: deg, facingDeg: deg };
          }, `heading ${mark.id}`)
        }
      />
    </>
  );
});
