import { Link, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import {
  lazy,
  memo,
  startTransition,
  Suspense,
  useCallback,
  useEffect,
  useMemo,
  useState,
  type ReactNode,
} from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Pressable, ScrollView, View } from 'react-native';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { demoShoots } from '@/demo/seed';
import { dayOf, untilInDays } from '@/records/day-said';
import { isDemo, type Summary } from '@/records/list';
import { useOnlyHere, useSaveTrouble, useShootList } from '@/records/list-queries';
import { Button, IconButton } from '@/ui/Button';
import { chooseFile } from '@/ui/files';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useIsWide } from '@/ui/use-shape';
import { ShootSketch } from '@/figures/ShootSketch';

/** What the list can do beyond being read; what it takes to read whole records is set up before, a piece a turn. */
async function tools() {
  const parts = await import('./ListTools');
  await parts.setUpSchemas();
  return parts;
}
const BringDemoBack = lazy(async () => ({ default: (await tools()).BringDemoBack }));
const ImportedFile = lazy(async () => ({ default: (await tools()).ImportedFile }));
const MoreSheet = lazy(async () => ({ default: (await tools()).MoreSheet }));
const RemoveDemo = lazy(async () => ({ default: (await tools()).RemoveDemo }));
const ShootState = lazy(async () => ({ default: (await tools()).ShootState }));
const ReadThrough = lazy(async () => ({ default: (await tools()).ReadThrough }));
const SafeKeeping = lazy(async () => ({ default: (await tools()).SafeKeeping }));

/** A part of the page that is fetched behind it; put up with it, so that nothing that stands waits for it. */
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

/** A shoot of the list with what the clock of its place says now. */
type Dated = Summary & { readonly nowLocal: string };

/** A moment by the wall clock of a zone, as records write it. */
const minuteIn = (timeZone: string, ms: number): string =>
  new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })
    .format(ms)
    .replace(' ', 'T');

/** Shoots that are still to come or on, and those that are past: the last one first, it is looked back at. */
function datedAt(shoots: readonly Summary[], ms: number) {
  const clocks = new Map<string, string>();
  for (const { timeZone } of shoots)
    if (!clocks.has(timeZone)) clocks.set(timeZone, minuteIn(timeZone, ms));
  const dated = shoots.map((shoot): Dated => ({
    ...shoot,
    nowLocal: clocks.get(shoot.timeZone) as string,
  }));
  return {
    coming: dated.filter(({ endLocal, nowLocal }) => endLocal >= nowLocal),
    past: dated.filter(({ endLocal, nowLocal }) => endLocal < nowLocal).reverse(),
  };
}

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
    if (on && !wide) router.push(`/shoot/${on.id}`);
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
        {shoots ? (
          <Behind>
            <ReadThrough />
          </Behind>
        ) : null}
        {refused ? (
          <View role="alert" className="gap-2 border-2 border-signal p-3">
            <Text kind="strong">File refused. {refused}</Text>
            <Text kind="small">Nothing was changed. Mend the file, or export it again.</Text>
            <Button label="Close this note" kind="quiet" onPress={() => setRefused(undefined)} />
          </View>
        ) : null}
        {shoots && shoots.length === 0 ? <NoShoots /> : null}
        {shoots ? (
          <Rows label="Shoots" shoots={coming} nextFirst onMore={setOpen} />
        ) : (
          <RowsOutline />
        )}
        {past.length > 0 ? (
          <View className="gap-1">
            <Heading level={2} kind="label" ink="quiet">
              Past
            </Heading>
            <Rows label="Past shoots" shoots={past} onMore={setOpen} />
          </View>
        ) : null}
        {shoots && shoots.length > 0 ? (
          <Behind>
            {demo.length > 0 ? <RemoveDemo ids={demo.map(({ id }) => id)} /> : <BringDemoBack />}
          </Behind>
        ) : null}
        {shoots ? (
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

/** A season's list tells how it stands of those that are near. */
const MOST_TOLD = 6;
/** More than a screen holds: these are drawn first, the rest of a season in slices behind them. */
const MOST_AT_FIRST = 12;

const BARE: Summary['sketch'] = { lines: '', solids: 'M8 8h84v84h-84z', places: [] };

/** Where the rows come, until they are read: of their own parts, which are set up by then. */
function RowsOutline() {
  const inks = useInks();
  return (
    <View aria-hidden>
      {[116, 76, 76].map((sizePx, i) => (
        <View key={i} className="flex-row items-center justify-between border-b border-line py-3">
          <ShootSketch sketch={BARE} sizePx={sizePx} />
          <Text> </Text>
          <Ellipsis color={inks.line} size={24} />
        </View>
      ))}
    </View>
  );
}

function Rows({
  label,
  shoots,
  nextFirst = false,
  onMore,
}: {
  readonly label: string;
  readonly shoots: readonly Dated[];
  /** Whether the first is the next one. */
  readonly nextFirst?: boolean;
  readonly onMore: (shoot: Summary) => void;
}) {
  const [whole, setWhole] = useState(false);
  useEffect(() => startTransition(() => setWhole(true)), []);
  return (
    <View role="list" aria-label={label}>
      {shoots.slice(0, whole ? undefined : MOST_AT_FIRST).map((shoot, i) => (
        <ShootRow
          key={shoot.id}
          shoot={shoot}
          next={nextFirst && i === 0}
          told={i < MOST_TOLD}
          onMore={onMore}
        />
      ))}
    </View>
  );
}

/** A shoot of the list; the next one large, with how long it is until then. */
const ShootRow = memo(function ShootRow({
  shoot,
  next,
  told,
  onMore,
}: {
  readonly shoot: Dated;
  readonly next: boolean;
  /** Whether it is told how it stands. */
  readonly told: boolean;
  readonly onMore: (shoot: Summary) => void;
}) {
  const inks = useInks();
  const { startLocal, endLocal, nowLocal } = shoot;
  const past = endLocal < nowLocal;
  return (
    <View
      role="listitem"
      className={`flex-row items-center border-line ${next ? 'border-b-2' : 'border-b'}`}
    >
      <Link href={`/shoot/${shoot.id}`} asChild>
        <Pressable
          role="link"
          className="min-h-touch flex-1 flex-row items-center gap-4 py-3 active:opacity-60"
        >
          <ShootSketch sketch={shoot.sketch} sizePx={next ? 116 : 76} />
          <View className="min-w-0 shrink grow">
            <Text kind={next ? 'title' : 'figure'}>{shoot.title}</Text>
            {past ? null : <Text kind="strong">{untilInDays(startLocal, endLocal, nowLocal)}</Text>}
            <Text ink="quiet">{dayOf(startLocal)}</Text>
            <Text ink="quiet">
              {`${startLocal.slice(11)} to ${endLocal.slice(11)}${isDemo(shoot) ? ' · demo' : ''}`}
            </Text>
            {told ? (
              <Behind>
                <ShootState id={shoot.id} past={past} />
              </Behind>
            ) : null}
          </View>
        </Pressable>
      </Link>
      <IconButton label={`More for ${shoot.title}`} onPress={() => onMore(shoot)}>
        <Ellipsis color={inks.ink} size={24} />
      </IconButton>
    </View>
  );
});

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
