import { useMemo } from 'react';
import { View } from 'react-native';
import { approachOf, gapsOf, LEAVES, LOOKS_UP, reactionsOf } from '@/answers/approach';
import { postsHere, type Post } from '@/answers/posts';
import { watchesAt } from '@/answers/nature';
import { chosenMark } from '@/answers/view';
import { demoShoots } from '@/demo/seed';
import {
  approachInWords,
  gapsInWords,
  postInWords,
  reactionsInWords,
} from '@/features/shoot/approach-words';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { addItem, hasRoom } from '@/records/edit-site';
import { newId } from '@/records/new-id';
import { useShoots } from '@/records/queries';
import { subjectOf } from '@/records/own-subject';
import { RowButton } from '@/ui/RowButton';
import { Heading, Text } from '@/ui/Text';

/** How near one may come, along what way, and when; nothing where nothing wild is met. */
export function ComingNear() {
  const { shoot, seen } = useShown('shoot', 'seen');
  const all = useShoots(demoShoots).data;
  const mark = chosenMark(shoot);
  const view = seen.ok ? seen.view : undefined;
  const gaps = useMemo(() => gapsOf(watchesAt(shoot, mark.id, all ?? [])), [shoot, mark.id, all]);
  const reactions = useMemo(() => reactionsOf(shoot, mark, all ?? []), [shoot, mark, all]);
  const way = useMemo(() => view && approachOf(shoot, view), [shoot, view]);
  if (!subjectOf(shoot, mark.subjectId).cautions?.includes('wildlife')) return null;
  const told = reactionsInWords(reactions);
  return (
    <View role="region" aria-label="Coming near" className="gap-1">
      <Heading level={2} kind="figure">
        Coming near
      </Heading>
      {told ? <Text>{told}</Text> : null}
      {way ? <Text>{approachInWords(way, mark.name)}</Text> : null}
      {gaps ? <Text>{gapsInWords(gaps)}</Text> : null}
      <Text kind="small" ink="quiet">
        {[
          ...(told
            ? []
            : [`Log “${LOOKS_UP}” and “${LEAVES}” in Field: from how far it does is told here.`]),
          ...(way ? [] : ['Draw a path to where you stand: how much of it is in sight is told.']),
          'Any change in what it does means too near; the law may ask for more.',
        ].join(' ')}
      </Text>
    </View>
  );
}

/** Posts and perches that were watched here before, to be taken up again. */
export function PostsHere() {
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const { update } = useEdits();
  const posts = useMemo(() => postsHere(shoot, all ?? []), [shoot, all]);
  const chosen = chosenMark(shoot);
  // What the visits above tell of is not told again.
  const others = posts.filter(
    ({ name, here }) => name !== chosen.name && (here || hasRoom(shoot, 'marks')),
  );
  if (others.length === 0) return null;
  const takeUp = ({ mark, name, here }: Post) =>
    update((current) => {
      const known = current.marks.find((one) => here && one.name === name);
      if (known) return { ...current, choice: { ...current.choice, markId: known.id } };
      const { carriedBy: _on, ...free } = mark;
      return addItem(current, 'marks', { ...free, id: newId() });
    });
  return (
    <View role="region" aria-label="Other posts here" className="gap-2">
      <Heading level={2} kind="figure">
        Other posts here
      </Heading>
      <View role="list" aria-label="Other posts">
        {others.map((post) => (
          <RowButton
            key={post.name}
            name={`Take up ${post.name}`}
            detail={postInWords(post)}
            onPress={() => takeUp(post)}
          />
        ))}
      </View>
    </View>
  );
}
