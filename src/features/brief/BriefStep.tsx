import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useShootPage } from '@/features/plan/ShootContext';
import { useShootTasks } from '@/features/shoots/use-shoot-tasks';
import { turnGround } from '@/records/edit-ground';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { briefOf, formOf, type BriefForm } from './brief-form';
import { BriefFields } from './BriefFields';
import { Lessons } from '@/features/log/Lessons';
import { Cautions } from './Cautions';
import { Leave } from './Leave';
import { People } from './People';
import { Promised } from './Promised';
import { Subjects } from './Subjects';

/** A shoot with its brief changed: the ground turns with its bearing, the minute stays inside. */
export function withBrief(shoot: Shoot, form: BriefForm): Shoot {
  const { title, latitudeDeg, longitudeDeg, timeZone, bearingDeg, startLocal, endLocal } =
    briefOf(form);
  const day = startLocal.slice(0, 10);
  const lampsFromLocal = shoot.light.lampsFromLocal;
  const place = { latitudeDeg, longitudeDeg, timeZone };
  const { learned, ...light } = shoot.light;
  // What was learned at one place says nothing of another.
  const moved =
    latitudeDeg !== shoot.place.latitudeDeg || longitudeDeg !== shoot.place.longitudeDeg;
  const onDay = (minute: string) => `${day}${minute.slice(10)}`;
  const unturned = Math.abs(bearingDeg - shoot.ground.bearingDeg) < 0.005;
  return {
    ...(unturned ? shoot : turnGround(shoot, bearingDeg)),
    title,
    place,
    startLocal,
    endLocal,
    atLocal: onDay(shoot.atLocal),
    light: {
      ...light,
      ...(lampsFromLocal && { lampsFromLocal: onDay(lampsFromLocal) }),
      ...(learned &&
        !moved && {
          learned: learned.map((offset) => ({ ...offset, atLocal: onDay(offset.atLocal) })),
        }),
    },
    ...(moved && {
      log: { ...shoot.log, lessons: shoot.log.lessons.filter(({ id }) => id !== 'light') },
    }),
  };
}

/** What the shoot is: name, place and hours; and what can be done with it as a whole. */
export function BriefStep() {
  const { plan, update } = useShootPage();
  const { shoot } = plan;
  const say = useToast();
  const router = useRouter();
  const { duplicate, remove, exportFile } = useShootTasks();
  return (
    <View className="gap-6">
      <Promised />
      <Lessons />
      <People />
      <Leave />
      <Cautions shoot={shoot} />
      <Subjects />
      <Heading level={2} kind="figure">
        What, where and when
      </Heading>
      <BriefFields
        key={shoot.id}
        initial={formOf(shoot)}
        saveLabel="Save the brief"
        onSave={(form) => {
          update((current) => withBrief(current, form));
          say({ text: 'Brief saved' });
        }}
      />
      <View className="gap-2 border-t border-line pt-4">
        <Button label="Export as a file" onPress={() => exportFile(shoot)} />
        <Button
          label="Duplicate"
          onPress={() => router.replace(`/shoot/${duplicate(shoot).id}/brief`)}
        />
        <Button
          label="Delete"
          onPress={() => {
            router.replace('/');
            remove(shoot);
          }}
        />
        <Text kind="small" ink="quiet">
          A deleted shoot can be brought back with Undo.
        </Text>
      </View>
    </View>
  );
}
