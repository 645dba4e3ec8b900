import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ScrollView, View, type TextInput } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { zoomedToBegin } from '@/answers/choose-shot';
import { demoShoots } from '@/demo/seed';
import { taughtByEarlier } from '@/features/shoot/lessons';
import { ShootSketch } from '@/figures/ShootSketch';
import { groundById } from '@/presets/grounds';
import { kindOf } from '@/presets/grounds/board';
import { phrasesOf } from '@/presets/shot-phrases';
import { isDemo } from '@/records/list';
import { newId } from '@/records/new-id';
import { newShoot, onKnownGround } from '@/records/new-shoot';
import { useShootActions, useShoots } from '@/records/queries';
import { readSingle } from '@/records/storage';
import { PRACTICE } from '@/records/singles';
import type { Shoot } from '@/records/shoot';
import { Button, IconButton } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { KitFields } from './KitFields';
import { LampsField } from './LampsField';
import {
  asksForLamps,
  briefsOf,
  EMPTY_DRAFT,
  readDraft,
  titleOf,
  type Draft,
  type DraftProblems,
} from './new-draft';
import { Picked } from './Picked';
import { underPlace } from './point-words';
import { groundSketch, WhatBoard } from './WhatBoard';
import { WhenFields } from './WhenFields';
import { WhereField } from './WhereField';

const MOST_USED = 3;

/** Own shoots, the last changed first. */
const newestFirst = (shoots: readonly Shoot[]): readonly Shoot[] =>
  shoots.filter((shoot) => !isDemo(shoot)).sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));

/** One venue for each place and ground, the last shoot there. */
function venuesOf(own: readonly Shoot[]): readonly Shoot[] {
  const met = new Set<string>();
  return own.filter(({ place, ground }) => {
    const key = `${place.latitudeDeg} ${place.longitudeDeg} ${ground.template}`;
    return met.size !== met.add(key).size;
  });
}

function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <View role="group" aria-label={name} className="gap-3">
      <Heading level={2} kind="place">
        {name}
      </Heading>
      {children}
    </View>
  );
}

const counted = (count: number, one: string, more: string): string =>
  count === 1 ? `a ${one}` : `${count} ${more}`;

/** "Brings 2 marks, 3 places to stand and 6 shots people want there". */
function broughtBy(id: string): string {
  const { marks, positions } = groundById(id);
  return `Brings ${counted(marks.length, 'mark', 'marks')}, ${counted(positions.length, 'place', 'places')} to stand and ${counted(phrasesOf(id).length, 'shot', 'shots')} people want there`;
}

const NO_PROBLEMS: DraftProblems = {};
const NO_SHOOTS: readonly Shoot[] = [];

/** A new shoot: what, where, when and with what; six presses and a name, the rest can wait. */
export function NewShootScreen() {
  const router = useRouter();
  const { add, all } = useShootActions();
  const inks = useInks();
  const { data: shoots = NO_SHOOTS } = useShoots(demoShoots);
  const own = useMemo(() => newestFirst(shoots), [shoots]);
  const [draft, setDraft] = useState<Draft>(EMPTY_DRAFT);
  const [asked, setAsked] = useState(false);
  const [nowMs] = useState(() => Date.now());
  const scroll = useRef<ScrollView>(null);
  const where = useRef<TextInput>(null);
  const change = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const { groundId, place } = draft;
  const read = readDraft(draft, nowMs);
  const problems = asked && !read.ok ? read.problems : NO_PROBLEMS;
  const wrong = Object.values(problems);

  const pickGround = (id: string) => {
    change({ groundId: id, venue: undefined, bearingDeg: undefined });
    scroll.current?.scrollTo({ y: 0, animated: false });
    // What comes next is typed: the line is ready for it once it is drawn.
    setTimeout(() => where.current?.focus(), 0);
  };
  const pickVenue = (venue: Shoot) => {
    const { name, latitudeDeg, longitudeDeg } = venue.place;
    change({
      venue,
      groundId: venue.ground.template,
      bearingDeg: venue.ground.bearingDeg,
      place: { name: name ?? venue.title, latitudeDeg, longitudeDeg },
    });
  };
  /** What is there teaches what is made. */
  const make = async () => {
    setAsked(true);
    if (!read.ok) return;
    const [known, practice] = await Promise.all([all(demoShoots), readSingle(PRACTICE)]);
    const fresh = briefsOf(draft, read.form, newestFirst(known)).map((brief) => {
      const made = newShoot(brief, newId(), new Date().toISOString());
      const onGround = draft.venue ? onKnownGround(made, draft.venue) : made;
      return taughtByEarlier(zoomedToBegin(onGround), known, practice);
    });
    fresh.forEach(add);
    if (fresh[0]) router.replace(`/shoot/${fresh[0].id}/ground`);
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
        ref={scroll}
        role="main"
        keyboardShouldPersistTaps="handled"
        contentContainerClassName="mx-auto w-full max-w-[560px] gap-6 p-4 pb-10"
      >
        <Part name="What">
          {groundId ? (
            <Picked
              name={kindOf(groundId).short}
              detail={broughtBy(groundId)}
              what="the ground"
              drawing={<ShootSketch sketch={groundSketch(groundId)} sizePx={56} />}
              onChange={() => change({ groundId: undefined, venue: undefined })}
            />
          ) : (
            <WhatBoard
              used={[...new Set(own.map(({ ground }) => ground.template))].slice(0, MOST_USED)}
              error={problems.ground}
              onPick={pickGround}
            />
          )}
        </Part>
        <Part name="Where">
          {place ? (
            <Picked
              name={place.name}
              detail={
                draft.venue
                  ? `Its ground and lamps as in ${draft.venue.title}`
                  : underPlace(place.name, place.latitudeDeg, place.longitudeDeg)
              }
              what="the place"
              onChange={() => change({ place: undefined, venue: undefined, bearingDeg: undefined })}
            />
          ) : (
            <WhereField
              venues={venuesOf(own)}
              error={problems.place}
              inputRef={where}
              onPick={(picked) => change({ place: picked, venue: undefined })}
              onVenue={pickVenue}
            />
          )}
        </Part>
        <Part name="When">
          <WhenFields draft={draft} problems={problems} nowMs={nowMs} onChange={change}>
            {read.ok && !draft.venue && asksForLamps(draft, read.form) ? (
              <LampsField draft={draft} onChange={change} />
            ) : null}
          </WhenFields>
        </Part>
        <Part name="With what">
          <KitFields draft={draft} own={own} onChange={change} />
        </Part>
        <Part name="Name">
          <Field
            label="Title"
            value={draft.title}
            error={problems.title}
            placeholder={titleOf({ ...draft, title: '' })}
            onChangeText={(title) => change({ title })}
          />
        </Part>
      </ScrollView>
      <View className="border-t border-ink bg-paper p-3">
        <View className="mx-auto w-full max-w-[560px] gap-2">
          {wrong.length > 0 ? (
            <Text role="alert" kind="small" ink="signal">
              {`${wrong.length === 1 ? 'One thing is' : `${wrong.length} things are`} still missing or unclear: ${Object.keys(problems).join(', ')}.`}
            </Text>
          ) : null}
          <Button
            label={draft.weeks > 1 ? `Make ${draft.weeks} shoots` : 'Make the shoot'}
            kind="primary"
            onPress={() => void make()}
          />
        </View>
      </View>
    </View>
  );
}
