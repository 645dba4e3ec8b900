import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { demoShoots } from '@/demo/seed';
import { isDemo, type Summary } from '@/records/list';
import { useOnlyHere, useSaveTrouble, useShootList } from '@/records/list-queries';
import { afterFrame } from '@/ui/after-frame';
import { Button } from '@/ui/Button';
import { chooseFile } from '@/ui/files';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useIsWide } from '@/ui/use-shape';
import {
  Behind,
  BringDemoBack,
  ImportedFile,
  MoreSheet,
  ReadThrough,
  RemoveDemo,
  SafeKeeping,
} from './Behind';
import { datedAt, type Dated } from './dated';
import { Rows, RowsOutline, useDrawn } from './ShootRows';

/** Whether the app was opened just now: then a shoot that is on comes before the list. */
let justOpened = true;

/** On a phone opened again during a shoot its field is what is wanted. */
function useOpenField(coming: readonly Dated[] | undefined): void {
  const router = useRouter();
  const wide = useIsWide();
  useEffect(() => {
    if (!coming || !justOpened) return;
    justOpened = false;
    const on = coming.find(({ startLocal, nowLocal }) => startLocal <= nowLocal);
    // Told while it takes up its first address, the router puts the shoot in place of the list: no way back.
    if (on && !wide) afterFrame(() => router.push(`/shoot/${on.id}`));
  }, [coming, wide, router]);
}

/** All shoots; where the day begins. */
export function ShootsScreen() {
  const { data: shoots, error } = useShootList(demoShoots);
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [refused, setRefused] = useState<string>();
  const [open, setOpen] = useState<Summary>();
  const saveTrouble = useSaveTrouble();
  const [openedMs] = useState(() => Date.now());
  const { coming, past } = useMemo(() => datedAt(shoots ?? [], openedMs), [shoots, openedMs]);
  const demo = (shoots ?? []).filter(isDemo);
  useOpenField(shoots && coming);
  const drawn = useDrawn(shoots !== undefined);
  const behind = drawn === 'page';
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
        {file ? (
          <Behind>
            <ImportedFile file={file} onDone={imported} />
          </Behind>
        ) : null}
        {behind ? (
          <Behind>
            <ReadThrough />
          </Behind>
        ) : null}
        {refused ? (
          <View role="alert" className="gap-2 border-2 border-signal p-3">
            <Text kind="strong">File refused: {refused}</Text>
            <Text kind="small">Nothing was changed. Mend the file, or export it again.</Text>
            <Button label="Close this note" kind="quiet" onPress={() => setRefused(undefined)} />
          </View>
        ) : null}
        {shoots && shoots.length === 0 ? <NoShoots /> : null}
        {shoots ? (
          <Rows label="Shoots" shoots={coming} drawn={drawn} nextFirst onMore={setOpen} />
        ) : null}
        {shoots || error ? null : <RowsOutline />}
        {past.length > 0 ? (
          <View className="gap-1">
            <Heading level={2} kind="label" ink="quiet">
              Past
            </Heading>
            <Rows label="Past shoots" shoots={past} drawn={drawn} onMore={setOpen} />
          </View>
        ) : null}
        {behind && shoots && shoots.length > 0 ? (
          <Behind>
            {demo.length > 0 ? <RemoveDemo ids={demo.map(({ id }) => id)} /> : <BringDemoBack />}
          </Behind>
        ) : null}
        {behind && shoots ? (
          <Behind>
            <SafeKeeping shoots={shoots} onRefused={setRefused} />
          </Behind>
        ) : null}
      </ScrollView>
      <View className="mx-auto w-full max-w-[760px] flex-row flex-wrap gap-3 border-t border-ink p-3">
        <View className="min-w-fit flex-1">
          <Button
            label="Import"
            onPress={() => void chooseFile('.json,application/json').then(setFile)}
          />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="Quick answer" onPress={() => router.navigate('/quick')} />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="Practice" onPress={() => router.navigate('/practice')} />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="New shoot" kind="primary" onPress={() => router.navigate('/new')} />
        </View>
      </View>
      {open ? (
        <Behind>
          <MoreSheet shoot={open} onClose={() => setOpen(undefined)} />
        </Behind>
      ) : null}
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
