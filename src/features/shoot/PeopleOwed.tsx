import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { peopleOwed } from '@/answers/people-owed';
import type { Person } from '@/records/brief';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';
import { personInWords } from './brief-words';
import { useEdits, useShown } from './open-shoot';
import {
  byClient,
  owedCounted,
  owedInFull,
  owedInShort,
  owedLines,
  rescueInWords,
  withRescue,
  type OwedLine,
  type OwedState,
  type Rescue,
} from './people-owed';
import { OwedSign } from './OwedSign';
import { useDay } from './use-day';

/** Everyone owed, as it stands at the minute looked at. */
export function useOwedLines(): readonly OwedLine[] {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { all: lines } = useDay();
  const { people, events, shots, log, place } = shoot;
  const owed = useMemo(
    () => peopleOwed({ people, events, shots, log, place }),
    [people, events, shots, log, place],
  );
  return useMemo(() => owedLines(owed, lines, atMs), [owed, lines, atMs]);
}

const SIGN = {
  met: 'had',
  planning: 'asking',
  coming: 'works',
  passed: 'partly',
  lost: 'not',
} as const satisfies Record<OwedState['kind'], string>;

/** Who is owed, in view: a line for each client, pressed for all of it. */
export function PeopleOwed({ brief = false }: { readonly brief?: boolean }) {
  const { clock } = useShown('clock');
  const lines = useOwedLines();
  const inks = useInks();
  const [open, setOpen] = useState(false);
  if (lines.length === 0) return null;
  const lost = lines.filter(({ state }) => state.kind === 'lost');
  const shown = brief ? lines.filter(({ state }) => state.kind !== 'met') : lines;
  return (
    <View role="region" aria-label="Who is owed">
      <Pressable
        role="button"
        onPress={() => setOpen(true)}
        className={`min-h-touch flex-row items-center justify-between border-y border-line py-1 active:opacity-60 ${lost.length > 0 ? 'border-l-4 border-l-signal pl-2' : ''}`}
      >
        <View className="min-w-0 shrink grow">
          <Text kind="strong">{`Owed: ${owedCounted(lines)}`}</Text>
          {brief ? (
            <Text kind="small" numberOfLines={2}>
              {[...shown]
                .sort((a, b) => startOf(a) - startOf(b))
                .map((line) => owedInShort(line, clock))
                .join(' · ')}
            </Text>
          ) : (
            byClient(shown).map(([client, theirs]) => (
              <Text key={client} kind="small">
                {client ? <Text kind="label">{`${client}: `}</Text> : null}
                {theirs.map((line) => owedInShort(line, clock)).join(' · ')}
              </Text>
            ))
          )}
        </View>
        <ChevronRight color={inks.quiet} size={22} />
      </Pressable>
      {open ? <OwedSheet lines={lines} onClose={() => setOpen(false)} /> : null}
    </View>
  );
}

/** The lane is the event's. */
const withoutLane = ({ lane: _lane, ...person }: Person): Partial<Person> => person;

/** Whoever is lost first, then by the clock. */
const startOf = ({ state }: OwedLine): number =>
  state.kind === 'lost' ? -Infinity : state.kind === 'coming' ? state.line.startMs : Infinity;

function OwedSheet({
  lines,
  onClose,
}: {
  readonly lines: readonly OwedLine[];
  readonly onClose: () => void;
}) {
  const { shoot, clock } = useShown('shoot', 'clock');
  return (
    <Sheet title="Who is owed" open onClose={onClose}>
      {byClient(lines).map(([client, theirs]) => (
        <View key={client} className="gap-1">
          <Heading level={3} kind="label">
            {client || (lines.length === theirs.length ? 'Everyone' : 'For nobody in particular')}
          </Heading>
          <View role="list" aria-label={client || 'Everyone'}>
            {theirs.map((line) => {
              const { owed, state } = line;
              const known = personInWords(withoutLane(owed.person));
              return (
                <View key={owed.key} role="listitem" className="gap-1 border-b border-line py-2">
                  <View className="flex-row items-center justify-between gap-2">
                    <Text kind="strong" className="min-w-0 shrink">
                      {known ? `${owed.person.name} (${known})` : owed.person.name}
                    </Text>
                    <OwedSign sign={SIGN[state.kind]} />
                  </View>
                  <Text kind="small">{owedInFull(line, shoot, clock)}</Text>
                  {state.kind === 'lost' && state.rescue ? (
                    <RescueButton name={owed.person.name} rescue={state.rescue} />
                  ) : null}
                </View>
              );
            })}
          </View>
        </View>
      ))}
    </Sheet>
  );
}

/** What would meet someone after all, by one press. */
export function RescueButton({ name, rescue }: { readonly name: string; readonly rescue: Rescue }) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { update, undo } = useEdits();
  const say = useToast();
  return (
    <View className="gap-1">
      <Text kind="small">{rescueInWords(rescue, shoot, clock)}</Text>
      <Button
        label={`Shoot ${name} after all`}
        onPress={() => {
          update((current) => withRescue(current, rescue));
          say({
            text: `${name} is shot; ${rescue.gives.length === 1 ? 'one event is' : `${rescue.gives.length} events are`} left out`,
            action: { label: 'Undo', onPress: undo },
          });
        }}
      />
    </View>
  );
}
