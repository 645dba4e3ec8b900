import { useCallback } from 'react';
import { aimThen, figureThen, happening, offMoment, type Happening } from '@/answers/moments';
import type { View } from '@/answers/view';
import type { Scene } from '@/core';
import { paperOf } from '@/figures/frame/paper';
import { drawLineView } from '@/figures/frame/line-view';
import type { FrameSize } from '@/figures/frame/size';
import type { MomentKind } from '@/records/practice';
import { useInks } from '@/ui/theme';
import { buzz, LivePad, pressedBy, useNow, type Live, type Surface } from './LivePad';

export interface Pressed {
  readonly what: Happening;
  /** When it was pressed, the moment being 0; nothing when it was let pass. */
  readonly pressS?: number;
}

/** Something that happens before the lens: a press begins it, and one is to fall on its moment. */
export function MomentPad({
  kind,
  view,
  scene,
  size,
  label,
  onDone,
}: {
  readonly kind: MomentKind;
  readonly view: View;
  readonly scene: Scene;
  readonly size: FrameSize;
  readonly label: string;
  readonly onDone: (pressed: Pressed) => void;
}) {
  const inks = useInks();
  const done = useNow(onDone);
  const make = useCallback(
    ({ canvas, pen, go }: Surface): Live => {
      const paper = paperOf(inks);
      let run: { readonly what: Happening; readonly atMs: number } | undefined;
      let pressS: number | undefined;
      const timeOf = (nowMs: number) => (run ? run.what.fromS + (nowMs - run.atMs) / 1000 : 0);
      const still = happening(kind, view, 0);
      const press = (nowMs: number) => {
        if (run) {
          pressS ??= timeOf(nowMs);
          buzz();
        } else {
          run = { what: happening(kind, view, Math.random()), atMs: nowMs };
          pressS = undefined;
          go();
        }
      };
      return {
        draw: (nowMs) => {
          const what = run?.what ?? still;
          const timeS = run ? timeOf(nowMs) : still.fromS;
          drawLineView(pen, {
            ...{ scene, aim: aimThen(scene, what, timeS), paper },
            ...{ figures: [figureThen(scene, what, timeS)], balls: what.ballsAt(timeS) },
            ...{ widthPx: canvas.width, heightPx: canvas.height },
          });
        },
        goesOn: (nowMs) => {
          if (!run) return false;
          if (timeOf(nowMs) < run.what.toS) return true;
          const { what } = run;
          run = undefined;
          done.current({ what, ...(pressS !== undefined && { pressS: offMoment(what, pressS) }) });
          return false;
        },
        ...pressedBy(press),
      };
    },
    [kind, view, scene, inks, done],
  );
  return <LivePad size={size} label={label} make={make} />;
}
