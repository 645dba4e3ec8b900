import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { asksForSomething, isLifted, type EvenRun } from '@/answers/even-out';
import type { MatchedFrame } from '@/answers/matched';
import { useShown } from '@/features/shoot/open-shoot';
import { EvenTicks } from '@/figures/EvenTicks';
import { writeEvenTable } from '@/formats/even-table';
import { Button } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { picturesInWords } from './caption-words';
import {
  cropInWords,
  evenRows,
  heldAgainstInWords,
  liftsInWords,
  overallInWords,
  pairsInWords,
  runInWords,
  turnsInWords,
} from './even-words';
import { ClockNotice } from './ClockNotice';
import { KeptOrAll } from './KeptOrAll';
import { useEven } from './use-even';

/** Runs shown at first, and with each "more". */
const RUNS_SHOWN = 8;

/** What pictures ask for so that those of one run look alike: lift, crop, level; and the list of it. */
export function EvenTab({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot } = useShown('shoot');
  const { runs, only, show, someKept } = useEven(frames);
  const [shown, setShown] = useState(RUNS_SHOWN);
  const { widthPx, onLayout } = useWidth('runs of pictures', 340);
  const asking = useMemo(() => runs?.filter(asksForSomething), [runs]);
  if (frames.length === 0) {
    return (
      <Text>Read the pictures first: what they ask for afterwards is said here, run by run.</Text>
    );
  }
  const choice = someKept ? (
    <View className="max-w-[200px]">
      <KeptOrAll only={only} onChange={show} />
    </View>
  ) : null;
  if (!runs || !asking) {
    return (
      <View className="gap-4">
        {choice}
        <Text role="status">Working it out…</Text>
      </View>
    );
  }
  const all = runs.flatMap((run) => run.frames);
  const lifted = all.filter(isLifted).length;
  const overall = overallInWords(asking);
  const rest = runs.length - asking.length;
  return (
    <View className="gap-4" onLayout={onLayout}>
      <View role="region" aria-label="To even out" className="gap-2">
        <Heading level={2} kind="figure">
          {lifted === 0
            ? `${picturesInWords(all.length)}, even as they are`
            : `${lifted} of ${all.length} to lift or bring down`}
        </Heading>
        {overall ? <Text>{overall}.</Text> : null}
        {choice}
        <ClockNotice frames={frames} />
      </View>
      {asking.length > 0 ? (
        <View role="list" aria-label="Runs" className="gap-4">
          {asking.slice(0, shown).map((run) => (
            <RunRow key={run.frames[0]?.matched.key} run={run} widthPx={widthPx} />
          ))}
        </View>
      ) : null}
      {asking.length > shown ? (
        <Button
          label={`Show more of ${asking.length} runs`}
          onPress={() => setShown((now) => now + RUNS_SHOWN)}
        />
      ) : null}
      {rest > 0 ? (
        <Text>{`${rest} ${rest === 1 ? 'run asks' : 'runs ask'} for nothing.`}</Text>
      ) : null}
      <Button
        label="Save the list (CSV)"
        kind="primary"
        onPress={() =>
          downloadText(
            `even-out-${shoot.startLocal.slice(0, 10)}.csv`,
            writeEvenTable(evenRows(shoot, runs)),
            'text/csv',
          )
        }
      />
      <Text kind="small" ink="quiet">
        By what the pictures say: time, aperture and ISO against the light as known, and within a
        press by how bright their small pictures are. Cameras bend tones, so look before you leave.
        The pictures are not touched.
      </Text>
    </View>
  );
}

function RunRow({ run, widthPx }: { readonly run: EvenRun; readonly widthPx: number }) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const [first, last] = [run.frames[0], run.frames.at(-1)];
  if (!first || !last) return null;
  const [from, to] = [clock(first.matched.atMs), clock(last.matched.atMs)];
  const lifts = liftsInWords(run);
  const crop = cropInWords(run);
  const paired = new Set(run.pairs.flatMap(({ brighter, darker }) => [brighter, darker]));
  return (
    <View role="listitem" className="gap-1 border-t border-line pt-2">
      <Heading level={3} kind="strong">
        {`${from === to ? from : `${from} to ${to}`}  ${runInWords(shoot, run)}`}
      </Heading>
      {run.frames.length > 1 && (lifts.length > 0 || paired.size > 0) ? (
        <EvenTicks
          ticks={run.frames.map(({ matched, liftStops = 0 }) => ({
            key: matched.key,
            liftStops,
            isPaired: paired.has(matched),
          }))}
          widthPx={widthPx}
          label={`${picturesInWords(run.frames.length)} in order; those under the line are too dark`}
        />
      ) : null}
      {[...lifts, ...pairsInWords(run), ...(crop ? [crop] : []), ...turnsInWords(run)].map(
        (words) => (
          <Text key={words}>{words}.</Text>
        ),
      )}
      <Text kind="small" ink="quiet">
        {[run.frames.length > 1 && picturesInWords(run.frames.length), heldAgainstInWords(run)]
          .filter(Boolean)
          .join(' · ')}
      </Text>
    </View>
  );
}
