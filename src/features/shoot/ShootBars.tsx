import { Link, usePathname, useRouter } from 'expo-router';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { CautionsButton } from '@/features/brief/Cautions';
import { useSaveTrouble } from '@/records/list-queries';
import { IconButton } from '@/ui/Button';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useIsWide } from '@/ui/use-is-wide';
import { isDay, isDrawing, isField, isLog } from './paths';
import { STEPS } from './steps';
import { UndoButtons } from './UndoButtons';

/** Back to all shoots, the title, and what can always be done. */
export const TopBar = memo(function TopBar({ title }: { readonly title: string }) {
  const router = useRouter();
  const inks = useInks();
  const trouble = useSaveTrouble();
  // There the head of a column is within the page's main part.
  const wide = useIsWide();
  const drawing = isDrawing(usePathname());
  return (
    <View role={wide ? undefined : 'banner'}>
      <View className="flex-row items-center">
        <IconButton label="All shoots" onPress={() => router.navigate('/')}>
          <ArrowLeft color={inks.ink} size={24} />
        </IconButton>
        <Heading level={1} kind="place" numberOfLines={6} className="shrink grow">
          {title}
        </Heading>
        {drawing ? null : <UndoButtons />}
        {drawing ? null : <CautionsButton />}
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

/** The way through the steps. */
export const StepLinks = memo(function StepLinks({ id }: { readonly id: string }) {
  const path = usePathname();
  // Beside the plan there is not width enough for all of them.
  const inTwoRows = useIsWide() && !isDay(path) && !isLog(path) && !isField(path);
  return (
    <View role="navigation" aria-label="Steps" className="flex-row flex-wrap border-b border-ink">
      {STEPS.map((step) => {
        const here = path.endsWith(`/${step.id}`) || (step.id === 'ground' && isDrawing(path));
        return (
          <Link key={step.id} href={`/shoot/${id}/${step.id}`} asChild>
            <Pressable
              role="link"
              {...(here && { 'aria-current': 'page' as const })}
              className={`min-h-touch min-w-[min(48px,12.31vw)] grow items-center justify-center ${inTwoRows ? 'basis-1/4' : ''} ${here ? 'border-b-4 border-signal pt-1' : ''}`}
            >
              <Text kind={here ? 'label' : 'small'}>{step.name}</Text>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
});
