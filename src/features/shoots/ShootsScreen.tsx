import { Link, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { LARGEST_FILE_BYTES } from '@/formats/shoot-json';
import { demoShoots } from '@/features/root/seed';
import type { Summary } from '@/records/list';
import { useReadThrough, useSaveTrouble, useShootActions, useShootList } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { dayOf } from '@/records/times';
import { Button, IconButton } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { chooseFile } from '@/ui/files';
import { SchemeButton } from '@/ui/SchemeButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { SafeKeeping } from './SafeKeeping';
import { OnlyHereNotice, SetAsideNotice } from './SetAsideNotice';
import { ShootSketch } from './ShootSketch';
import { useShootTasks } from './use-shoot-tasks';

/** All shoots; where the day begins. */
export function ShootsScreen() {
  const { data: shoots, error } = useShootList(demoShoots);
  useReadThrough(demoShoots);
  const { importShoot } = useShootTasks();
  const router = useRouter();
  const [refused, setRefused] = useState<string>();
  const [open, setOpen] = useState<Summary>();
  const saveTrouble = useSaveTrouble();

  const reading = useReading();
  const takeFile = async () => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const read = await reading.read(file, LARGEST_FILE_BYTES, async (service, text) =>
      service.shoot(text),
    );
    if (!read.ok) setRefused(read.reason);
    else setRefused(importShoot(read.value).refused);
  };

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
        <ReadingNow reading={reading} />
        <OnlyHereNotice />
        <SetAsideNotice />
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
        <SafeKeeping shoots={shoots} onRefused={setRefused} />
      </ScrollView>
      <View className="mx-auto w-full max-w-[760px] flex-row gap-3 border-t border-ink p-3">
        <View className="sm:flex-1">
          <Button label="Import" onPress={() => void takeFile()} />
        </View>
        <View className="sm:flex-1">
          <Button label="Quick answer" onPress={() => router.navigate('/quick')} />
        </View>
        <View className="flex-1">
          <Button label="New shoot" kind="primary" onPress={() => router.navigate('/new')} />
        </View>
      </View>
      {open ? <MoreSheet shoot={open} onClose={() => setOpen(undefined)} /> : null}
    </View>
  );
}

function NoShoots() {
  const { add } = useShootActions();
  return (
    <View className="gap-3 border-2 border-line p-4">
      <Heading level={2} kind="figure">
        No shoots yet
      </Heading>
      <Text>
        Begin one with a place and a time, or bring back the three invented scenarios and see how a
        planned one looks.
      </Text>
      <Button
        label="Bring back the demo"
        onPress={() => void demoShoots().then((demo) => demo.forEach(add))}
      />
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

/** Rename, duplicate, export, delete. */
function MoreSheet({ shoot, onClose }: { readonly shoot: Summary; readonly onClose: () => void }) {
  const { rename, whole } = useShootActions();
  const { duplicate, remove, exportFile } = useShootTasks();
  const [title, setTitle] = useState(shoot.title);
  const wrong =
    title.trim() === ''
      ? 'the title is empty; give the shoot a name'
      : title.trim().length > 120
        ? 'the title is over 120 letters; make it shorter'
        : undefined;
  const done = (task: () => void) => () => {
    task();
    onClose();
  };
  const withWhole = (task: (record: Shoot) => void) =>
    done(() => void whole(shoot.id).then((record) => record && task(record)));
  return (
    <Sheet title={shoot.title} open onClose={onClose}>
      <Field label="Title" value={title} onChangeText={setTitle} error={wrong} />
      <Button
        label="Rename"
        kind="primary"
        disabled={wrong !== undefined || title.trim() === shoot.title}
        onPress={done(() => void rename(shoot.id, title.trim()))}
      />
      <Button label="Duplicate" onPress={withWhole(duplicate)} />
      <Button label="Export as a file" onPress={withWhole(exportFile)} />
      <Button label="Delete" onPress={withWhole(remove)} />
    </Sheet>
  );
}
