import { useMemo, useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import Check from 'lucide-react-native/icons/check';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { eventTitle } from '@/records/day-said';
import { withoutFrames, withPicked } from '@/records/edit-log';
import { Button } from '@/ui/Button';
import { chooseFiles } from '@/ui/files';
import { Progress } from '@/ui/Progress';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';
import type { AgainstPlan } from '@/answers/against-plan';
import { ClockSection } from './ClockSection';
import { againstInWords, figuresInWords } from './log-rows';
import { pressesOf, standInWords, type MatchedFrame, type Press } from '@/answers/matched';
import { useThumbnails } from './thumbnails';
import { useAgainstPlan } from './use-against-plan';
import type { usePictures } from './use-pictures';
import type { Refused } from '@/workers/pictures-job';

/** Presses shown at first, of many and while more are read, and with each "more". */
const PRESSES_SHOWN = 12;
const PRESSES_OF_MANY = 4;
const MANY_PRESSES = 100;
const PRESSES_MORE = 24;
const PICTURES = 'image/*,.dng,.tif,.tiff,.raw,.heic';
/** Refused files that are named. */
const NAMED = 3;

/** Pictures read in by their own figures, as a contact sheet: what was taken when, and what is kept. */
export function PicturesTab({
  frames,
  pictures,
}: {
  readonly frames: readonly MatchedFrame[];
  readonly pictures: ReturnType<typeof usePictures>;
}) {
  const plan = useShown('setup', 'shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const { reading, refused, read, stop, readDemo } = pictures;
  const [more, setMore] = useState(0);
  const presses = useMemo(() => pressesOf(frames), [frames]);
  const first = reading || presses.length > MANY_PRESSES ? PRESSES_OF_MANY : PRESSES_SHOWN;
  const shown = first + more;
  const against = useAgainstPlan(plan.setup, presses);
  const thumbnailOf = useThumbnails(plan.shoot.id);
  const none = frames.length === 0;
  const clear = () => {
    update(withoutFrames);
    say({
      text: 'The pictures’ figures are out of the log',
      action: { label: 'Undo', onPress: undo },
    });
  };
  return (
    <View className="gap-4">
      {reading ? (
        <View className="gap-2">
          <Progress
            label={`${reading.done} of ${reading.of} pictures`}
            share={reading.done / reading.of}
          />
          <Button label="Stop" onPress={stop} />
        </View>
      ) : (
        <View className="gap-2">
          <Button
            label="Read pictures"
            kind={none ? 'primary' : 'plain'}
            onPress={() => void chooseFiles(PICTURES).then((files) => read(files))}
          />
          {readDemo && none ? (
            <Button label="Read the demo’s pictures" onPress={() => void readDemo()} />
          ) : null}
          <Text kind="small" ink="quiet">
            Only their figures are read, here in the browser: time, settings, focal length, stars.
            No picture leaves this device. JPEG, HEIC, DNG and other raw files built on TIFF.
          </Text>
        </View>
      )}
      {refused.length > 0 ? <LeftOut refused={refused} /> : null}
      {/* Lined up by all that is read: looked for before, they would hold the reading up. */}
      {none || reading ? null : <ClockSection frames={frames} />}
      <View role="list" aria-label="Contact sheet" className="gap-3">
        {presses.slice(0, shown).map((press) => (
          <PressRow
            key={press.frames[0]?.key}
            press={press}
            against={against.get(press.frames[0]?.key ?? '')}
            thumbnailOf={thumbnailOf}
          />
        ))}
      </View>
      {presses.length > shown ? (
        <Button
          label={`Show more of ${presses.length} presses`}
          onPress={() => setMore((now) => now + PRESSES_MORE)}
        />
      ) : null}
      {none ? null : (
        <>
          <Text kind="small" ink="quiet">
            The small pictures stay until this page is closed; the figures stay for good. Read the
            files again to see them again.
          </Text>
          <Button kind="quiet" label="Take the pictures out of the log" onPress={clear} />
        </>
      )}
    </View>
  );
}

/** Files that were no pictures, or damaged: the first by name, the others when asked for. */
function LeftOut({ refused }: { readonly refused: readonly Refused[] }) {
  const [isAll, setAll] = useState(false);
  const named = isAll ? refused : refused.slice(0, NAMED);
  return (
    <View className="gap-1">
      <Text role="alert">
        {`${refused.length} left out: ${named
          .map(({ name, reason }) => `${name} (${reason})`)
          .join(', ')}${named.length < refused.length ? ' and others' : ''}.`}
      </Text>
      {named.length < refused.length ? (
        <Button
          kind="quiet"
          label={`Name all ${refused.length} left out`}
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}

function PressRow({
  press,
  against,
  thumbnailOf,
}: {
  readonly press: Press;
  readonly against: AgainstPlan | undefined;
  readonly thumbnailOf: (key: string) => string | undefined;
}) {
  const { clock, shoot } = useShown('clock', 'shoot');
  const [first] = press.frames;
  if (!first) return null;
  const { shot, position } = standInWords(shoot, first.stand);
  const { event } = first;
  return (
    <View role="listitem" className="gap-1 border-t border-line pt-2">
      <Heading level={3} kind="strong">
        {`${clock(first.atMs)}  ${shot}`}
      </Heading>
      <Text kind="small" ink="quiet">
        {[
          event && eventTitle(event),
          `from ${position}${first.standBy === 'plan' ? ' by the plan' : ''}`,
          figuresInWords(first),
          against && againstInWords(against),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Text>
      <View className="flex-row flex-wrap gap-1">
        {press.frames.map((frame) => (
          <FrameCell key={frame.key} matched={frame} thumbnail={thumbnailOf(frame.key)} />
        ))}
      </View>
    </View>
  );
}

const CELL_PX = 86;

function FrameCell({
  matched,
  thumbnail,
}: {
  readonly matched: MatchedFrame;
  readonly thumbnail: string | undefined;
}) {
  const { update } = useEdits();
  const inks = useInks();
  const { frame, kept, key } = matched;
  const { rating } = frame;
  return (
    <Pressable
      role="checkbox"
      aria-checked={kept}
      aria-label={`${frame.name}, ${figuresInWords(matched)}${rating ? `, ${rating} of 5` : ''}, ${kept ? '' : 'not '}kept`}
      onPress={() => update((current) => withPicked(current, new Set([key]), !kept))}
      style={{ width: CELL_PX }}
      className="active:opacity-60"
    >
      <View
        style={{ width: CELL_PX, height: CELL_PX }}
        className={`items-center justify-center bg-sheet ${kept ? 'border-4 border-signal' : 'border border-line'}`}
      >
        {thumbnail ? (
          <Image
            source={{ uri: thumbnail }}
            resizeMode="contain"
            aria-hidden
            style={{ width: '100%', height: '100%' }}
          />
        ) : (
          <Text kind="tiny" ink="quiet" className="px-1 text-center">
            {frame.name}
          </Text>
        )}
        {kept ? (
          <View className="absolute bottom-0 right-0 bg-signal p-[2px]">
            <Check color={inks.paper} size={14} strokeWidth={3} />
          </View>
        ) : null}
      </View>
      <Text kind="tiny" ink={kept ? 'ink' : 'quiet'} numberOfLines={1}>
        {kept ? 'Kept' : rating ? `${rating} of 5` : 'Not kept'}
      </Text>
    </Pressable>
  );
}
