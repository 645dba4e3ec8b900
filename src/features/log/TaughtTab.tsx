import { median } from 'd3-array';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { percent, stops } from '@/features/shoot/words';
import { useShown } from '@/features/shoot/open-shoot';
import { demoShoots } from '@/demo/seed';
import { useShoots } from '@/records/queries';
import { FIRST_PAN_SIGMA, type Shoot } from '@/records/shoot';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { teachersOf } from '@/features/shoot/lessons';
import { useLookedThrough } from '@/features/shoot/use-looked-through';
import { againstInWords } from './log-rows';
import { pressesOf, standInWords, type MatchedFrame } from '@/answers/matched';
import {
  lightOffsets,
  panSkill,
  ratesBy,
  shootsHere,
  shutterBand,
  spreadOf,
  lightBand,
  type HourlyOffset,
} from '@/answers/taught';
import { lightByPictures, livedPresses, twelveMonths } from '@/answers/season';
import { SeasonTaught } from './SeasonTaught';
import { lightBandInWords } from './taught-words';
import { FreshAndTired, Rates, Section } from './TaughtParts';
import { useAgainstPlan } from './use-against-plan';
import { VisitsSection } from './VisitsSection';

const isLived = ({ log }: Shoot): boolean => log.entries.length > 0 || log.frames.length > 0;

