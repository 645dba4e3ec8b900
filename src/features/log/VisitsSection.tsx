import { useMemo } from 'react';
import { View } from 'react-native';
import type { Rate } from '@/core';
import { visitsByHour, watchedHere } from '@/answers/nature';
import { seasonOf, visitsBy, watchedQuarters } from '@/answers/taught';
import { visitInWords } from '@/features/shoot/visit-words';
import { writeVisits } from '@/formats/visits-table';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { downloadText } from '@/ui/files';
import { Heading, Text } from '@/ui/Text';
import { SEASON_NAMES, SKY_NAMES } from './taught-words';

const hourWords = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;
const interval = ({ low, high }: Rate): string => `${low.toFixed(1)} to ${high.toFixed(1)}`;

/** Visits over all shoots at a place: by hour, sky and season, and out as a table. */
export function VisitsSection({
  shoot,
  known,
  here,
}: {
  readonly shoot: Shoot;
  /** The other shoots that may teach. */
  readonly known: readonly Shoot[];
  /** Of the same place, this one first. */
  readonly here: readonly Shoot[];
}) {
  const { hours, quarters } = useMemo(
    () => ({
      hours: visitsByHour(watchedHere(shoot, known).map(({ watch }) => watch)),
      quarters: watchedQuarters(here),
    }),
    [shoot, known, here],
  );
  if (hours.length === 0) return null;
  type Row = Rate & { readonly visits: number; readonly watchedH: number };
  const counted = (row: Row) =>
    `${interval(row)} an hour, ${row.visits} in ${row.watchedH.toFixed(1)} h`;
  const under = (name: string, row: Row) =>
    `${name}: ${row.rate.toFixed(1)} an hour, ${counted(row)}`;
  const seasons = visitsBy(quarters, seasonOf);
  return (
    <View role="region" aria-label="Visits" className="gap-2">
      <Heading level={2} kind="figure">
        Visits
      </Heading>
      {hours.map((hour) => (
        <Text
          key={hour.hour}
        >{`${hourWords(hour.hour)}  ${visitInWords(hour)}, ${counted(hour)}`}</Text>
      ))}
      {visitsBy(quarters, ({ sky }) => sky).map((row) => (
        <Text key={row.name}>{under(`Sky ${SKY_NAMES[row.name]}`, row)}</Text>
      ))}
      {seasons.map((row) => (
        <Text key={row.name}>{under(SEASON_NAMES[row.name] ?? '', row)}</Text>
      ))}
      <Button
        label="Save the visits as a table"
        onPress={() =>
          downloadText(
            `visits-${shoot.startLocal.slice(0, 10)}.csv`,
            writeVisits(quarters),
            'text/csv',
          )
        }
      />
    </View>
  );
}
