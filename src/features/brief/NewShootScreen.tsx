import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { ScrollView, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { useShootTasks } from '@/features/shoots/use-shoot-tasks';
import { IconButton } from '@/ui/Button';
import { Heading } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { briefOf, newForm } from './brief-form';
import { BriefFields } from './BriefFields';

/** A new shoot: a place and its hours; the ground comes from its template. */
export function NewShootScreen() {
  const router = useRouter();
  const { create } = useShootTasks();
  const inks = useInks();
  return (
    <View className="flex-1 bg-paper">
      <Head>
        <title>New shoot · Bright Perch</title>
      </Head>
      <View role="banner" className="flex-row items-center border-b border-ink">
        <IconButton label="All shoots" onPress={() => router.navigate('/')}>
          <ArrowLeft color={inks.ink} size={24} />
        </IconButton>
        <Heading level={1} kind="figure">
          New shoot
        </Heading>
      </View>
      <ScrollView
        role="main"
        contentContainerClassName="mx-auto w-full max-w-[560px] gap-3 p-4 pb-10"
      >
        <BriefFields
          initial={newForm({ template: 'field-hockey', title: '' })}
          groundIsOpen
          saveLabel="Make the shoot"
          onSave={(form) =>
            void create(briefOf(form)).then(({ id }) => router.replace(`/shoot/${id}/ground`))
          }
        />
      </ScrollView>
    </View>
  );
}
