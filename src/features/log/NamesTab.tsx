import { useMemo, useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import {
  captionedPresses,
  captionOf,
  captionsOf,
  eventsAbout,
  type Candidate,
  type CaptionedPress,
} from '@/answers/captions';
import { pressesOf, type MatchedFrame } from '@/answers/matched';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { FIRST_CAPTIONS } from '@/records/captions';
import { eventTitle } from '@/records/day-said';
import { withEvent, withPicked, withWho } from '@/records/edit-log';
import { whoKey, type Who } from '@/records/frames';
import { CAPTIONS } from '@/records/singles';
import { localSecondOf } from '@/records/times';
import { useSingle } from '@/records/use-single';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { downloadBlob } from '@/ui/files';
import { onKeysAround } from '@/ui/keys';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { useIsWide } from '@/ui/use-shape';
import { readFileApart } from '@/workers/files-client';
import { CaptionSheet } from './CaptionSheet';
import { namedInWords, pressInWords } from './caption-words';
import { useThumbnails } from './thumbnails';

const ALL = 'all';
const KEPT = 'kept';

/** Which presses are named, and which of them is looked at. */
export function useNames(frames: readonly MatchedFrame[]) {
  const { shoot } = useShown('shoot');
  const { record: how = FIRST_CAPTIONS } = useSingle(CAPTIONS);
  const someKept = frames.some(({ kept }) => kept);
  const [which, setWhich] = useState<typeof ALL | typeof KEPT>();
  const [at, setAt] = useState(0);
  const only = which ?? (someKept ? KEPT : ALL);
  const presses = useMemo(
    () => pressesOf(only === KEPT ? frames.filter(({ kept }) => kept) : frames),
    [frames, only],
  );
  const captioned = useMemo(() => captionedPresses(shoot, presses), [shoot, presses]);
  return {
    ...{ captioned, how, only, someKept, none: frames.length === 0 },
    at: Math.max(0, Math.min(at, captioned.length - 1)),
    go: (to: number) => setAt(Math.max(0, Math.min(captioned.length - 1, to))),
    show: (value: typeof ALL | typeof KEPT) => {
      setWhich(value);
      setAt(0);
    },
  };
}
type Names = ReturnType<typeof useNames>;

const isNameless = ({ named }: CaptionedPress) => named.who.length === 0 && named.by !== 'hand';

/** Who is on the pictures, press by press. */
export function NamesTab({ names }: { readonly names: Names }) {
  const { shoot } = useShown('shoot');
  const { captioned, how, only, someKept, none, at, go, show } = names;
  const press = captioned[at];
  const first = press?.press.frames[0];
  if (none) {
    return <Text>Read the pictures first: who is on them is said here, press by press.</Text>;
  }
  const nameless = captioned.filter(isNameless).length;
  const next = captioned.findIndex((one, i) => i > at && isNameless(one));
  return (
    <View className="gap-4">
      <View role="region" aria-label="Named" className="gap-1">
        <Heading level={2} kind="figure">
          {nameless === 0
            ? 'Who is on every press is settled'
            : `${captioned.length - nameless} of ${captioned.length} presses settled`}
        </Heading>
        {someKept ? (
          <Choice
            label="Pictures"
            value={only}
            options={[
              { value: KEPT, label: 'Kept' },
              { value: ALL, label: 'All' },
            ]}
            onChange={show}
          />
        ) : null}
      </View>
      {press && first ? (
        <PressNames
          captioned={press}
          before={captioned[at - 1]}
          caption={captionOf(shoot, first, press.named, press.candidates, how).text}
          at={at}
          of={captioned.length}
          onGo={go}
        />
      ) : (
        <Text>No picture is kept: choose All, or keep some in Pictures.</Text>
      )}
      {next >= 0 ? <Button label="To the next not settled" onPress={() => go(next)} /> : null}
    </View>
  );
}

/** How captions are written, and their way out. */
export function CaptionsOut({ names }: { readonly names: Names }) {
  const { shoot } = useShown('shoot');
  const say = useToast();
  const [written, setWritten] = useState(false);
  const { captioned, how, none } = names;
  const save = async () => {
    const captions = captionsOf(shoot, captioned, how);
    try {
      const zip = await readFileApart((service) => service.captions(captions));
      const name = `captions-${shoot.startLocal.slice(0, 10)}.zip`;
      downloadBlob(name, new Blob([new Uint8Array(zip)], { type: 'application/zip' }));
      say({ text: `${name}: ${captions.length} sidecars and a table` });
    } catch (error) {
      say({ text: `The captions could not be written: ${(error as Error).message}` });
    }
  };
  if (none) return null;
  return (
    <View className="gap-2 pt-4">
      <Button label="How captions are written" onPress={() => setWritten(true)} />
      <Button label="Save the captions" kind="primary" onPress={() => void save()} />
      <Text kind="small" ink="quiet">
        An XMP sidecar for each picture, named after it, and a table, in one ZIP: put the sidecars
        beside the pictures, and picture editors read them. The pictures themselves are not touched.
      </Text>
      {written ? <CaptionSheet onClose={() => setWritten(false)} /> : null}
    </View>
  );
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** The key that names each candidate: the lane, else a letter. */
function keysOf(candidates: readonly Candidate[]): readonly (string | undefined)[] {
  let letter = 0;
  return candidates.map(({ lane }) =>
    lane !== undefined && lane >= 0 && lane <= 9 ? String(lane) : LETTERS[letter++],
  );
}

const PX = 112;
const THUMBNAILS = 3;
const MOST_EVENTS = 8;

function PressNames({
  captioned,
  before,
  caption,
  at,
  of,
  onGo,
}: {
  readonly captioned: CaptionedPress;
  readonly before: CaptionedPress | undefined;
  readonly caption: string;
  readonly at: number;
  readonly of: number;
  readonly onGo: (to: number) => void;
}) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const thumbnailOf = useThumbnails(shoot.id);
  const wide = useIsWide();
  const [choosing, setChoosing] = useState(false);
  const { press, candidates, named, event } = captioned;
  const { frames } = press;
  const keys = new Set(frames.map(({ key }) => key));
  const kept = frames.every((frame) => frame.kept);
  const say = (who: readonly Who[]) => update((current) => withWho(current, keys, who));
  const isOn = ({ key }: Candidate) => named.who.some((who) => whoKey(who) === key);
  const toggle = (one: Candidate) =>
    say(isOn(one) ? named.who.filter((who) => whoKey(who) !== one.key) : [...named.who, one.who]);
  const asBefore = () => {
    if (!before) return;
    say(before.named.who);
    onGo(at + 1);
  };
  const keep = () => update((current) => withPicked(current, keys, !kept));
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
        ArrowRight: () => onGo(at + 1),
        ArrowLeft: () => onGo(at - 1),
        Enter: asBefore,
        ' ': keep,
      })}
    >
      <View className="flex-row gap-1">
        {frames.slice(0, THUMBNAILS).map(({ key, frame }) => (
          <Thumbnail key={key} name={frame.name} uri={thumbnailOf(key)} />
        ))}
      </View>
      <Heading level={3} kind="strong">
        {pressInWords(
          frames.map(({ frame }) => frame.name),
          localSecondOf(first.atMs, shoot.place.timeZone).slice(11),
        )}
      </Heading>
      <View role="list" aria-label="Its event">
        <RowButton
          name={event ? eventTitle(event) : 'No event'}
          detail={
            first.frame.eventId !== undefined
              ? 'as you said'
              : event
                ? 'by its time'
                : 'none runs then'
          }
          onPress={() => setChoosing(true)}
        />
      </View>
      <View role="group" aria-label="Who may be on it" className="flex-row flex-wrap gap-2">
        {candidates.map((one, i) => (
          <Pressable
            key={one.key}
            role="checkbox"
            aria-checked={isOn(one)}
            aria-label={[one.name, one.number, one.team].filter(Boolean).join(', ')}
            {...(letters[i] && { 'aria-keyshortcuts': letters[i] })}
            onPress={() => toggle(one)}
            className={`min-h-[52px] min-w-[30%] grow flex-row items-center gap-2 border px-2 active:opacity-60 ${isOn(one) ? 'border-ink bg-ink' : 'border-ink'}`}
          >
            <Text kind="figure" aria-hidden className={isOn(one) ? 'text-paper' : ''}>
              {letters[i] ?? ''}
            </Text>
            <View className="shrink">
              <Text kind="label" className={isOn(one) ? 'text-paper' : ''}>
                {one.name}
              </Text>
              {one.team || one.number ? (
                <Text kind="tiny" className={isOn(one) ? 'text-paper' : 'text-quiet'}>
                  {[one.number, one.team].filter(Boolean).join(', ')}
                </Text>
              ) : null}
            </View>
          </Pressable>
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
      </View>
      <View className="flex-row items-center gap-2">
        <Button label="Before" disabled={at === 0} onPress={() => onGo(at - 1)} />
        <Text className="flex-1 text-center">{`${at + 1} of ${of}`}</Text>
        <Button label="Next" kind="primary" disabled={at + 1 >= of} onPress={() => onGo(at + 1)} />
      </View>
      {wide ? (
        <Text kind="small" ink="quiet">
          Keys: the sign before a name; arrows go on and back; Enter, the same as before; Space
          keeps.
        </Text>
      ) : null}
      <Sheet title="Which event is it?" open={choosing} onClose={() => setChoosing(false)}>
        <View role="list" aria-label="Events about then">
          {eventsAbout(shoot, captioned, MOST_EVENTS).map((one) => (
            <RowButton
              key={one.id}
              name={eventTitle(one)}
              detail={one.startLocal.slice(11)}
              onPress={() => {
                update((current) => withEvent(current, keys, one.id));
                setChoosing(false);
              }}
            />
          ))}
        </View>
        <Button
          label="None of them"
          onPress={() => {
            update((current) => withEvent(current, keys, null));
            setChoosing(false);
          }}
        />
      </Sheet>
    </View>
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
