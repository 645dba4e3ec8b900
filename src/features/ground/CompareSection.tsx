import { BEFORE_CUTTING } from '@/features/shoot/hide-words';
import { refusalsInWords, scoreWhyInWords } from '@/features/shoot/score-words';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import type { Compared } from '@/core';
import { useEdits, useOpenShoot, useSearch, useShown } from '@/features/shoot/open-shoot';
import { ScoreStrip } from '@/figures/ScoreStrip';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { useIsWide } from '@/ui/use-shape';
import {
  adviceInWords,
  compareRequestOf,
  followed,
  nameIn,
  otherConverters,
  partOf,
  SORTS,
  sorted,
  type SortKey,
} from './compare';
import { CompareTable } from './CompareTable';
import { FigureRow } from './FigureRow';
import { PlacePicture } from './PlacePicture';
import { outOfHundred } from './score-words';
import { weakest } from '@/answers/search';

/** All positions for the chosen mark side by side, through the shoot, and what would better each. */
export function CompareSection({
  atOnce = false,
}: {
  /** Asked as soon as it is opened. */
  readonly atOnce?: boolean;
}) {
  const { shown, search } = useOpenShoot();
  const { seen: looked, clock } = useShown('seen', 'clock');
  const { comparison } = useSearch('comparison');
  const [sort, setSort] = useState<SortKey>('total');
  const [table, setTable] = useState(false);
  const wide = useIsWide();
  const ask = () => {
    const { setup, seen, atMs, hours } = shown.get();
    const { wish } = search.now.get();
    if (seen.ok) search.compare(compareRequestOf(setup, seen.view, wish, atMs, hours));
  };
  const first = useRef(atOnce ? ask : undefined);
  useEffect(() => first.current?.(), []);
  if (!looked.ok) return null;
  const { compared, trouble } = comparison ?? {};
  return (
    <View role="region" aria-label="Compare positions" className="gap-3">
      <Button label="Compare the positions" onPress={ask} />
      {trouble ? <Text role="alert">They could not be compared: {trouble}.</Text> : null}
      {comparison && !compared && !trouble ? <Text role="status">Comparing…</Text> : null}
      {comparison && compared ? (
        <>
          <Text kind="small" ink="quiet">
            {`For ${looked.view.mark.name} as it was at ${clock(comparison.request.timeMs)}. The bars are the score each quarter of an hour. What is advised is tried in one press; Undo takes it back.`}
          </Text>
          {wide ? <Button label="All parts as a table" onPress={() => setTable(true)} /> : null}
          {table ? (
            <CompareTable
              compared={compared}
              sort={sort}
              onSort={setSort}
              onClose={() => setTable(false)}
            />
          ) : null}
          <Picker label="Best first by" value={sort} options={SORTS} onChange={setSort} />
          <View role="list" aria-label="Positions compared">
            {sorted(compared, sort).map((entry, i) => (
              <Card key={entry.id} rank={i + 1} entry={entry} />
            ))}
          </View>
        </>
      ) : null}
    </View>
  );
}

const STRIP_PX = 280;

/** One position: its score, through the hours, what it gives up and what would better it. */
function Card({ rank, entry }: { readonly rank: number; readonly entry: Compared }) {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { update } = useEdits();
  const { comparison } = useSearch('comparison');
  const [open, setOpen] = useState(false);
  const position = shoot.positions.find(({ id }) => id === entry.id);
  if (!position || !comparison) return null;
  const { timeMs, timesMs, positions } = comparison.request;
  const from = positions.find(({ id }) => id === entry.id) ?? position;
  const { score, totals, advice } = entry;
  const converters = otherConverters(shoot.kit);
  const best = totals.indexOf(Math.max(...totals));
  const at = timesMs.findLastIndex((time) => time <= timeMs);
  const bestWords = `best at ${clock(timesMs[best] ?? timeMs)}, ${outOfHundred(totals[best] ?? 0)}`;
  return (
    <View role="listitem" className="gap-2 border-b border-line py-3">
      <View className="flex-row items-baseline justify-between gap-3">
        <Text kind="strong" className="shrink">{`${rank}. ${position.name}`}</Text>
        <Text kind="figure" className="shrink-0">
          {outOfHundred(score.total)}
        </Text>
      </View>
      <PlacePicture
        positionId={entry.id}
        x={position.x}
        y={position.y}
        atMs={timeMs}
        name={position.name}
      />
      <Text kind="small">
        {score.refusals.length > 0
          ? `Off limits: ${refusalsInWords(score.refusals)}.`
          : `Weakest: ${weakest(score)
              .map(({ why }) => scoreWhyInWords(why))
              .join('; ')}.`}
      </Text>
      <Button
        kind="quiet"
        label={open ? 'Fewer parts' : 'All parts of the score'}
        onPress={() => setOpen(!open)}
      />
      {open
        ? SORTS.filter(({ value }) => value !== 'total').map(({ value, head }) => {
            const { points, why } = partOf(entry, value);
            return <FigureRow key={value} name={`${head} ${points}`} value={why} />;
          })
        : null}
      <ScoreStrip
        totals={totals}
        atIndex={at}
        widthPx={STRIP_PX}
        label={`Score of ${position.name} through the shoot: ${bestWords}`}
      />
      <Text kind="tiny" ink="quiet">{`Through the shoot: ${bestWords}.`}</Text>
      {advice.map((one) => (
        <Button
          key={one.lever}
          label={`${adviceInWords(one, from, { converters, clock, atMs: timeMs, nameOf: nameIn(shoot) })}: ${outOfHundred(one.total)}`}
          onPress={() => update((current) => followed(current, entry.id, one, converters))}
        />
      ))}
      {advice.some(({ lever }) => lever === 'cut') ? (
        <Text kind="small">{BEFORE_CUTTING}</Text>
      ) : null}
    </View>
  );
}
