import { median } from 'd3-array';
import { useMemo } from 'react';
import { View } from 'react-native';
import { plannedFor, planComparer } from '@/answers/against-plan';
import { matchedFrames } from '@/answers/matched';
import { livedOnce, livedPresses, middleOf, type LivedPress } from '@/answers/season';
import { deliveredOf, lightBand, panSkill, ratesBy, shutterBand, spreadOf } from '@/answers/taught';
import { useInTurns } from '@/features/shoot/use-in-turns';
import { numberOf, useLookedThrough } from '@/features/shoot/use-looked-through';
import { percent } from '@/features/shoot/words';
import { dayOf } from '@/records/day-said';
import type { Shoot } from '@/records/shoot';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { againstInWords } from './log-rows';
import { lightBandInWords, seasonInWords } from './taught-words';
import { FreshAndTired, Rates, Section } from './TaughtParts';

/** Presses against the plan of their own shoots, the middle one of them. */
function useAgainstPlans(presses: readonly LivedPress[], key: string) {
  const found = useInTurns('against-plans', key, () => {
    const compareIn = new Map<Shoot, ReturnType<typeof planComparer>>();
    return presses.map(({ shoot, press }) => () => {
      const compare = compareIn.get(shoot) ?? planComparer(plannedFor(shoot));
      compareIn.set(shoot, compare);
      return compare(press);
    });
  });
  const against = found?.flatMap((one) => one ?? []) ?? [];
  if (against.length === 0) return undefined;
  return {
    count: against.length,
    underStops: median(against, ({ underStops }) => underStops) ?? 0,
    slowerStops: median(against, ({ slowerStops }) => slowerStops) ?? 0,
  };
}

/** What some shoots together teach, each picture counted once. @param shoots the latest last */
export function SeasonTaught({ shoots }: { readonly shoots: readonly Shoot[] }) {
  const isLooked = useLookedThrough(shoots);
  const once = useMemo(() => (isLooked ? livedOnce(shoots) : undefined), [isLooked, shoots]);
  return once ? <Looked shoots={once} /> : <Text role="status">Looking through the shoots…</Text>;
}

const placeOf = ({ place, title }: Shoot): string => place.name ?? title;

function Looked({ shoots }: { readonly shoots: readonly Shoot[] }) {
  const { widthPx, onLayout } = useWidth('taught by months', 340);
  const { presses, days, rates, skill, iso } = useMemo(() => {
    const all = livedPresses(shoots);
    const frameOf = (one: LivedPress) => middleOf(one);
    return {
      presses: all,
      days: shoots.map((shoot) => ({
        shoot,
        presses: all.filter((one) => one.shoot === shoot),
        delivered: deliveredOf(shoot, matchedFrames(shoot)),
      })),
      rates: [
        { name: 'By place', rows: ratesBy(all, ({ shoot }) => placeOf(shoot)) },
        {
          name: 'By shutter, to the whole stop',
          rows: ratesBy(all, (one) => shutterBand(frameOf(one))),
        },
        {
          name: 'By the light, as exposed',
          rows: ratesBy(all, (one) => {
            const band = lightBand(frameOf(one));
            return band === undefined ? undefined : lightBandInWords(band);
          }),
        },
      ],
      skill: panSkill(shoots),
      iso: spreadOf(
        all.flatMap(({ press }) => press.frames.flatMap(({ frame }) => frame.iso ?? [])),
      ),
    };
  }, [shoots]);
  const against = useAgainstPlans(presses, shoots.map(numberOf).join(' '));
  const delivered = days.flatMap((day) => day.delivered);
  const had = delivered.filter(({ delivered: came, quota }) => came >= quota).length;
  return (
    <View className="gap-5" onLayout={onLayout}>
      <Section name="Planned and done">
        <Text kind="strong">{`${seasonInWords(shoots.length, presses)}.`}</Text>
        {delivered.length > 0 ? (
          <Text>{`${had} of ${delivered.length} promised shots were delivered.`}</Text>
        ) : null}
        {against ? (
          <Text>{`Against the plans, in the middle of ${against.count} presses: ${againstInWords(against)}.`}</Text>
        ) : null}
        <View role="list" aria-label="Shoots of twelve months">
          {days.map(({ shoot, presses: own, delivered: of }) => (
            <View key={shoot.id} role="listitem" className="gap-[2px] border-b border-line py-2">
              <Heading level={3} kind="strong">
                {shoot.title}
              </Heading>
              <Text kind="small" ink="quiet">
                {[
                  dayOf(shoot.startLocal),
                  own.length > 0
                    ? `${own.filter(({ kept }) => kept).length} of ${own.length} presses gave a keeper`
                    : 'no pictures',
                  ...(of.length > 0
                    ? [
                        `${of.filter(({ delivered: came, quota }) => came >= quota).length} of ${of.length} promised shots`,
                      ]
                    : []),
                ].join(' · ')}
              </Text>
            </View>
          ))}
        </View>
      </Section>
      {rates.map(({ name, rows }) =>
        rows.length > 0 ? (
          <Section key={name} name={`Presses with a keeper. ${name}`}>
            <Rates name={name} rows={rows} widthPx={widthPx} />
          </Section>
        ) : null,
      )}
      <FreshAndTired presses={presses} widthPx={widthPx} />
      {skill ? (
        <Section name="Your pans">
          <Text>
            {`Your pan speed varies by ${percent(skill.rate)}, ${percent(skill.low)} to ${percent(skill.high)} by ${skill.frames} panned frames.`}
          </Text>
        </Section>
      ) : null}
      {iso ? (
        <Section name="ISO really used">
          <Text>
            {`ISO ${Math.round(iso.middle)} in the middle, four frames in five from ${Math.round(iso.low)} to ${Math.round(iso.high)}, ${Math.round(iso.most)} at the most.`}
          </Text>
        </Section>
      ) : null}
      <Text kind="small" ink="quiet">
        Counted by presses: frames of one press stand or fall together. Each picture counts once,
        whichever shoots hold it. What this changes stands in the Brief of the next shoot, to be
        taken up or left out.
      </Text>
    </View>
  );
}
