import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Pencil from 'lucide-react-native/icons/pencil';
import { withShot } from '@/answers/choose-shot';
import { takenUp, type OwedShot } from '@/answers/owed';
import { phrasesLeft, shotOf } from '@/answers/promise';
import { PRIORITY_NAMES, TECHNIQUE_NAMES } from '@/features/shoot/brief-words';
import { owedInWords, owedSign } from '@/features/shoot/owed-words';
import { OwedSign } from '@/features/shoot/OwedSign';
import { useEdits, useOpenShoot, useShown } from '@/features/shoot/open-shoot';
import { useOwed } from '@/features/shoot/use-owed';
import { FIRST_SHOT, MOST_PROMISED, type Shot } from '@/records/brief';
import { withEntry } from '@/records/edit-brief';
import { newId } from '@/records/new-id';
import type { ShotPhrase } from '@/presets/shot-phrases';
import { Button, IconButton } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { ShotSheet } from './ShotSheet';

/** The shots owed, each with how it stands; pressing one takes it up, and everything else follows from it. */
export function OwedList() {
  const { setup, clock } = useShown('setup', 'clock');
  const { update } = useEdits();
  const { shots, choice } = setup;
  const owed = useOwed();
  const [edited, setEdited] = useState<Shot>();
  const [adding, setAdding] = useState(false);
  const { search } = useOpenShoot();
  const inks = useInks();
  const takeUp = ({ shot, served }: OwedShot) => {
    const taken = choice.shotId === shot.id ? undefined : shot;
    update((current) =>
      taken && served.served ? takenUp(current, served) : withShot(current, taken),
    );
    // What is looked for on the ground follows from the shot too.
    if (taken) search.setWish({ ...search.now.get().wish, light: taken.light });
  };
  return (
    <View role="region" aria-label="What was promised" className="gap-2">
      {shots.length === 0 ? (
        <Text ink="quiet">
          No shots yet. Add those you owe: each sets its own shutter, aperture and framing.
        </Text>
      ) : null}
      <View role="list" aria-label="Shots">
        {owed.map((entry) => {
          const { shot, quota } = entry;
          const taken = shot.id === choice.shotId;
          return (
            <View
              key={shot.id}
              role="listitem"
              className={`flex-row items-center border-b border-line ${taken ? 'border-l-4 border-l-signal pl-2' : ''}`}
            >
              <Pressable
                role="button"
                aria-pressed={taken}
                onPress={() => takeUp(entry)}
                className="min-h-touch shrink grow basis-0 flex-row items-center gap-2 py-1 active:opacity-60"
              >
                <View className="shrink grow basis-0">
                  <Text>
                    <Text kind="strong">{shot.name}</Text>
                    <Text kind="small" ink="quiet">
                      {` ${PRIORITY_NAMES[shot.priority].toLowerCase()}, ${quota} · ${TECHNIQUE_NAMES[shot.technique].toLowerCase()}`}
                    </Text>
                  </Text>
                  <Text kind="small">{`${owedInWords(entry, clock)}${taken ? ' · on the dials now' : ''}`}</Text>
                </View>
                <OwedSign sign={owedSign(entry)} />
              </Pressable>
              <IconButton label={`Change the shot ${shot.name}`} onPress={() => setEdited(shot)}>
                <Pencil color={inks.quiet} size={18} />
              </IconButton>
            </View>
          );
        })}
      </View>
      <Button
        label="Add a shot"
        kind={shots.length === 0 ? 'primary' : 'plain'}
        disabled={shots.length >= MOST_PROMISED}
        onPress={() => setAdding(true)}
      />
      {adding ? (
        <AddShot
          onOwn={() => {
            setAdding(false);
            setEdited({
              ...FIRST_SHOT,
              id: newId(),
              name: '',
              markId: choice.markId,
              orientation: choice.orientation,
            });
          }}
          onClose={() => setAdding(false)}
        />
      ) : null}
      {edited ? (
        <ShotSheet
          key={edited.id}
          shot={edited}
          fresh={!shots.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}

/** A shot begun from a phrase of this ground, all else filled in; or one of one's own. */
function AddShot({ onOwn, onClose }: { readonly onOwn: () => void; readonly onClose: () => void }) {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const add = (phrase: ShotPhrase) => {
    const id = newId();
    update((current) => {
      const shot = shotOf(current, phrase, id);
      return withShot(withEntry(current, 'shots', shot), shot);
    });
    onClose();
  };
  return (
    <Sheet title="Add a shot" open onClose={onClose}>
      <View role="list" aria-label="Wanted on this ground">
        {phrasesLeft(setup).map((phrase) => (
          <RowButton
            key={phrase.name}
            name={phrase.name}
            detail={`${TECHNIQUE_NAMES[phrase.technique].toLowerCase()}, ${phrase.quota === 1 ? 'one' : phrase.quota} of it, ${phrase.orientation}`}
            onPress={() => add(phrase)}
          />
        ))}
      </View>
      <Button label="Another shot, in your own words" onPress={onOwn} />
    </Sheet>
  );
}
