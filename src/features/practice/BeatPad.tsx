import { useCallback } from 'react';
import type { FrameSize } from '@/figures/frame/size';
import { useInks } from '@/ui/theme';
import { BEATS, BEAT_S, lateOnBeat } from './beat';
import { LivePad, pressedBy, useNow, type Live, type Surface } from './LivePad';

/** A mark that meets a line on an even beat: how late presses are there is the device’s own delay. */
export function BeatPad({
  size,
  onDone,
}: {
  readonly size: FrameSize;
  /** @param lateS how late it is, in the middle of all presses; nothing when there were too few */
  readonly onDone: (lateS: number | undefined) => void;
}) {
  const inks = useInks();
  const done = useNow(onDone);
  const make = useCallback(
    ({ canvas, pen, go }: Surface): Live => {
      let atMs: number | undefined;
      const presses: number[] = [];
      const timeOf = (nowMs: number) => (atMs === undefined ? 0 : (nowMs - atMs) / 1000);
      const press = (nowMs: number) => {
        if (atMs === undefined) {
          atMs = nowMs;
          go();
        } else presses.push(timeOf(nowMs));
      };
      return {
        draw: (nowMs) => {
          const { width, height } = canvas;
          pen.fillStyle = inks.paper;
          pen.fillRect(0, 0, width, height);
          pen.fillStyle = inks.ink;
          pen.fillRect(width * 0.1, height * 0.75, width * 0.8, 3);
          // It bounces: it falls to the line on the beat and rises again, and can be seen coming.
          const sinceBeat = (timeOf(nowMs) / BEAT_S) % 1;
          const upShare = 4 * sinceBeat * (1 - sinceBeat);
          pen.fillStyle = inks.signal;
          pen.beginPath();
          pen.arc(width / 2, height * (0.7 - 0.6 * upShare), height * 0.05, 0, 7);
          pen.fill();
        },
        goesOn: (nowMs) => {
          if (atMs === undefined) return false;
          if (timeOf(nowMs) < (BEATS + 0.5) * BEAT_S) return true;
          atMs = undefined;
          done.current(lateOnBeat(presses));
          presses.length = 0;
          return false;
        },
        ...pressedBy(press),
      };
    },
    [inks, done],
  );
  return (
    <LivePad
      size={size}
      label={`Press to begin, then press ${BEATS} times as the mark meets the line`}
      make={make}
    />
  );
}
