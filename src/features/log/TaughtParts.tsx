import type { ReactNode } from 'react';
import { View } from 'react-native';
import { byQuarter, type LivedPress } from '@/answers/season';
import { tells, type RateRow } from '@/answers/taught';
import { RateBar } from '@/figures/RateBars';
import { Heading, Text } from '@/ui/Text';
import { QUARTER_NAMES, rateInWords, tiredInWords } from './taught-words';

/** Parts of what is taught. */

export function Section({
  name,
  children,
}: {
  readonly name: string;
  readonly children: ReactNode;
}) {
  return (
    <View role="region" aria-label={name} className="gap-2">
      <Heading level={2} kind="figure">
        {name}
      </Heading>
      {children}
    </View>
  );
}

export function Rates({
  name,
  rows,
  widthPx,
}: {
  readonly name: string;
  readonly rows: readonly RateRow[];
  readonly widthPx: number;
}) {
  return (
    <View role="list" aria-label={name} className="gap-2">
      {rows.map((row) => {
        const words = rateInWords(row);
        return (
          <View key={row.name} role="listitem" className="gap-[2px]">
            <View className="flex-row items-baseline justify-between gap-3">
              <Text className="min-w-0 flex-1" numberOfLines={1}>
                {row.name}
              </Text>
              <Text kind="strong">{`${row.kept} of ${row.of}`}</Text>
            </View>
            {tells(row) ? (
              <RateBar
                share={row.rate}
                low={row.low}
                high={row.high}
                widthPx={widthPx}
                label={`${row.name}: ${words}`}
              />
            ) : null}
            <Text kind="tiny" ink="quiet">
              {words}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

/** Whether one keeps fewer at the end, by presses. */
export function FreshAndTired({
  presses,
  widthPx,
}: {
  readonly presses: readonly LivedPress[];
  readonly widthPx: number;
}) {
  const rows = byQuarter(presses);
  const words = tiredInWords(rows);
  if (rows.length === 0) return null;
  return (
    <Section name="Presses with a keeper. Fresh and tired">
      <Rates
        name="Fresh and tired"
        rows={rows.map((row) => ({ ...row, name: QUARTER_NAMES[row.name] }))}
        widthPx={widthPx}
      />
      {words ? <Text>{words}</Text> : null}
    </Section>
  );
}
