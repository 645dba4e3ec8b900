import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { JudgedFrame } from '@/features/shoot/JudgedFrame';
import { useDay } from '@/features/shoot/use-day';
import { useShown } from '@/features/shoot/open-shoot';
import { peopleIn, peopleOwed } from '@/answers/people-owed';
import { chosenMark } from '@/answers/view';
import { inALine } from '@/records/day-said';
import { behavioursOf, creatureOf } from '@/presets/field-tags';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import { Text } from '@/ui/Text';
import { runningLine } from './now-next';
import { NoteSheet } from '@/features/shoot/NoteSheet';
import { useField, type Seen } from './use-field';
import { useFieldTime } from './use-field-time';
import { usePlannedStay } from './use-plan-followed';

/** A large button for a gloved thumb: what it does, and how often it was done. */
function Tap({
  label,
  under,
  onPress,
  strong = false,
}: {
  readonly label: string;
  readonly under?: string;
  readonly onPress: () => void;
  readonly strong?: boolean;
}) {
  return (
    <Pressable
      role="button"
      onPress={onPress}
      className={`min-h-[58px] min-w-[56px] flex-1 items-center justify-center border border-ink px-1 active:opacity-60 ${strong ? 'bg-ink' : ''}`}
    >
      <Text kind="strong" className={`text-center ${strong ? 'text-paper' : ''}`}>
        {label}
      </Text>
      {under ? (
        <Text kind="small" className={`text-center ${strong ? 'text-paper' : ''}`}>
          {under}
        </Text>
      ) : null}
    </Pressable>
  );
}

/** How the last frame looked: each press is a reading of the light. */
export function Looked({ seen, few }: { readonly seen: Seen; readonly few: boolean }) {
  const { looked } = useField();
  return (
    <JudgedFrame
      large
      few={few}
      label="The last frame looked"
      onPress={(stops) => looked(seen, stops)}
    />
  );
}

/** Whether what is photographed is wild: then it comes and goes as it likes. */
const isWild = (shoot: Pick<Shoot, 'marks' | 'subjects' | 'choice'>): boolean =>
  subjectOf(shoot, chosenMark(shoot).subjectId).cautions?.includes('wildlife') ?? false;

const countOf = ({ log, choice }: Shoot, live: boolean, kind: 'keeper' | 'sighting'): number =>
  log.entries.filter(
    (entry) =>
      entry.kind === kind &&
      (live ? !entry.rehearsed : true) &&
      (kind === 'keeper' ? entry.shotId === choice.shotId : entry.markId === choice.markId),
  ).length;

/** Counters and notes. */
export function Taps() {
  const { shoot } = useShown('shoot');
  const { live } = useFieldTime();
  const { log, watching, watch, endWatch } = useField();
  const [noting, setNoting] = useState(false);
  const shot = shoot.shots.find(({ id }) => id === shoot.choice.shotId);
  const mark = chosenMark(shoot);
  const wild = isWild(shoot);
  const kept = countOf(shoot, live, 'keeper');
  const came = countOf(shoot, live, 'sighting');
  const name = creatureOf(subjectOf(shoot, mark.subjectId).name);
  const credit = useCredit();
  return (
    <View role="group" aria-label="Log" className="gap-2">
      <View className="flex-row gap-2">
        <Tap
          strong
          label="Keeper"
          under={shot ? `${kept} of ${shot.quota}` : `${kept}`}
          onPress={() =>
            log(
              { kind: 'keeper', ...credit.planned },
              `Keeper ${kept + 1}${shot ? ` of ${shot.quota}: ${shot.name}` : ''}${credit.names}`,
            )
          }
        />
        {wild ? (
          <Tap
            label="Sighting"
            under={`${came} ${name}`}
            onPress={() => log({ kind: 'sighting', name }, `${name} at ${mark.name}`)}
          />
        ) : null}
        {wild && live ? (
          <Tap
            label={watching ? 'End watch' : 'Watch'}
            under={watching ? `since ${watching.fromLocal.slice(11)}` : 'begins now'}
            onPress={() => (watching ? endWatch() : watch(mark.id))}
          />
        ) : null}
        <Tap label="Note" onPress={() => setNoting(true)} />
      </View>
      <Tags />
      <NoteSheet
        open={noting}
        onClose={() => setNoting(false)}
        onKeep={(text) => {
          log({ kind: 'note', text }, 'Note kept');
          setNoting(false);
        }}
      />
    </View>
  );
}

