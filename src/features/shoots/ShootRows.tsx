import { Link } from 'expo-router';
import { memo, startTransition, useEffect, useState } from 'react';
import { Pressable, View } from 'react-native';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { ShootSketch } from '@/figures/ShootSketch';
import { dayOf, untilInDays } from '@/records/day-said';
import { isDemo, type Summary } from '@/records/list';
import { IconButton } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useNear } from '@/ui/use-near';
import { Behind, ShootState } from './Behind';
import type { Dated } from './dated';

/** As many as a screen holds: these come first and are told how they stand; the rest of a season in words until it is near. */
const MOST_AT_FIRST = 6;

/** What is drawn of the list: as many rows as a screen holds, all of them, or what is told behind them, too. */
export type Drawn = 'screenful' | 'rows' | 'page';

/** How far a list that is there is drawn: each part once that before it stands, so that a season's rows wait for nothing. */
export function useDrawn(there: boolean): Drawn {
  const [drawn, setDrawn] = useState<Drawn>('screenful');
  useEffect(() => {
    if (!there || drawn === 'page') return;
    startTransition(() => setDrawn(drawn === 'screenful' ? 'rows' : 'page'));
  }, [there, drawn]);
  return drawn;
}

const BARE: Summary['sketch'] = { lines: '', solids: '', places: [] };

/** Where the rows come, until they are read: of their own parts, which are set up by then. */
export function RowsOutline() {
  const inks = useInks();
  return (
    <View aria-hidden>
      {[116, 76, 76].map((sizePx, i) => (
        <View key={i} className="min-h-[144px] flex-row items-center gap-4 border-b border-line">
          <View className="bg-line">
            <ShootSketch sketch={BARE} sizePx={sizePx} />
          </View>
          <View className="flex-1 gap-3">
            <View className="h-5 w-4/5 bg-line" />
            <View className="h-4 w-1/2 bg-line" />
          </View>
          <View className="min-w-touch items-center">
            <Ellipsis color={inks.line} size={24} />
          </View>
        </View>
      ))}
    </View>
  );
}

export function Rows({
  label,
  shoots,
  drawn,
  nextFirst = false,
  onMore,
}: {
  readonly label: string;
  readonly shoots: readonly Dated[];
  readonly drawn: Drawn;
  /** Whether the first is the next one. */
  readonly nextFirst?: boolean;
  readonly onMore: (shoot: Summary) => void;
}) {
  return (
    <View role="list" aria-label={label}>
      {shoots.slice(0, drawn === 'screenful' ? MOST_AT_FIRST : undefined).map((shoot, i) => (
        <ShootRow
          key={shoot.id}
          shoot={shoot}
          next={nextFirst && i === 0}
          first={i < MOST_AT_FIRST}
          told={drawn === 'page' && i < MOST_AT_FIRST}
          onMore={onMore}
        />
      ))}
    </View>
  );
}

interface Row {
  readonly shoot: Dated;
  /** Whether it is the next one: that is large. */
  readonly next: boolean;
  /** Whether it is told how it stands. */
  readonly told: boolean;
  readonly onMore: (shoot: Summary) => void;
}

const ShootRow = memo(function ShootRow({
  first,
  ...row
}: Row & {
  /** Whether it is among those drawn first. */
  readonly first: boolean;
}) {
  const { ref, near } = useNear(first);
  return (
    <View
      ref={ref}
      role="listitem"
      className={`row-when-near flex-row items-center border-line ${row.next ? 'border-b-2' : 'border-b'}`}
    >
      {near ? <NearRow {...row} /> : <FarRow {...row} />}
    </View>
  );
});

/** When a shoot is: how long until then, its day, its hours. */
function whenOf(shoot: Dated) {
  const { startLocal, endLocal, nowLocal } = shoot;
  const past = endLocal < nowLocal;
  return {
    past,
    until: past ? undefined : untilInDays(startLocal, endLocal, nowLocal),
    day: dayOf(startLocal),
    hours: `${startLocal.slice(11)} to ${endLocal.slice(11)}${isDemo(shoot) ? ' · demo' : ''}`,
  };
}

/** Words alone, in the place they have beside the sketch: a season stands at once, and one can search the page for it. */
function FarRow({ shoot }: Pick<Row, 'shoot'>) {
  const { until, day, hours } = whenOf(shoot);
  const lines = [shoot.title, until, day, hours].filter(Boolean);
  return (
    <Link
      href={`/shoot/${shoot.id}`}
      className="min-h-[142px] flex-1 py-3 pl-[92px] font-body text-body text-ink"
    >
      {lines.join('\n')}
    </Link>
  );
}

function NearRow({ shoot, next, told, onMore }: Row) {
  const inks = useInks();
  const { past, until, day, hours } = whenOf(shoot);
  return (
    <>
      <Link href={`/shoot/${shoot.id}`} asChild>
        <Pressable
          role="link"
          className="min-h-touch flex-1 flex-row items-center gap-4 py-3 active:opacity-60"
        >
          <ShootSketch sketch={shoot.sketch} sizePx={next ? 116 : 76} />
          <View className="min-w-0 shrink grow">
            <Text kind={next ? 'title' : 'figure'}>{shoot.title}</Text>
            {until ? <Text kind="strong">{until}</Text> : null}
            <Text ink="quiet">{day}</Text>
            <Text ink="quiet">{hours}</Text>
            {told ? (
              <Behind>
                <ShootState id={shoot.id} past={past} />
              </Behind>
            ) : null}
          </View>
        </Pressable>
      </Link>
      <IconButton label={`More for ${shoot.title}`} onPress={() => onMore(shoot)}>
        <Ellipsis color={inks.ink} size={24} />
      </IconButton>
    </>
  );
}
