import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { MoonPart } from '@/features/shoot/MoonPart';
import { ShadeList } from '@/features/shoot/ShadeList';
import { chosenMark } from '@/answers/view';
import { VisitsChart } from '@/figures/VisitsChart';
import type { NatureTime, Watch } from '@/records/day';
import { newId } from '@/records/new-id';
import { demoShoots } from '@/demo/seed';
import { useShoots } from '@/records/queries';
import { dayOf } from '@/records/day-said';
import { localMinuteOf, msOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { arrivalOf, clockHours, litSpans, visitsByHour, watchesAt } from '@/answers/nature';
import { ARRIVE_BEFORE, visitInWords } from '@/features/shoot/visit-words';
import { floodedAt } from '@/answers/tide';
import { floodInWords } from '@/features/shoot/approach-words';
import { ComingNear } from './ComingNear';
import { ButterflyPart, MorningPart } from './MorningPart';
import { NatureTimeSheet, WatchSheet } from './NatureSheets';

const HOUR_MS = 3_600_000;
const settleWords = (minutes: number): string => (minutes === 0 ? 'none' : `${minutes} min`);

/** What a day in a hide goes by. */
export function NatureTab() {
  const { shoot, clock, hours, setup, ribbon } = useShown(
    'shoot',
    'clock',
    'hours',
    'setup',
    'ribbon',
  );
  const { update } = useEdits();
  const arrival = arrivalOf(shoot);
  const mark = chosenMark(setup);
  const lit = useMemo(() => litSpans(ribbon.series), [ribbon.series]);
  return (
    <View className="gap-6">
      <View role="region" aria-label="Arrival" className="gap-2">
        {/* Without a running order it heads the whole of Day. */}
        {shoot.events.length > 0 ? (
          <>
            <Heading level={2} kind="title">{`Be in place by ${clock(arrival.inPlaceMs)}`}</Heading>
            <Text kind="small" ink="quiet">
              {arrival.before === 'start'
                ? 'Settled before the start.'
                : `Settled before ${ARRIVE_BEFORE[arrival.before]} at ${clock(arrival.lightMs)}, and never after the start.`}
            </Text>
          </>
        ) : null}
        <Stepper
          label="Time to settle"
          value={shoot.day.settleMin}
          min={0}
          max={240}
          valueText={settleWords(shoot.day.settleMin)}
          onStep={(clicks) =>
            update(
              (current) => ({
                ...current,
                day: { ...current.day, settleMin: current.day.settleMin + clicks },
              }),
              'settle',
            )
          }
        />
      </View>
      <View className="gap-1">
        <Heading level={2} kind="figure">
          {`The sun on ${mark.name}`}
        </Heading>
        <Text>
          {lit.length === 0
            ? 'It does not reach the face in these hours.'
            : lit
                .map(({ fromMs, toMs }) =>
                  toMs >= hours.toMs - 60_000
                    ? `from ${clock(fromMs)} on`
                    : `${clock(fromMs)} to ${clock(toMs)}`,
                )
                .join(', ')}
        </Text>
        <Text kind="small" ink="quiet">
          On the face as you see it from where you stand; choose another mark on the plan.
        </Text>
      </View>
      <ButterflyPart />
      <MorningPart />
      <MoonPart />
      <ShadeList />
      <ComingNear />
      <Visits markId={mark.id} markName={mark.name} lit={lit} />
      <Times />
    </View>
  );
}

function Visits({
  markId,
  markName,
  lit,
}: {
  readonly markId: string;
  readonly markName: string;
  readonly lit: ReturnType<typeof litSpans>;
}) {
  const { shoot, hours } = useShown('shoot', 'hours');
  const all = useShoots(demoShoots).data;
  const { widthPx, onLayout } = useWidth('visits', 0);
  const [edited, setEdited] = useState<Watch>();
  const watches = useMemo(() => watchesAt(shoot, markId, all ?? []), [shoot, markId, all]);
  const byHour = useMemo(() => visitsByHour(watches), [watches]);
  const { timeZone } = shoot.place;
  const shown = clockHours(hours, timeZone);
  const visits = watches.reduce((sum, { visitsLocal }) => sum + visitsLocal.length, 0);
  const expected = byHour.filter(({ hour }) => shown.includes(hour));
  const best = [...expected].sort((a, b) => b.rate - a.rate)[0];
  const firstHourMs = msOf(`${localMinuteOf(hours.startMs, timeZone).slice(0, 13)}:00`, timeZone);
  const hourWords = (hour: number) => `${String(hour).padStart(2, '0')}:00`;
  const own = (id: string) => shoot.watches.some((watch) => watch.id === id);
  return (
    <View role="region" aria-label="Visits" className="gap-2">
      <Heading level={2} kind="figure">
        {`Visits to ${markName}`}
      </Heading>
      {best ? (
        <Text>
          {`Most to be expected from ${hourWords(best.hour)} to ${hourWords((best.hour + 1) % 24)}: ${visitInWords(best)}, between ${best.low.toFixed(1)} and ${best.high.toFixed(1)} at 95 %.`}
        </Text>
      ) : (
        <Text ink="quiet">
          Note when the place was watched and when the visitor came: the hours to wait for follow
          from it, with how sure that is.
        </Text>
      )}
      <View onLayout={onLayout}>
        {widthPx > 0 ? (
          <VisitsChart
            hours={shown}
            bars={expected}
            lit={lit}
            ticks={shoot.nature.map(({ atLocal, name }) => ({
              timeMs: msOf(atLocal, timeZone),
              name,
            }))}
            fromMs={firstHourMs}
            clockHour={hourWords}
            widthPx={widthPx}
            label={`Visits an hour to ${markName}: ${
              expected.map((hour) => `${hourWords(hour.hour)} ${visitInWords(hour)}`).join(', ') ||
              'none noted yet'
            }`}
          />
        ) : null}
      </View>
      <Text kind="small" ink="quiet">
        {`${visits} visits in ${watches.length} ${watches.length === 1 ? 'watch' : 'watches'}. Bars: visits an hour, with what is sure at 95 %; under them the sun on the face; dashed: tides and feeding.`}
      </Text>
      <View role="list" aria-label="Watches">
        {watches.map((watch) => (
          <RowButton
            key={watch.id}
            name={`${dayOf(watch.fromLocal)}, ${watch.fromLocal.slice(11)} to ${watch.toLocal.slice(11)}`}
            detail={`${watch.visitsLocal.length} visits${own(watch.id) ? '' : ', noted in another shoot here'}`}
            onPress={() => setEdited(watch)}
          />
        ))}
      </View>
      <Button
        label="Add hours watched"
        onPress={() =>
          setEdited({
            id: newId(),
            markId,
            fromLocal: shoot.startLocal,
            toLocal: localMinuteOf(hours.startMs + HOUR_MS, timeZone),
            visitsLocal: [],
          })
        }
      />
      {edited ? (
        <WatchSheet
          key={edited.id}
          watch={edited}
          kept={own(edited.id)}
          elsewhere={!own(edited.id) && watches.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}

const KIND_WORDS = {
  highTide: 'high tide',
  lowTide: 'low tide',
  feeding: 'feeding',
  other: 'by the clock',
} as const;

/** When the water comes to where one stands and to what one looks at. */
function Tides() {
  const { shoot, seen, clock } = useShown('shoot', 'seen', 'clock');
  if (!shoot.nature.some(({ kind }) => kind === 'highTide' || kind === 'lowTide')) return null;
  const flooded = seen.ok ? floodedAt(shoot, seen.view) : undefined;
  return (
    <View role="region" aria-label="The water" className="gap-1">
      {floodInWords(flooded, clock).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
      <Text kind="small" ink="quiet">
        Wind and a low barometer raise it: local tables, wardens and warning signs come first. Leave
        before it turns.
      </Text>
    </View>
  );
}

/** Tides, feeding: what is known by the clock and typed in. */
function Times() {
  const { shoot } = useShown('shoot');
  const [edited, setEdited] = useState<NatureTime>();
  return (
    <View role="region" aria-label="Tides and feeding" className="gap-2">
      <Heading level={2} kind="figure">
        Tides and feeding
      </Heading>
      <View role="list" aria-label="Times">
        {shoot.nature.map((time) => (
          <RowButton
            key={time.id}
            name={`${time.atLocal.slice(11)} ${time.name}`}
            detail={KIND_WORDS[time.kind]}
            onPress={() => setEdited(time)}
          />
        ))}
      </View>
      <Tides />
      <Button
        label="Add a time"
        onPress={() =>
          setEdited({ id: newId(), kind: 'feeding', name: '', atLocal: shoot.atLocal })
        }
      />
      {edited ? (
        <NatureTimeSheet
          key={edited.id}
          time={edited}
          fresh={!shoot.nature.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}
