import { useMemo, useState } from 'react';
import { captionedPresses, doubtfulFirst, doubtsOf, type CaptionedPress } from '@/answers/captions';
import { pressesOf, type MatchedFrame } from '@/answers/matched';
import { useShown } from '@/features/shoot/open-shoot';
import { FIRST_CAPTIONS } from '@/records/captions';
import type { Which } from './KeptOrAll';
import { useKept } from './use-kept';
import { CAPTIONS } from '@/records/singles';
import { useSingle } from '@/records/use-single';

const keyOf = ({ press }: CaptionedPress): string => press.frames[0]?.key ?? '';

/** Which presses are named, in which order, which of them is looked at, and which are taken together. */
export function useNames(frames: readonly MatchedFrame[]) {
  const { shoot } = useShown('shoot');
  const { record: how = FIRST_CAPTIONS } = useSingle(CAPTIONS);
  const { taken, only, someKept, show } = useKept(frames);
  const [at, setAt] = useState(0);
  const [anchor, setAnchor] = useState<number>();
  const [order, setOrder] = useState<readonly string[]>();
  const presses = useMemo(() => pressesOf(taken), [taken]);
  const asTaken = useMemo(() => captionedPresses(shoot, presses), [shoot, presses]);
  const captioned = useMemo(() => {
    if (!order) return asTaken;
    const places = new Map(order.map((key, i) => [key, i]));
    const placeOf = (one: CaptionedPress) => places.get(keyOf(one)) ?? Infinity;
    return [...asTaken].sort((a, b) => placeOf(a) - placeOf(b));
  }, [asTaken, order]);
  const last = Math.max(0, captioned.length - 1);
  const held = (to: number) => Math.max(0, Math.min(last, to));
  const here = held(at);
  const start = anchor === undefined ? here : held(anchor);
  const [from, to] = [Math.min(start, here), Math.max(start, here)];
  return {
    ...{ captioned, asTaken, how, only, someKept, none: frames.length === 0, at: here, from, to },
    doubtful: asTaken.filter((one) => doubtsOf(one).length > 0).length,
    isDoubtfulFirst: order !== undefined,
    go: (next: number) => setAt(held(next)),
    /** From the press looked at on, what is gone to is taken together. */
    together: (isOn: boolean) => setAnchor(isOn ? here : undefined),
    isTogether: anchor !== undefined,
    show: (value: Which) => {
      show(value);
      setAt(0);
      setAnchor(undefined);
      setOrder(undefined);
    },
    /** The order stays as it is while doubts are settled. */
    sortBy: (doubtful: boolean) => {
      setOrder(doubtful ? doubtfulFirst(asTaken).map(keyOf) : undefined);
      setAt(0);
      setAnchor(undefined);
    },
  };
}
export type Names = ReturnType<typeof useNames>;
