import { useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import { eventsAbout, type Candidate, type CaptionedPress } from '@/answers/captions';
import { useShown } from '@/features/shoot/open-shoot';
import { eventTitle } from '@/records/day-said';
import { localSecondOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { onKeysAround, type KeyPress } from '@/ui/keys';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { eventKnownInWords, namedInWords, pressInWords, togetherInWords } from './caption-words';
import { useThumbnails } from './thumbnails';
import type { Names } from './use-names';
import { usePress } from './use-press';

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** The key that names each candidate: the lane, else a letter. */
function keysOf(candidates: readonly Candidate[]): readonly (string | undefined)[] {
  let letter = 0;
  return candidates.map(({ lane }) =>
    lane !== undefined && lane >= 0 && lane <= 9 ? String(lane) : LETTERS[letter++],
  );
}

const PX = 88;
const THUMBNAILS = 3;
const MOST_EVENTS = 8;

/** One press: who may be on it, by thumb or by key; what is said holds for all presses taken together with it. */
export function PressNames({
  names,
  captioned,
  caption,
}: {
  readonly names: Names;
  readonly captioned: CaptionedPress;
  readonly caption: string;
}) {
  const { shoot } = useShown('shoot');
  const thumbnailOf = useThumbnails(shoot.id);
  const shape = useShape();
  const [choosing, setChoosing] = useState(false);
  const { captioned: all, at, from, to, go, isTogether } = names;
  const { before, taken, kept, isOn, say, goOn, toggle, asBefore, soItIs, toEvent, keep } =
    usePress(names);
  const { press, candidates, named, event } = captioned;
  const { frames } = press;
  const put = (id: string | null) => {
    toEvent(id);
    setChoosing(false);
  };
  /** With Shift the press gone to is taken together with those before it. */
  const arrow = (by: 1 | -1) => (pressed: KeyPress) => {
    if (!pressed.shiftKey) return goOn(by);
    if (!isTogether) names.together(true);
    go(at + by);
  };
  const letters = keysOf(candidates);
  const byKey = Object.fromEntries(
    candidates.flatMap((one, i) => {
      const key = letters[i];
      return key === undefined ? [] : [[key, () => toggle(one)] as const];
    }),
  );
  const first = frames[0];
  if (!first) return null;
  return (
    <View
      role="region"
      aria-label="Who is on it"
      tabIndex={0}
      className="gap-3 border-t border-ink pt-2"
      {...onKeysAround({
        ...byKey,
        ArrowRight: arrow(1),
        ArrowLeft: arrow(-1),
        ArrowDown: soItIs,
        Enter: asBefore,
        ' ': keep,
      })}
    >
      <View className={shape === 'upright' ? 'gap-3' : 'flex-row gap-3'}>
        <View className="flex-row gap-1">
          {frames.slice(0, shape === 'level' ? 1 : THUMBNAILS).map(({ key, frame }) => (
            <Thumbnail key={key} name={frame.name} uri={thumbnailOf(key)} />
          ))}
        </View>
        <View className="min-w-0 flex-1 gap-1">
          <View className="flex-row items-baseline justify-between gap-2">
            <Heading level={3} kind="strong" className="min-w-0 shrink">
              {isTogether
                ? togetherInWords(to - from + 1, taken.length)
                : pressInWords(
                    frames.map(({ frame }) => frame.name),
                    localSecondOf(first.atMs, shoot.place.timeZone).slice(11),
                  )}
            </Heading>
            <Text kind="small">{`${at + 1} of ${all.length}`}</Text>
          </View>
          <View role="list" aria-label="Its event">
            <RowButton
              name={event ? eventTitle(event) : 'No event'}
              detail={eventKnownInWords(first, shoot.events.length > 0)}
              onPress={() => setChoosing(true)}
            />
          </View>
        </View>
      </View>
      <View role="group" aria-label="Who may be on it" className="flex-row flex-wrap gap-2">
        {candidates.map((one, i) => (
          <CandidateButton
            // Two of one name may start in one event.
            key={`${i} ${one.key}`}
            one={one}
            sign={letters[i]}
            isOn={isOn(one)}
            onPress={() => toggle(one)}
          />
        ))}
      </View>
      {candidates.length === 0 ? (
        <Text ink="quiet">
          Nobody is known here: give the event its starters in Day, or the brief those to find.
        </Text>
      ) : null}
      <Text kind="small" ink="quiet">
        {namedInWords(named)}
      </Text>
      <Text>{caption}</Text>
      <View className="flex-row flex-wrap gap-2">
        {before ? <Button label="Same as before" onPress={asBefore} /> : null}
        <Button label="Nobody" onPress={() => say([])} />
        <Button label={kept ? 'Not kept' : 'Keep'} onPress={keep} />
        <Button
          label={isTogether ? 'This one alone' : 'Take more together'}
          onPress={() => names.together(!isTogether)}
        />
      </View>
      {shape === 'wide' ? <PressSteps names={names} /> : null}
      {shape === 'wide' ? (
        <Text kind="small" ink="quiet">
          Keys: the sign before a name; arrows go on and back, with Shift they take more together;
          down, so it is; Enter, the same as before; Space keeps.
        </Text>
      ) : null}
      <Sheet title="Which event is it?" open={choosing} onClose={() => setChoosing(false)}>
        {isTogether ? <Text>{`For ${togetherInWords(to - from + 1, taken.length)}.`}</Text> : null}
        <View role="list" aria-label="Events about then">
          {eventsAbout(shoot, captioned, MOST_EVENTS).map((one) => (
            <RowButton
              key={one.id}
              name={eventTitle(one)}
              detail={one.startLocal.slice(11)}
              onPress={() => put(one.id)}
            />
          ))}
        </View>
        <Button label="None of them" onPress={() => put(null)} />
      </Sheet>
    </View>
  );
}

/** Back, so it is, on: under the thumb on a phone. */
export function PressSteps({ names }: { readonly names: Names }) {
  const { step, soItIs } = usePress(names);
  const { at, captioned } = names;
  const last = captioned.length - 1;
  return (
    <View role="group" aria-label="Through the presses" className="flex-row gap-2">
      <View className="flex-1">
        <Button label="Before" disabled={at <= 0} onPress={() => step(-1)} />
      </View>
      <View className="flex-1">
        <Button label="So it is" onPress={soItIs} />
      </View>
      <View className="flex-1">
        <Button label="Next" kind="primary" disabled={at >= last} onPress={() => step(1)} />
      </View>
    </View>
  );
}

function CandidateButton({
  one,
  sign,
  isOn,
  onPress,
}: {
  readonly one: Candidate;
  readonly sign: string | undefined;
  readonly isOn: boolean;
  readonly onPress: () => void;
}) {
  const { name, number, team } = one;
  return (
    <Pressable
      role="checkbox"
      aria-checked={isOn}
      aria-label={[name, number, team].filter(Boolean).join(', ')}
      {...(sign && { 'aria-keyshortcuts': sign })}
      onPress={onPress}
      className={`min-h-[52px] min-w-[30%] grow flex-row items-center gap-2 border border-ink px-2 active:opacity-60 ${isOn ? 'bg-ink' : ''}`}
    >
      <Text kind="figure" aria-hidden className={isOn ? 'text-paper' : ''}>
        {sign ?? ''}
      </Text>
      <View className="shrink">
        <Text kind="label" className={isOn ? 'text-paper' : ''}>
          {name}
        </Text>
        {team || number ? (
          <Text kind="tiny" className={isOn ? 'text-paper' : 'text-quiet'}>
            {[number, team].filter(Boolean).join(', ')}
          </Text>
        ) : null}
      </View>
    </Pressable>
  );
}

function Thumbnail({ name, uri }: { readonly name: string; readonly uri: string | undefined }) {
  return (
    <View
      style={{ width: PX, height: PX }}
      className="items-center justify-center border border-line bg-sheet"
    >
      {uri ? (
        <Image
          source={{ uri }}
          resizeMode="contain"
          aria-label={name}
          style={{ width: '100%', height: '100%' }}
        />
      ) : (
        <Text kind="tiny" ink="quiet" className="px-1 text-center">
          {name}
        </Text>
      )}
    </View>
  );
}