/** Whom a keeper shows as things are planned: everyone owed of the event that is on, unless one is elsewhere. */
function useCredit() {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { lines } = useDay();
  const running = shoot.choice.elsewhere ? undefined : runningLine(lines, atMs)?.event;
  const owed = peopleOwed(shoot);
  const shown = running
    ? peopleIn(running, shoot).filter(({ id }) => owed.some(({ person }) => person.id === id))
    : [];
  return {
    planned: {
      ...(running && { eventId: running.id }),
      ...(shown.length > 0 && { personIds: shown.map(({ id }) => id) }),
    },
    names: shown.length > 0 ? `, ${inALine(shown.map(({ name }) => name))}` : '',
    /** How it stands with someone, where anything is owed of them. */
    owedOf: (id: string) => owed.filter(({ person }) => person.id === id),
    event: running ? { eventId: running.id } : {},
  };
}

/** Who or what it was, by one press: those of the event that runs first. */
function Tags() {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { lines, state } = useDay();
  const { log, setElsewhere } = useField();
  const { following } = useFieldTime();
  const stay = usePlannedStay();
  const away = shoot.choice.elsewhere === true;
  const { owedOf, event } = useCredit();
  const entered = new Set(
    runningLine(lines, atMs)?.event.entries.flatMap(({ personId }) => personId ?? []),
  );
  const people = shoot.people
    .filter(({ scratched }) => !scratched)
    .sort((a, b) => Number(entered.has(b.id)) - Number(entered.has(a.id)));
  const behaviours = behavioursOf(
    subjectOf(shoot, chosenMark(shoot).subjectId),
    shoot.ground.template,
  );
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      contentContainerClassName="flex-row gap-2"
      role="group"
      aria-label="Tags"
    >
      {following && stay ? (
        <Tag
          label={away ? 'Back to the plan' : 'I am elsewhere'}
          onPress={() => setElsewhere(!away)}
        />
      ) : null}
      {following && !stay && !away && lines.length > 0 && state.kind === 'planning' ? (
        <View className="min-h-[56px] justify-center">
          <Text kind="small">Planning the day: place and lens may change</Text>
        </View>
      ) : null}
      {people.map(({ id, name, number }) => {
        const called = number ? `${number} ${name}` : name;
        const owed = owedOf(id);
        const had = owed.reduce((sum, { delivered }) => sum + delivered, 0);
        const all = owed.reduce((sum, { keepers }) => sum + keepers, 0);
        return owed.length > 0 ? (
          <Tag
            key={id}
            label={`${called}, ${had} of ${all}`}
            onPress={() => log({ kind: 'keeper', ...event, personIds: [id] }, `Keeper: ${name}`)}
          />
        ) : (
          <Tag
            key={id}
            label={called}
            onPress={() => log({ kind: 'athlete', name, personId: id }, `Logged: ${name}`)}
          />
        );
      })}
      {behaviours.map((name) => (
        <Tag
          key={name}
          label={name}
          onPress={() => log({ kind: 'behaviour', name }, `Logged: ${name}`)}
        />
      ))}
    </ScrollView>
  );
}

function Tag({ label, onPress }: { readonly label: string; readonly onPress: () => void }) {
  return (
    <Pressable
      role="button"
      onPress={onPress}
      className="min-h-[56px] min-w-[56px] items-center justify-center border border-line px-3 active:opacity-60"
    >
      <Text kind="label">{label}</Text>
    </Pressable>
  );
}
