import { useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { chosenMark } from '@/answers/view';
import { subjectById } from '@/presets/find';
import { SUBJECTS } from '@/presets/subjects';
import {
  DAY_PARTS,
  MOST_PROMISED,
  ownSubjectSchema,
  SEASONS,
  type OwnSubject,
} from '@/records/brief';
import { withEntry } from '@/records/edit-brief';
import { newId } from '@/records/new-id';
import { presetOf } from '@/records/own-subject';
import { demoShoots } from '@/demo/seed';
import { useShoots } from '@/records/queries';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { subjectInWords } from '@/features/shoot/brief-words';
import { TapTimer } from './TapTimer';
import { useRemoveEntry } from './use-remove-entry';
import { written } from '@/ui/units';

const BASES = SUBJECTS.map(({ id, name }) => ({ value: id, label: name }));
const title = (word: string) => `${word[0]?.toUpperCase()}${word.slice(1)}`;
const SEASON_OPTIONS = SEASONS.map((value) => ({
  value,
  label: value === 'any' ? 'Any season' : title(value),
}));
const PART_OPTIONS = DAY_PARTS.map((value) => ({
  value,
  label: value === 'any' ? 'Any hour' : title(value),
}));

/** A subject of one's own, as it begins: the preset's own figures. */
export function ownOf(basedOn: string, id: string, name = ''): OwnSubject {
  const { heightM, depthM, speedMs } = subjectById(basedOn);
  return { id, name, basedOn, heightM, depthM, speedMs, habits: [] };
}

const figures = ({ heightM, speedMs, basedOn }: OwnSubject) =>
  `${subjectById(basedOn).name}: ${written(heightM, 'm', 2)}, ${written(speedMs, 'm/s', 1)}`;

/** Subjects of one's own: measured here, or brought from another shoot. */
export function Subjects() {
  const plan = useShown('setup', 'shoot');
  const { update } = useEdits();
  const { subjects } = plan.setup;
  const { data: shoots = [] } = useShoots(demoShoots);
  const [edited, setEdited] = useState<OwnSubject>();
  const [library, setLibrary] = useState(false);
  const elsewhere = shoots
    .flatMap((shoot) => (shoot.id === plan.shoot.id ? [] : shoot.subjects))
    .filter(
      ({ id }, i, all) =>
        !subjects.some((own) => own.id === id) && all.findIndex((own) => own.id === id) === i,
    );
  const mark = chosenMark(plan.setup);
  const begin = () => {
    const base = SUBJECTS.some(({ id }) => id === mark.subjectId) ? mark.subjectId : 'field-player';
    setEdited(ownOf(base, `own-${newId()}`));
  };
  return (
    <View role="region" aria-label="Subjects of your own" className="gap-2">
      <Text kind="small" ink="quiet">
        {`Beside ${SUBJECTS.length} that come with the app. Time one where it moves, and every figure follows.`}
      </Text>
      <View role="list" aria-label="Own subjects">
        {subjects.map((own) => (
          <RowButton
            key={own.id}
            name={own.name}
            detail={[
              figures(own),
              ...own.habits.map(({ season, part, what }) =>
                [season !== 'any' && season, part !== 'any' && part, what]
                  .filter(Boolean)
                  .join(', '),
              ),
            ].join('. ')}
            onPress={() => setEdited(own)}
          />
        ))}
      </View>
      <Button label="Look through the library" onPress={() => setLibrary(true)} />
      <Button
        label="Measure a subject"
        disabled={subjects.length >= MOST_PROMISED}
        onPress={begin}
      />
      {elsewhere.map((own) => (
        <Button
          key={own.id}
          label={`Bring ${own.name} from another shoot`}
          onPress={() => update((current) => withEntry(current, 'subjects', own))}
        />
      ))}
      <Sheet title="Subjects" open={library} onClose={() => setLibrary(false)}>
        <Library own={subjects} />
      </Sheet>
      {edited ? (
        <SubjectSheet
          key={edited.id}
          own={edited}
          fresh={!subjects.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}

/** Every subject with its size, pace and parts. */
function Library({ own }: { readonly own: readonly OwnSubject[] }) {
  return (
    <View role="list" aria-label="Subject library">
      {[...own.map(presetOf), ...SUBJECTS].map((subject) => (
        <View key={subject.id} role="listitem" className="border-b border-line py-2">
          <Text kind="strong">{subject.name}</Text>
          <Text kind="small" ink="quiet">
            {subjectInWords(subject)}
          </Text>
        </View>
      ))}
    </View>
  );
}

function SubjectSheet({
  own,
  fresh,
  onClose,
}: {
  readonly own: OwnSubject;
  readonly fresh: boolean;
  readonly onClose: () => void;
}) {
  const plan = useShown('setup');
  const { update } = useEdits();
  const removeEntry = useRemoveEntry();
  const [draft, setDraft] = useState(own);
  const [left, setLeft] = useState(false);
  const nameless = draft.name.trim() === '';
  const set = (next: Partial<OwnSubject>) => setDraft((now) => ({ ...now, ...next }));
  const markId = chosenMark(plan.setup).id;
  const save = () => {
    setLeft(true);
    const checked = ownSubjectSchema.safeParse(draft);
    if (nameless || !checked.success) return;
    update((current) => {
      const kept = withEntry(current, 'subjects', checked.data);
      if (!fresh) return kept;
      return {
        ...kept,
        marks: kept.marks.map((mark) =>
          mark.id === markId ? { ...mark, subjectId: checked.data.id } : mark,
        ),
      };
    });
    onClose();
  };
  return (
    <Sheet title={fresh ? 'A subject of your own' : own.name} open onClose={onClose}>
      <Field
        label="Name of the subject"
        value={draft.name}
        maxLength={60}
        onChangeText={(name) => set({ name })}
        error={left && nameless ? 'give it a name, such as “Under-12 winger”' : undefined}
      />
      <Picker
        label="Moves like"
        value={draft.basedOn}
        options={BASES}
        onChange={(basedOn) =>
          setDraft((now) => ({ ...ownOf(basedOn, now.id, now.name), habits: now.habits }))
        }
      />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <NumberField
            label="Height"
            unit="m"
            value={draft.heightM}
            min={0.01}
            max={30}
            onChange={(heightM) => set({ heightM })}
          />
        </View>
        <View className="flex-1">
          <NumberField
            label="Depth"
            unit="m"
            value={draft.depthM}
            min={0.01}
            max={30}
            onChange={(depthM) => set({ depthM })}
          />
        </View>
        <View className="flex-1">
          <NumberField
            label="Pace"
            unit="m/s"
            value={draft.speedMs}
            min={0}
            max={150}
            onChange={(speedMs) => set({ speedMs })}
          />
        </View>
      </View>
      <TapTimer onSpeed={(speedMs) => set({ speedMs })} />
      <Habits habits={draft.habits} onChange={(habits) => set({ habits })} />
      <Button
        label={fresh ? 'Keep it, and put it at the mark' : 'Save the subject'}
        kind="primary"
        onPress={save}
      />
      {fresh ? null : (
        <Button
          label="Take the subject away"
          onPress={() => {
            removeEntry('subjects', own);
            onClose();
          }}
        />
      )}
    </Sheet>
  );
}

const MOST_HABITS = 20;

/** What it does, by season and hour. */
function Habits({
  habits,
  onChange,
}: {
  readonly habits: OwnSubject['habits'];
  readonly onChange: (habits: OwnSubject['habits']) => void;
}) {
  const [season, setSeason] = useState<(typeof SEASONS)[number]>('any');
  const [part, setPart] = useState<(typeof DAY_PARTS)[number]>('any');
  const [what, setWhat] = useState('');
  const add = () => {
    if (what.trim() === '') return;
    onChange([...habits, { season, part, what: what.trim() }]);
    setWhat('');
  };
  return (
    <View className="gap-2">
      {habits.map((habit, i) => (
        <View key={`${i} ${habit.what}`} className="flex-row items-center justify-between gap-2">
          <Text kind="small" className="shrink">
            {`${title(habit.season)} season, ${habit.part} hour: ${habit.what}`}
          </Text>
          <Button
            label="Forget it"
            kind="quiet"
            onPress={() => onChange(habits.filter((_, at) => at !== i))}
          />
        </View>
      ))}
      <Field
        label="A habit to remember"
        value={what}
        maxLength={200}
        onChangeText={setWhat}
        onSubmitEditing={add}
      />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Picker label="Season" value={season} options={SEASON_OPTIONS} onChange={setSeason} />
        </View>
        <View className="flex-1">
          <Picker label="Hour" value={part} options={PART_OPTIONS} onChange={setPart} />
        </View>
      </View>
      <Button
        label="Add the habit"
        disabled={what.trim() === '' || habits.length >= MOST_HABITS}
        onPress={add}
      />
    </View>
  );
}
