import { View } from 'react-native';
import { useShootPage } from '@/features/plan/ShootContext';
import { chosenMark, chosenPosition } from '@/features/plan/view';
import { bearingInWords, faceSeen, metres, smallLength } from '@/features/plan/words';
import { SUBJECTS } from '@/presets/subjects';
import type { Mark, Position } from '@/records/shoot';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';

const HEADING_STEP_DEG = 5;

function Row({ name, value }: { readonly name: string; readonly value: string }) {
  return (
    <View className="flex-row justify-between gap-4 border-b border-line py-2">
      <Text ink="quiet">{name}</Text>
      <Text kind="strong" className="shrink text-right">
        {value}
      </Text>
    </View>
  );
}

/** Where one stands and what is there to see: position, mark, subject, and the geometry of it. */
export function GroundStep() {
  const { plan, update } = useShootPage();
  const { shoot, seen } = plan;
  const mark = chosenMark(shoot);
  const position = chosenPosition(shoot);
  const choose = (choice: Partial<typeof shoot.choice>) =>
    update((current) => ({ ...current, choice: { ...current.choice, ...choice } }));
  const changeMark = (change: (entry: Mark) => Mark) =>
    update((current) => ({
      ...current,
      marks: current.marks.map((entry) => (entry.id === mark.id ? change(entry) : entry)),
    }));
  const changePosition = (change: (entry: Position) => Position) =>
    update((current) => ({
      ...current,
      positions: current.positions.map((entry) =>
        entry.id === position.id ? change(entry) : entry,
      ),
    }));
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        Where you stand
      </Heading>
      {shoot.positions.length > 1 ? (
        <Picker
          label="Position"
          value={position.id}
          options={shoot.positions.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(positionId) => choose({ positionId })}
        />
      ) : null}
      {shoot.marks.length > 1 ? (
        <Picker
          label="Mark"
          value={mark.id}
          options={shoot.marks.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(markId) => choose({ markId })}
        />
      ) : null}
      <Picker
        label="Subject"
        value={mark.subjectId}
        options={SUBJECTS.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(subjectId) => changeMark((entry) => ({ ...entry, subjectId }))}
      />
      <Slider
        label="The way it runs and faces"
        value={Math.round(mark.headingDeg)}
        min={0}
        max={355}
        step={HEADING_STEP_DEG}
        bigStep={45}
        valueText={bearingInWords(mark.headingDeg)}
        onChange={(next) =>
          changeMark((entry) => {
            const deg = next(entry.headingDeg) % 360;
            return { ...entry, headingDeg: deg, facingDeg: deg };
          })
        }
      />
      <Slider
        label="Camera height"
        value={position.cameraHeightM}
        min={0.1}
        max={8}
        step={0.1}
        bigStep={0.5}
        valueText={`${position.cameraHeightM.toFixed(1)} m`}
        onChange={(next) =>
          changePosition((entry) => ({
            ...entry,
            cameraHeightM: Number(next(entry.cameraHeightM).toFixed(2)),
          }))
        }
      />
      <Choice
        label="Camera held"
        value={shoot.choice.orientation}
        options={[
          { value: 'level', label: 'Level' },
          { value: 'upright', label: 'Upright' },
        ]}
        onChange={(orientation) => choose({ orientation })}
      />
      {seen.ok ? (
        <View>
          <Row name="Distance" value={metres(seen.view.sight.distanceM)} />
          <Row name="True bearing" value={bearingInWords(seen.view.sight.bearingDeg)} />
          <Row name="Subject" value={faceSeen(seen.view.faceOffDeg)} />
          <Row
            name="Sharp in depth"
            value={
              seen.answer.exposure.depth
                ? smallLength(seen.answer.exposure.depth.farM - seen.answer.exposure.depth.nearM)
                : ''
            }
          />
        </View>
      ) : null}
    </View>
  );
}
