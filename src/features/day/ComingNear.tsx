import { useMemo, useState } from 'react';
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
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';

/** How near one may come, along what way, and when: a press deeper; nothing where nothing wild is met. */
export function ComingNear() {
  const { shoot, seen } = useShown('shoot', 'seen');
  const [open, setOpen] = useState(false);
  const all = useShoots(demoShoots).data;
  const mark = chosenMark(shoot);
  const view = seen.ok ? seen.view : undefined;
  const gaps = useMemo(() => gapsOf(watchesAt(shoot, mark.id, all ?? [])), [shoot, mark.id, all]);
  const reactions = useMemo(() => reactionsOf(shoot, mark, all ?? []), [shoot, mark, all]);
  const way = useMemo(() => view && approachOf(shoot, view), [shoot, view]);
  if (!subjectOf(shoot, mark.subjectId).cautions?.includes('wildlife')) return null;
  const lines = [
    ...[reactionsInWords(reactions)].flatMap((told) => told ?? []),
    ...(way ? [approachInWords(way, mark.name)] : []),
    ...(gaps ? [gapsInWords(gaps)] : []),
  ];
  return (
    <View role="list" aria-label="Coming near">
      <RowButton
        name="Coming near"
        detail={lines[0] ?? 'From how far it looks up, your way in, other posts here'}
        onPress={() => setOpen(true)}
      />
      {open ? (
        <Sheet title="Coming near" open onClose={() => setOpen(false)}>
          {lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          <Text kind="small" ink="quiet">
            {[
              ...(reactions.length > 0
                ? []
                : [
                    `Log “${LOOKS_UP}” and “${LEAVES}” in Field: from how far it does is told here.`,
                  ]),
              ...(way
                ? []
                : ['Draw a path to where you stand: how much of it is in sight is told.']),
              'Any change in what it does means too near; the law may ask for more.',
            ].join(' ')}
          </Text>
          <PostsHere onTaken={() => setOpen(false)} />
        </Sheet>
      ) : null}
    </View>
  );
}

/** Posts and perches that were watched here before, to be taken up again. */
function PostsHere({ onTaken }: { readonly onTaken: () => void }) {
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
  const takeUp = ({ mark, name, here }: Post) => {
    update((current) => {
      const known = current.marks.find((one) => here && one.name === name);
      if (known) return { ...current, choice: { ...current.choice, markId: known.id } };
      const { carriedBy: _on, ...free } = mark;
      return addItem(current, 'marks', { ...free, id: newId() });
    });
    onTaken();
  };
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
