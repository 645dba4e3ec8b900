import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { ScrollView, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { taughtByEarlier } from '@/features/shoot/lessons';
import { demoShoots } from '@/demo/seed';
import { newId } from '@/records/new-id';
import { newShoot } from '@/records/new-shoot';
import { useShootActions } from '@/records/queries';
import { IconButton } from '@/ui/Button';
import { Heading } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { briefOf, newForm, type BriefForm } from '@/features/shoot/brief-form';
import { BriefFields } from './BriefFields';

/** A new shoot: a place and its hours; the ground comes from its template. */
export function NewShootScreen() {
  const router = useRouter();
  const { add, all } = useShootActions();
  const inks = useInks();
  /** What is there teaches what is made. */
  const make = async (form: BriefForm) => {
    const fresh = newShoot(briefOf(form), newId(), new Date().toISOString());
    add(taughtByEarlier(fresh, await all(demoShoots)));
    router.replace(`/shoot/${fresh.id}/ground`);
  };
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
          onSave={(form) => void make(form)}
        />
      </ScrollView>
    </View>
  );
}
