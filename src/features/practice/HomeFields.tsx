import { View } from 'react-native';
import { LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';
import type { Practice } from '@/records/practice';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Heading } from '@/ui/Text';
import { usePractice } from './rehearsal';

const lensBy = (id: string) => LENSES.find((lens) => lens.id === id);

/** What is followed at home, how far off, and through what. */
export function HomeFields() {
  const { practice, change } = usePractice();
  if (!practice) return null;
  const { home } = practice;
  const set = (next: Partial<Practice['home']>) =>
    change((now) => ({ ...now, home: { ...now.home, ...next } }));
  const focals = (lensBy(home.lensId)?.focals ?? []).map(({ focalMm }) => focalMm);
  const [shortest, longest] = [Math.min(...focals), Math.max(...focals)];
  return (
    <View role="form" aria-label="What you practise on" className="gap-2">
      <Heading level={3}>What you practise on</Heading>
      <Picker
        label="Subject"
        value={home.subjectId}
        options={SUBJECTS.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(subjectId) => set({ subjectId })}
      />
      <NumberField
        label="Distance"
        unit="m"
        value={home.distanceM}
        min={1}
        max={500}
        onChange={(distanceM) => set({ distanceM })}
      />
      <Picker
        label="Lens"
        value={home.lensId}
        options={LENSES.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(lensId) => {
          const marks = (lensBy(lensId)?.focals ?? []).map(({ focalMm }) => focalMm);
          const focalMm = Math.min(Math.max(...marks), Math.max(Math.min(...marks), home.focalMm));
          set({ lensId, focalMm });
        }}
      />
      {longest > shortest ? (
        <NumberField
          label="Focal length"
          unit="mm"
          value={home.focalMm}
          min={shortest}
          max={longest}
          places={0}
          onChange={(focalMm) => set({ focalMm })}
        />
      ) : null}
    </View>
  );
}
