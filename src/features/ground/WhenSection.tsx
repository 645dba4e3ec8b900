import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { isSunless } from '@/core';
import { DateTime } from 'luxon';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { ShadeList } from '@/features/shoot/ShadeList';
import { useSettled } from '@/features/shoot/use-light-series';
import { LitHours } from '@/figures/LitHours';
import { visitsByHour, watchesAt } from '@/answers/nature';
import { chosenMark } from '@/answers/view';
import { demoShoots } from '@/demo/seed';
import { visitInWords } from '@/features/shoot/visit-words';
import { onDay } from '@/records/edit-day';
import { useShoots } from '@/records/queries';
import { clockOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { requestFaceDays } from '@/workers/light-series-client';
import {
  bestMornings,
  forecastDays,
  forecastMornings,
  morningsOf,
  reasonsInWords,
  seasonInWords,
  type ForecastMorning,
  type Morning,
} from './mornings';
import {
  calendarDay,
  calendarOf,
  dayInWords,
  facedScene,
  yearInWords,
  type CalendarDay,
} from './when';

const STEP_MS = 10 * 60_000;
const DAY_ROW_PX = 34;
const YEAR_ROW_PX = 8;
const NO_DAYS: readonly CalendarDay[] = [];

/** How the face is lit through the day and the year, so that one can plan a hide months ahead. */
export function WhenSection() {
  const { setup, seen } = useShown('setup', 'seen');
  if (!seen.ok) return <Text>There is no view from here to be lit.</Text>;
  if (setup.light.indoors) return <Text>Under a roof the sun lights no face.</Text>;
  if (isSunless(setup.light)) {
    return <Text>Under the canopy the sun only flecks a face: wait for a gap.</Text>;
  }
  return (
    <View role="region" aria-label="When the face is lit" className="gap-3">
      <DayAndYear />
      <ShadeList />
    </View>
  );
}

/** How far through its local day a moment is. */
function shareOfDay(minute: string): number {
  const { hour, minute: past } = DateTime.fromISO(minute);
  return (hour + past / 60) / 24;
}

function DayAndYear() {
  const { shoot, seen, scene } = useShown('shoot', 'seen', 'scene');
  const { update } = useEdits();
  const { timeZone } = shoot.place;
  const shootDate = shoot.startLocal.slice(0, 10);
  const { widthPx, onLayout } = useWidth('when lit', 300);
  const [row, setRow] = useState<number>();
  const asked = useMemo(
    () => (seen.ok && scene ? facedScene(seen.view, scene) : undefined),
    [seen, scene],
  );
  const faced = useSettled(asked);
  const calendar = useMemo(() => calendarOf(shootDate, timeZone), [shootDate, timeZone]);
  const today = useMemo(() => calendarDay(shootDate, timeZone), [shootDate, timeZone]);
  const { forecast, skyFrom } = shoot.light;
  const ahead = useMemo(
    () =>
      forecast && skyFrom === 'forecast' ? forecastDays(forecast, timeZone, shootDate) : NO_DAYS,
    [forecast, skyFrom, timeZone, shootDate],
  );
  const key = useMemo(
    () => hashKey([faced, shootDate, timeZone, ahead.length]),
    [faced, shootDate, timeZone, ahead],
  );
  const { data, error } = useQuery({
    queryKey: ['face-days', key],
    queryFn: ({ signal }) =>
      requestFaceDays(
        {
          scene: faced as NonNullable<typeof faced>,
          days: [today, ...calendar, ...ahead],
          stepMs: STEP_MS,
        },
        signal,
      ),
    enabled: faced !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
  });
  if (error) return <Text role="alert">It could not be worked out: {error.message}.</Text>;
  if (!data || !seen.ok) return <Text role="status">Working it out…</Text>;
  const year = data.slice(1, 1 + calendar.length);
  const coming = data.slice(1 + calendar.length);
  const day = row === undefined ? today : (calendar[row] ?? today);
  const spans = data[row === undefined ? 0 : row + 1] ?? [];
  const atShare = shareOfDay(shoot.atLocal);
  const words = dayInWords(spans, (ms) => clockOf(ms, timeZone));
  const told = yearInWords(calendar, year, atShare);
  const at = shoot.atLocal.slice(11);
  const mornings = morningsOf(calendar, year, timeZone);
  return (
    <View className="gap-2" onLayout={onLayout}>
      <Text kind="small" ink="quiet">
        {`${seen.view.mark.name} from ${seen.view.position.name}, whatever the clouds. A full bar is front light, three quarters a high sun that shades the eyes, half a bar side light, a thin line back light; dots are shade, nothing is sun down.`}
      </Text>
      <Text kind="strong">{day.name}</Text>
      <LitHours
        days={[{ ...day, name: '', spans }]}
        rowPx={DAY_ROW_PX}
        widthPx={widthPx}
        atShare={atShare}
        label={`${day.name}: ${words.join('; ')}`}
      />
      <Text kind="small">{words.length > 0 ? `${words.join('; ')}.` : 'The sun stays down.'}</Text>
      <Slider
        label="Day looked at"
        value={row ?? calendar.findLastIndex(({ date }) => date <= shootDate)}
        min={0}
        max={calendar.length - 1}
        step={1}
        bigStep={3}
        valueText={day.name}
        onChange={(next) =>
          setRow((now) => next(now ?? calendar.findLastIndex(({ date }) => date <= shootDate)))
        }
      />
      <LitHours
        days={calendar.map((one, i) => ({
          ...one,
          name: i % 3 === 0 ? one.name.slice(2) : '',
          spans: year[i] ?? [],
        }))}
        rowPx={YEAR_ROW_PX}
        widthPx={widthPx}
        atShare={atShare}
        {...(row !== undefined && { chosen: row })}
        label={`The year at ${at}: ${told}`}
      />
      <Text kind="small">{`At ${at}: ${told}.`}</Text>
      <Mornings
        season={seasonInWords(mornings)}
        best={bestMornings(mornings, calendar, shootDate)}
        clock={(ms) => clockOf(ms, timeZone)}
        onLook={setRow}
      />
      {forecast && ahead.length > 0 && coming.length === ahead.length ? (
        <ByForecast
          mornings={forecastMornings(ahead, coming, forecast, timeZone)}
          isSimulated={forecast.simulated}
          shootDate={shootDate}
          onMove={(date) => update((current) => onDay(current, date))}
        />
      ) : null}
      <VisitsHere />
      {day.date === shootDate ? null : (
        <Button
          label={`Move the shoot to ${day.name}`}
          onPress={() => {
            update((current) => onDay(current, day.date));
            setRow(undefined);
          }}
        />
      )}
    </View>
  );
}

/** The mornings that the forecast covers, the best first, with what makes it so. */
function ByForecast({
  mornings,
  isSimulated,
  shootDate,
  onMove,
}: {
  readonly mornings: readonly ForecastMorning[];
  readonly isSimulated: boolean;
  readonly shootDate: string;
  readonly onMove: (date: string) => void;
}) {
  const title = isSimulated ? 'By the simulated forecast' : 'By the forecast';
  return (
    <View role="list" aria-label={title}>
      <Text kind="label" ink="quiet">
        {title}
      </Text>
      {mornings.map((morning) => (
        <View
          key={morning.date}
          role="listitem"
          className="min-h-touch flex-row items-center justify-between gap-3 border-b border-line"
        >
          <Text kind="small" className="min-w-0 flex-1">
            {`${morning.name}: ${reasonsInWords(morning)}`}
          </Text>
          {morning.date === shootDate ? null : (
            <Button
              kind="quiet"
              label={`Move to ${morning.name}`}
              onPress={() => onMove(morning.date)}
            />
          )}
        </View>
      ))}
    </View>
  );
}

/** When most visits are to be expected at the mark in hand, over all shoots at this place. */
function VisitsHere() {
  const { shoot, setup } = useShown('shoot', 'setup');
  const all = useShoots(demoShoots).data;
  const { id, name } = chosenMark(setup);
  const watches = watchesAt(shoot, id, all ?? []);
  const [best] = [...visitsByHour(watches)].sort((a, b) => b.rate - a.rate);
  if (!best || best.visits === 0) return null;
  const hour = (of: number) => `${String(of % 24).padStart(2, '0')}:00`;
  return (
    <Text kind="small">
      {`Visits to ${name}: most from ${hour(best.hour)} to ${hour(best.hour + 1)}, ${visitInWords(best)}, in ${watches.length} ${watches.length === 1 ? 'watch' : 'watches'} over all shoots here.`}
    </Text>
  );
}

/** The weeks of the year with front light before nine, and the best of the mornings to come, each a press from being looked at. */
function Mornings({
  season,
  best,
  clock,
  onLook,
}: {
  readonly season: string;
  readonly best: readonly Morning[];
  readonly clock: (ms: number) => string;
  readonly onLook: (row: number) => void;
}) {
  return (
    <View role="region" aria-label="Mornings" className="gap-1">
      <Heading level={3} kind="label">
        Mornings
      </Heading>
      <Text kind="small">{`Front light before 09:00: ${season}.`}</Text>
      <View role="list" aria-label="The best mornings to come">
        {best.map(({ row, name, spans }) => (
          <RowButton
            key={row}
            name={name}
            detail={dayInWords(spans, clock).join('; ')}
            onPress={() => onLook(row)}
          />
        ))}
      </View>
    </View>
  );
}
