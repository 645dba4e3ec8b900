import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { useSaveTrouble } from '@/records/list-queries';
import { IconButton } from '@/ui/Button';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useIsWide } from '@/ui/use-shape';
import { CautionsButton } from './Cautions';
import { useLooked } from './open-shoot';
import { UndoButtons } from './UndoButtons';

/** Back to all shoots, the title, and what can always be done. */
export const TopBar = memo(function TopBar({
  bare = false,
}: {
  /** Without undo and cautions: the step has its own bar for them. */
  readonly bare?: boolean;
}) {
  const { title } = useLooked('shoot').shoot;
  const router = useRouter();
  const inks = useInks();
  const trouble = useSaveTrouble();
  // There the head of a column is within the page's main part.
  const wide = useIsWide();
  return (
    <View role={wide ? undefined : 'banner'} className="border-b border-ink bg-paper">
      <View className="flex-row items-center">
        <IconButton label="All shoots" onPress={() => router.navigate('/')}>
          <ArrowLeft color={inks.ink} size={24} />
        </IconButton>
        <Heading level={1} kind="place" numberOfLines={6} className="min-w-0 shrink grow">
          {title}
        </Heading>
        {bare ? null : <UndoButtons />}
        {bare ? null : <CautionsButton />}
        <SchemeButton />
      </View>
      {trouble ? (
        <View role="alert" className="border-2 border-signal px-4 py-2">
          <Text kind="strong">Not saved: {trouble}. Export this shoot to keep it.</Text>
        </View>
      ) : null}
    </View>
  );
});