/** What the numbers teach: of this shoot, or of all that was shot in twelve months. */
export function TaughtTab({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const [over, setOver] = useState<'shoot' | 'months'>('shoot');
  const months = useMemo(
    () => twelveMonths(shoot, teachersOf(shoot, all ?? [])).filter(isLived),
    [shoot, all],
  );
  if (months.length < 2) return <ShootTaught frames={frames} />;
  return (
    <View className="gap-5">
      <Choice
        label="Over"
        value={over}
        options={[
          { value: 'shoot', label: 'This shoot' },
          { value: 'months', label: 'Twelve months' },
        ]}
        onChange={setOver}
      />
      {over === 'shoot' ? <ShootTaught frames={frames} /> : <SeasonTaught shoots={months} />}
    </View>
  );
}

/** What the numbers of this shoot, and of others at its place, teach. */
function ShootTaught({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const { widthPx, onLayout } = useWidth('taught', 340);
  const known = useMemo(() => teachersOf(shoot, all ?? []), [shoot, all]);
  const isLooked = useLookedThrough(known);
  const taught = useMemo(() => {
    const here = shootsHere(shoot, known);
    return {
      rates: [
        {
          name: 'By shot',
          rows: ratesBy(frames, ({ stand }) => standInWords(shoot, stand).shot),
        },
        { name: 'By shutter, to the whole stop', rows: ratesBy(frames, shutterBand) },
        {
          name: 'By position',
          rows: ratesBy(frames, ({ stand }) => standInWords(shoot, stand).position),
        },
        {
          name: 'By the light, as exposed',
          rows: ratesBy(frames, (frame) => {
            const band = lightBand(frame);
            return band === undefined ? undefined : lightBandInWords(band);
          }),
        },
      ],
      presses: livedPresses([shoot]),
      here,
      skill: isLooked ? panSkill([shoot, ...known]) : undefined,
      iso: spreadOf(frames.flatMap(({ frame }) => frame.iso ?? [])),
      focal: spreadOf(frames.flatMap(({ frame }) => frame.focalMm ?? [])),
      offsets: lightOffsets(here),
      pictured: isLooked ? lightByPictures(here) : [],
    };
  }, [shoot, frames, known, isLooked]);
  const { rates, presses, skill, iso, focal, offsets, pictured, here } = taught;
  const isWatched = here.some(({ watches }) => watches.length > 0);
  const empty = frames.length === 0 && offsets.length === 0 && !isWatched;
  return (
    <View className="gap-5" onLayout={onLayout}>
      {empty ? <Text>Nothing to learn from yet: log in Field, or read pictures in.</Text> : null}
      {rates.map(({ name, rows }) =>
        rows.length > 0 ? (
          <Section key={name} name={`Keepers. ${name}`}>
            <Rates name={name} rows={rows} widthPx={widthPx} />
          </Section>
        ) : null,
      )}
      <FreshAndTired presses={presses} widthPx={widthPx} />
      {skill ? <PanSection skill={skill} planned={shoot.choice.panSigma} /> : null}
      {frames.length > 0 ? <PressesSection frames={frames} /> : null}
      {iso ? (
        <Section name="Dials really used">
          <Text>
            {`ISO ${Math.round(iso.middle)} in the middle, four frames in five from ${Math.round(iso.low)} to ${Math.round(iso.high)}, ${Math.round(iso.most)} at the most.`}
          </Text>
          {focal ? (
            <Text>
              {`Focal length ${Math.round(focal.middle)} mm in the middle, four frames in five from ${Math.round(focal.low)} to ${Math.round(focal.high)} mm.`}
            </Text>
          ) : null}
        </Section>
      ) : null}
      {offsets.length + pictured.length > 0 ? (
        <Section name="Light of this place against the computed">
          {offsets.map(({ hour, mean, low, high, count }) => (
            <Text key={hour}>
              {`${hourWords(hour)}  ${offsetInWords(mean)}, ${
                count === 1
                  ? 'by one reading: no saying how sure'
                  : `${signed(low)} to ${signed(high)}, ${count} readings`
              }`}
            </Text>
          ))}
          {pictured.map((one) => (
            <Text key={`pictured ${one.hour}`}>{picturedInWords(one)}</Text>
          ))}
        </Section>
      ) : null}
      <VisitsSection {...{ shoot, known, here }} />
      <Text kind="small" ink="quiet">
        Lines over bars, and “from … to …”, hold 95 times in 100. What is taught here stands in the
        Brief of shoots that come after, to be taken up or left out.
      </Text>
    </View>
  );
}

const hourWords = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;
const signed = (value: number): string =>
  `${Math.round(value * 10) < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
const offsetInWords = (mean: number): string =>
  Math.abs(mean) < 0.05
    ? 'as computed'
    : `${stops(Math.abs(mean))} ${mean < 0 ? 'darker' : 'brighter'}`;

/** How one pressed, and how far the dials stood from the plan. */
function PressesSection({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { setup } = useShown('setup');
  const presses = useMemo(() => pressesOf(frames), [frames]);
  const against = [...useAgainstPlan(setup, presses).values()];
  const lengths = presses.map((press) => press.frames.length);
  const bursts = lengths.filter((length) => length > 1);
  return (
    <Section name="Presses, and the plan">
      <Text>
        {`${lengths.length} presses, ${bursts.length} of them bursts${
          bursts.length > 0
            ? ` of ${median(bursts)} frames in the middle, ${Math.max(...bursts)} at the most`
            : ''
        }.`}
      </Text>
      {against.length > 0 ? (
        <Text>
          {`Against the plan, in the middle of ${against.length}: ${againstInWords({
            underStops: median(against, ({ underStops }) => underStops) ?? 0,
            slowerStops: median(against, ({ slowerStops }) => slowerStops) ?? 0,
          })}.`}
        </Text>
      ) : null}
    </Section>
  );
}

const picturedInWords = ({ hour, mean, low, high, count }: HourlyOffset): string =>
  `${hourWords(hour)}  ${offsetInWords(mean)}, ${signed(low)} to ${signed(high)}, by what ${count} kept presses were exposed for`;

function PanSection({
  skill,
  planned,
}: {
  readonly skill: NonNullable<ReturnType<typeof panSkill>>;
  readonly planned: Shoot['choice']['panSigma'];
}) {
  return (
    <Section name="Your pans">
      <Text kind="strong">{`Your pan speed varies by ${percent(skill.rate)}.`}</Text>
      <Text>
        {`From ${percent(skill.low)} to ${percent(skill.high)} by ${skill.frames} panned frames of all shoots, where kept stands for sharp. This plan reckons with ${percent(planned)}; a beginner’s is taken as ${percent(FIRST_PAN_SIGMA)}.`}
      </Text>
    </Section>
  );
}
