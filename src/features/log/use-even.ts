import { hashKey } from '@tanstack/react-query';
import { useMemo } from 'react';
import { plannedFor } from '@/answers/against-plan';
import { evenSteps } from '@/answers/even-out';
import type { MatchedFrame } from '@/answers/matched';
import { useShown } from '@/features/shoot/open-shoot';
import { useInTurns } from '@/features/shoot/use-in-turns';
import { useKept } from './use-kept';

/** What a frame's part in its run rests on. */
const saidOf = ({ key, atMs, event, stand, frame }: MatchedFrame) => [
  ...[key, atMs, event?.id, stand.markId, stand.positionId, stand.shotId],
  ...[frame.shutterS, frame.aperture, frame.iso, frame.focalMm, frame.levelStops, frame.rollDeg],
];

/** Pictures by runs, each evened out: the kept ones, where some are. */
export function useEven(frames: readonly MatchedFrame[]) {
  const { setup } = useShown('setup');
  const { taken, ...kept } = useKept(frames);
  const key = useMemo(() => hashKey([setup, taken.map(saidOf)]), [setup, taken]);
  const runs = useInTurns('even', key, () => evenSteps(taken, plannedFor(setup)));
  return { runs, ...kept };
}
