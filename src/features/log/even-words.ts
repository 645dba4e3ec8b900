import { DELIVERED_LONG_SIDE_PX } from '@/core';
import { liftsOf, type EvenRun } from '@/answers/even-out';
import { standInWords } from '@/answers/matched';
import { percent, stops } from '@/features/shoot/words';
import type { EvenRow } from '@/formats/even-table';
import { eventTitle, inALine } from '@/records/day-said';
import type { Shoot } from '@/records/shoot';
import { localSecondOf } from '@/records/times';

/** What is said of pictures that are to look alike. */

/** So many names are listed; of more, the first and the last. */
const NAMED = 4;
const plain = (name: string): string => name.replace(/\.[^.]+$/, '');

/** "LMR_0001, LMR_0003 and LMR_0007", "LMR_0001 to LMR_0031". */
function namesInWords(names: readonly string[]): string {
  const stems = names.map(plain);
  return stems.length > NAMED ? `${stems[0]} … ${stems.at(-1)}` : inALine(stems);
}

/** "Lift 0.7 stop on these 14: LMR_0001 … LMR_0031". */
export const liftsInWords = (run: EvenRun): readonly string[] =>
  liftsOf(run).map(
    ({ stops: by, names }) =>
      `${by > 0 ? 'Lift' : 'Bring down'} ${stops(Math.abs(by))} on ${
        names.length === run.frames.length && names.length > 1
          ? `all ${names.length}`
          : `${names.length === 1 ? '' : `these ${names.length}: `}${namesInWords(names)}`
      }`,
  );

/** So many lifts are named over all runs. */
const LIFTS_NAMED = 3;

/** "Over all runs: lift 2.1 stops on 47, bring down 0.5 stop on 3"; nothing where one run says it. */
export function overallInWords(runs: readonly EvenRun[]): string | undefined {
  const lifted = runs.filter((run) => liftsOf(run).length > 0);
  if (lifted.length < 2) return undefined;
  const lifts = liftsOf({ frames: lifted.flatMap((run) => run.frames) }).slice(0, LIFTS_NAMED);
  const said = lifts.map(
    ({ stops: by, names }) =>
      `${by > 0 ? 'lift' : 'bring down'} ${stops(Math.abs(by))} on ${names.length}`,
  );
  return `Over all runs: ${said.join(', ')}`;
}

/** Light less sure than this evens nothing out but neighbours. No source. */
const SURE_ENOUGH_STOPS = 1;

/** By what it is known how bright a run should be. */
export function heldAgainstInWords({ sigmaStops, standBy }: EvenRun): string {
  if (sigmaStops === undefined) {
    return 'held against each other: where you stood is not in the plan any more';
  }
  const known =
    sigmaStops > SURE_ENOUGH_STOPS
      ? `the light is only known to ${stops(sigmaStops)}, so less than that is not told`
      : `light known to ${stops(sigmaStops)}`;
  return standBy === 'plan' ? `${known}, taking it that you stood as planned` : known;
}

/** "Lamps flickered: LMR_0003 caught 0.8 stop more than LMR_0004. Match their colour too". */
export const pairsInWords = ({ pairs }: EvenRun): readonly string[] =>
  pairs.map(
    ({ brighter, darker, stops: by }) =>
      `Lamps flickered: ${plain(brighter.frame.name)} caught ${stops(by)} more than ${plain(darker.frame.name)}. Match their colour too`,
  );

/** "12 MP left after the crop to 60 % fill, on 14". */
export function cropInWords({ frames }: EvenRun): string | undefined {
  const crops = frames.flatMap(({ crop }) => crop ?? []);
  const [first] = crops;
  if (!first) return undefined;
  const left = crops.map(({ megapixels }) => megapixels);
  const [least, most] = [Math.min(...left), Math.max(...left)];
  const places = (mp: number) => mp.toFixed(mp < 10 ? 1 : 0);
  const said =
    places(least) === places(most) ? places(least) : `${places(least)} to ${places(most)}`;
  const on = crops.length === frames.length ? '' : `, on ${crops.length}`;
  const isShort = crops.some(({ longSidePx }) => longSidePx < DELIVERED_LONG_SIDE_PX);
  const short = isShort ? `: under ${DELIVERED_LONG_SIDE_PX} pixels wide, too few to deliver` : '';
  return `${said} MP left after the crop to ${percent(first.wantedFill)} fill${on}${short}`;
}

/** "Horizon about 1.2° off: turn LMR_0003 clockwise". */
export const turnsInWords = ({ frames }: EvenRun): readonly string[] =>
  frames.flatMap(({ matched, turnDeg }) =>
    turnDeg === undefined
      ? []
      : `Horizon about ${Math.abs(turnDeg).toFixed(1)}° off: turn ${plain(matched.frame.name)} ${turnDeg > 0 ? 'clockwise' : 'anticlockwise'}`,
  );

const fromInWords = (shoot: Shoot, what: string, stand: EvenRun['stand']): string =>
  `${what}, from ${standInWords(shoot, stand).position}`;

/** What a run is of: "400 m, heat 2, from the bend"; of several events its shot, or how many they are. */
export function runInWords(shoot: Shoot, { event, stand, frames }: EvenRun): string {
  const events = new Set(frames.flatMap(({ matched }) => matched.event?.id ?? [])).size;
  const { shot } = standInWords(shoot, stand);
  const what = event
    ? eventTitle(event)
    : stand.shotId === undefined && events > 1
      ? `${events} events`
      : shot;
  return fromInWords(shoot, what, stand);
}

/** All runs as rows of a table. */
export const evenRows = (shoot: Shoot, runs: readonly EvenRun[]): readonly EvenRow[] =>
  runs.flatMap((run, i) => {
    const beside = new Map(
      run.pairs.flatMap(({ brighter, darker }) => [
        [brighter, darker.frame.name],
        [darker, brighter.frame.name],
      ]),
    );
    return run.frames.map(({ matched, liftStops, crop, turnDeg }): EvenRow => {
      const flickersWith = beside.get(matched);
      return {
        ...{ file: matched.frame.name, camera: matched.frame.camera },
        takenLocal: localSecondOf(matched.atMs, shoot.place.timeZone),
        run: i + 1,
        of: fromInWords(
          shoot,
          matched.event ? eventTitle(matched.event) : standInWords(shoot, run.stand).shot,
          run.stand,
        ),
        ...(liftStops !== undefined && { liftStops }),
        ...(flickersWith !== undefined && { flickersWith }),
        ...(crop && { keptFraction: crop.keptFraction, megapixels: crop.megapixels }),
        ...(turnDeg !== undefined && { turnDeg }),
      };
    });
  });
