import { Link, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { lazy, Suspense, useCallback, useState, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Pressable, ScrollView, View } from 'react-native';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { demoShoots } from '@/demo/seed';
import { dayOf } from '@/records/day-said';
import type { Summary } from '@/records/list';
import { useOnlyHere, useSaveTrouble, useShootList } from '@/records/list-queries';
import { Button, IconButton } from '@/ui/Button';
import { chooseFile } from '@/ui/files';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { ShootSketch } from './ShootSketch';

const tools = () => import('./ListTools');
const BringDemoBack = lazy(async () => ({ default: (await tools()).BringDemoBack }));
const ImportedFile = lazy(async () => ({ default: (await tools()).ImportedFile }));
const MoreSheet = lazy(async () => ({ default: (await tools()).MoreSheet }));
const ReadThrough = lazy(async () => ({ default: (await tools()).ReadThrough }));
const SafeKeeping = lazy(async () => ({ default: (await tools()).SafeKeeping }));

/** A part of the page that is fetched behind it. */
function Behind({ children }: { readonly children: ReactNode }) {
  return (
    <ErrorBoundary
      fallback={
        <Text role="alert">
          Part of this page could not be fetched. Reload it when there is a network.
        </Text>
      }
    >
      <Suspense>{children}</Suspense>
    </ErrorBoundary>
  );
}

/** All shoots; where the day begins. */
export function ShootsScreen() {
  const { data: shoots, error } = useShootList(demoShoots);
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [refused, setRefused] = useState<string>();
  const [open, setOpen] = useState<Summary>();
  const saveTrouble = useSaveTrouble();
  const imported = useCallback((reason: string | undefined) => {
    setFile(undefined);
    setRefused(reason);
  }, []);

  return (
    <View className="flex-1 bg-paper">
      <Head>
        <title>Shoots · Bright Perch</title>
      </Head>
      <View
        role="banner"
        className="flex-row items-center justify-between border-b-2 border-ink pl-4"
      >
        <Heading level={1} kind="title">
          Bright Perch
        </Heading>
        <SchemeButton />
      </View>
      <ScrollView role="main" contentContainerClassName="mx-auto w-full max-w-[760px] p-4 gap-4">
        <Text ink="quiet">
          Where do I stand, with what lens, at what time, at what settings, and what am I giving up?
        </Text>
        {saveTrouble ? (
          <Text role="alert" kind="strong" ink="signal">
            Not saved: {saveTrouble}
          </Text>
        ) : null}
        {error ? (
          <Text role="alert" kind="strong" ink="signal">
            The shoots could not be read: {error.message}
          </Text>
        ) : null}
        <OnlyHereNotice />
        <Behind>
          {file ? <ImportedFile file={file} onDone={imported} /> : null}
          {shoots ? <ReadThrough /> : null}
        </Behind>
        {refused ? (
          <View role="alert" className="gap-2 border-2 border-signal p-3">
            <Text kind="strong">File refused. {refused}</Text>
            <Text kind="small">Nothing was changed. Mend the file, or export it again.</Text>
            <Button label="Close this note" kind="quiet" onPress={() => setRefused(undefined)} />
          </View>
        ) : null}
        {shoots && shoots.length === 0 ? <NoShoots /> : null}
        <View role="list" aria-label="Shoots">
          {(shoots ?? []).map((shoot) => (
            <ShootRow key={shoot.id} shoot={shoot} onMore={() => setOpen(shoot)} />
          ))}
        </View>
        <Behind>{shoots ? <SafeKeeping shoots={shoots} onRefused={setRefused} /> : null}</Behind>
      </ScrollView>
      <View className="mx-auto w-full max-w-[760px] flex-row flex-wrap gap-3 border-t border-ink p-3">
        <View className="min-w-fit sm:flex-1">
          <Button
            label="Import"
            onPress={() => void chooseFile('.json,application/json').then(setFile)}
          />
        </View>
        <View className="min-w-fit sm:flex-1">
          <Button label="Quick answer" onPress={() => router.navigate('/quick')} />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="New shoot" kind="primary" onPress={() => router.navigate('/new')} />
        </View>
      </View>
      <Behind>{open ? <MoreSheet shoot={open} onClose={() => setOpen(undefined)} /> : null}</Behind>
    </View>
  );
}

function NoShoots() {
  return (
    <View className="gap-3 border-2 border-line p-4">
      <Heading level={2} kind="figure">
        No shoots yet
      </Heading>
      <Text>
        Begin one with a place and a time, or bring back the three invented scenarios and see how a
        planned one looks.
      </Text>
      <Behind>
        <BringDemoBack />
      </Behind>
    </View>
  );
}

function ShootRow({ shoot, onMore }: { readonly shoot: Summary; readonly onMore: () => void }) {
  const inks = useInks();
  return (
    <View role="listitem" className="flex-row items-center border-b border-line">
      <Link href={`/shoot/${shoot.id}/ground`} asChild>
        <Pressable
          role="link"
          className="min-h-touch flex-1 flex-row items-center gap-4 py-3 active:opacity-60"
        >
          <ShootSketch sketch={shoot.sketch} sizePx={76} />
          <View className="shrink">
            <Text kind="figure">{shoot.title}</Text>
            <Text ink="quiet">{dayOf(shoot.startLocal)}</Text>
            <Text ink="quiet">
              {shoot.startLocal.slice(11)} to {shoot.endLocal.slice(11)}
            </Text>
          </View>
        </Pressable>
      </Link>
      <IconButton label={`More for ${shoot.title}`} onPress={onMore}>
        <Ellipsis color={inks.ink} size={24} />
      </IconButton>
    </View>
  );
}

/** Says that this browser keeps nothing, where it does not. */
function OnlyHereNotice() {
  const why = useOnlyHere();
  if (!why) return null;
  return (
    <View role="alert" className="gap-1 border-2 border-signal p-3">
      <Text kind="strong">This browser keeps nothing for this page.</Text>
      <Text kind="small">
        {`All works until the page is closed. Export what you make, or allow the page to keep data. Why: ${why}`}
      </Text>
    </View>
  );
}
