import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Pencil from 'lucide-react-native/icons/pencil';
import { useShootPage } from '@/features/shoot/ShootContext';
import { useSearchTool } from '@/features/ground/use-search';
import { FIRST_SHOT, MOST_PROMISED, type Shot } from '@/records/brief';
import { newId } from '@/records/new-id';
import { Button, IconButton } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { shotInWords } from './brief-words';
import { withShot } from '@/answers/choose-shot';
import { ShotSheet } from './ShotSheet';

/** The shots that were promised; pressing one takes it up, and everything else follows from it. */
export function Promised() {
  const { plan, update } = useShootPage();
  const { setup } = plan;
  const { shots, choice, marks } = setup;
  const [edited, setEdited] = useState<Shot>();
  const { wish, setWish } = useSearchTool();
  const inks = useInks();
  const takeUp = (shot: Shot) => {
    const taken = choice.shotId === shot.id ? undefined : shot;
    update((current) => withShot(current, taken));
    // What is looked for on the ground follows from the shot too.
    if (taken) setWish({ ...wish, light: taken.light });
  };
  const begin = () =>
    setEdited({
      ...FIRST_SHOT,
      id: newId(),
      name: '',
      markId: choice.markId,
      orientation: choice.orientation,
    });
  return (
    <View role="region" aria-label="What was promised" className="gap-2">
      <Heading level={2} kind="figure">
        What was promised
      </Heading>
      {shots.length === 0 ? (
        <Text ink="quiet">
          No shots yet. Add those you owe: each sets its own shutter, aperture and framing.
        </Text>
      ) : (
        <Text kind="small" ink="quiet">
          Press a shot to work on it; press it again to let it go.
        </Text>
      )}
      <View role="list" aria-label="Shots">
        {shots.map((shot) => {
          const taken = shot.id === choice.shotId;
          const mark = marks.find(({ id }) => id === shot.markId);
          return (
            <View
              key={shot.id}
              role="listitem"
              className={`flex-row items-center border-b border-line ${taken ? 'border-l-4 border-l-signal pl-2' : ''}`}
            >
              <Pressable
                role="button"
                aria-pressed={taken}
                onPress={() => takeUp(shot)}
                className="min-h-touch shrink grow basis-0 justify-center py-2 active:opacity-60"
              >
                <Text kind="strong">{shot.name}</Text>
                <Text kind="small" ink="quiet">
                  {`${shotInWords(shot)} · ${mark?.name ?? ''}${taken ? ' · on the dials now' : ''}`}
                </Text>
              </Pressable>
              <IconButton label={`Change the shot ${shot.name}`} onPress={() => setEdited(shot)}>
                <Pencil color={inks.ink} size={20} />
              </IconButton>
            </View>
          );
        })}
      </View>
      <Button label="Add a shot" disabled={shots.length >= MOST_PROMISED} onPress={begin} />
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
