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
import { Behind, ShootState } from './Behind';
import type { Dated } from './dated';

/** A season's list tells how it stands of those that are near. */
const MOST_TOLD = 6;
/** More than a screen holds: these are drawn first, the rest of a season in slices behind them. */
const MOST_AT_FIRST = 12;

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
          told={drawn === 'page' && i < MOST_TOLD}
          onMore={onMore}
        />
      ))}
    </View>
  );
}

/** A shoot of the list; the next one large, with how long it is until then. */
const ShootRow = memo(function ShootRow({
  shoot,
  next,
  told,
  onMore,
}: {
  readonly shoot: Dated;
  readonly next: boolean;
  /** Whether it is told how it stands. */
  readonly told: boolean;
  readonly onMore: (shoot: Summary) => void;
}) {
  const inks = useInks();
  const { startLocal, endLocal, nowLocal } = shoot;
  const past = endLocal < nowLocal;
  return (
    <View
      role="listitem"
      className={`row-when-near flex-row items-center border-line ${next ? 'border-b-2' : 'border-b'}`}
    >
      <Link href={`/shoot/${shoot.id}`} asChild>
        <Pressable
          role="link"
          className="min-h-touch flex-1 flex-row items-center gap-4 py-3 active:opacity-60"
        >
          <ShootSketch sketch={shoot.sketch} sizePx={next ? 116 : 76} />
          <View className="min-w-0 shrink grow">
            <Text kind={next ? 'title' : 'figure'}>{shoot.title}</Text>
            {past ? null : <Text kind="strong">{untilInDays(startLocal, endLocal, nowLocal)}</Text>}
            <Text ink="quiet">{dayOf(startLocal)}</Text>
            <Text ink="quiet">
              {`${startLocal.slice(11)} to ${endLocal.slice(11)}${isDemo(shoot) ? ' · demo' : ''}`}
            </Text>
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
    </View>
  );
});
