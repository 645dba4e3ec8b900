import { useCallback, useEffect, useRef } from 'react';
import type { Crossing } from '@/answers/crossing';
import type { Scene } from '@/core';
import { paperOf } from '@/figures/frame/paper';
import { drawLineView } from '@/figures/frame/line-view';
import type { FrameSize } from '@/figures/frame/size';
import type { HandKind } from '@/records/practice';
import { useInks } from '@/ui/theme';
import { buzz, isPressKey, LivePad, useNow, type Live, type Surface } from './LivePad';
import { beginRun, type Run, type Swung } from './run';
import type { HeardTurn } from './turning';

/** Readings that came between two frames, where the browser keeps them. */
const readingsOf = (event: PointerEvent): readonly PointerEvent[] => {
  const between = event.getCoalescedEvents?.() ?? [];
  return between.length > 0 ? between : [event];
};

/**
 * What the lens sees, followed by hand. A finger set down, a click or a key begins; a second finger, a click or Space
 * is the shutter.
 */
export function SwingPad({
  crossing,
  scene,
  size,
  label,
  turning,
  onDone,
}: {
  readonly crossing: Crossing;
  readonly scene: Scene;
  readonly size: FrameSize;
  readonly label: string;
  /** Where the phone itself turns the camera: hears it until told to stop. */
  readonly turning?: ((hear: HeardTurn) => () => void) | undefined;
  readonly onDone: (swung: Swung) => void;
}) {
  const inks = useInks();
  const done = useNow(onDone);
  const running = useRef<Run>(undefined);
  useEffect(() => turning?.((nowMs, by) => running.current?.turn(nowMs, by)), [turning]);
  const make = useCallback(
    ({ canvas, pen, go }: Surface): Live => {
      const paper = paperOf(inks);
      const { figure } = scene;
      running.current = undefined;
      const begin = (by: HandKind, atMs: number, from?: { xPx: number; yPx: number }) => {
        running.current = beginRun({
          ...{ crossing, by, atMs, pageWidthPx: window.innerWidth, chance: Math.random() },
          ...(from && { from }),
        });
        go();
      };
      const press = (run: Run, atMs: number) => {
        run.press(atMs);
        buzz();
      };
      return {
        draw: (nowMs) => {
          const run = running.current;
          const timeS = run?.timeAt(nowMs) ?? crossing.fromS;
          const aim = run?.aim(nowMs) ?? crossing.subjectAt(crossing.fromS);
          const path = { ...figure.path, position: crossing.placeAt(timeS) };
          drawLineView(pen, {
            ...{ scene, aim: crossing.aimAt(aim), figures: [{ ...figure, path }], paper },
            ...{ widthPx: canvas.width, heightPx: canvas.height },
          });
        },
        goesOn: (nowMs) => {
          const run = running.current;
          // The hand is noted even where nothing is drawn.
          run?.aim(nowMs);
          const swung = run?.done(nowMs);
          if (!swung) return run !== undefined;
          running.current = undefined;
          done.current(swung);
          return false;
        },
        onDown: (event) => {
          if (running.current) press(running.current, event.timeStamp);
          else if (turning) begin('turn', event.timeStamp);
          else {
            canvas.setPointerCapture(event.pointerId);
            begin('pointer', event.timeStamp, { xPx: event.clientX, yPx: event.clientY });
          }
        },
        onMove: (event) => {
          const run = running.current;
          if (run?.by !== 'pointer' || !event.isPrimary) return;
          for (const one of readingsOf(event)) run.move(one.timeStamp, one.clientX, one.clientY);
        },
        onKey: (event) => {
          const ahead = crossing.rightward ? 'ArrowRight' : 'ArrowLeft';
          const back = crossing.rightward ? 'ArrowLeft' : 'ArrowRight';
          const run = running.current;
          if (isPressKey(event)) {
            if (event.repeat) return true;
            if (run) press(run, event.timeStamp);
            else begin(turning ? 'turn' : 'keys', event.timeStamp);
            return true;
          }
          if (event.key !== ahead && event.key !== back) return false;
          run?.nudge(event.timeStamp, event.key === ahead);
          return true;
        },
      };
    },
    [crossing, scene, inks, turning, done],
  );
  return <LivePad size={size} label={label} make={make} />;
}
