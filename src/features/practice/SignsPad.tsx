import { useCallback, useState } from 'react';
import type { FrameSize } from '@/figures/frame/size';
import type { Sign } from '@/presets/cues';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { buzz, LivePad, pressedBy, useNow, type Live, type Surface } from './LivePad';

/** It is waited for so long after the moment. */
const AFTER_S = 1.5;
const LINE_SHARE = 0.11;

/** Words broken where they would be too long. */
function lines(pen: CanvasRenderingContext2D, text: string, widthPx: number): readonly string[] {
  return text.split(' ').reduce<readonly string[]>((all, word) => {
    const last = all.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    return last === undefined || pen.measureText(longer).width > widthPx
      ? [...all, word]
      : [...all.slice(0, -1), longer];
  }, []);
}

/** Signs as words, each when it comes; the moment itself is not said. */
export function SignsPad({
  signs,
  atS,
  size,
  label,
  onDone,
}: {
  readonly signs: readonly Sign[];
  /** When each comes, the moment being 0. */
  readonly atS: readonly number[];
  readonly size: FrameSize;
  readonly label: string;
  /** @param pressS nothing when it was let pass */
  readonly onDone: (pressS: number | undefined) => void;
}) {
  const inks = useInks();
  const done = useNow(onDone);
  const [heard, setHeard] = useState('');
  const make = useCallback(
    ({ canvas, pen, go }: Surface): Live => {
      const fromS = (atS[0] ?? 0) - 0.7;
      let beganMs: number | undefined;
      let saidLast = -1;
      let pressS: number | undefined;
      const timeOf = (nowMs: number) =>
        beganMs === undefined ? fromS : fromS + (nowMs - beganMs) / 1000;
      const press = (nowMs: number) => {
        if (beganMs === undefined) {
          beganMs = nowMs;
          pressS = undefined;
          go();
        } else {
          pressS ??= timeOf(nowMs);
          buzz();
        }
      };
      return {
        draw: (nowMs) => {
          const { width, height } = canvas;
          const timeS = timeOf(nowMs);
          // The last of them is the moment: it is waited for.
          const said =
            beganMs === undefined ? -1 : atS.slice(0, -1).filter((s) => s <= timeS).length - 1;
          if (said !== saidLast) {
            saidLast = said;
            setHeard(signs[said]?.text ?? '');
          }
          pen.fillStyle = inks.paper;
          pen.fillRect(0, 0, width, height);
          pen.fillStyle = inks.ink;
          pen.textAlign = 'center';
          const linePx = height * LINE_SHARE;
          pen.font = `600 ${linePx}px "Perch Body"`;
          const text = beganMs === undefined ? 'Tap to begin' : (signs[said]?.text ?? '…');
          const broken = lines(pen, text, width * 0.86);
          broken.forEach((line, i) =>
            pen.fillText(
              line,
              width / 2,
              height / 2 + (i - (broken.length - 1) / 2) * linePx * 1.25,
            ),
          );
          // A mark for each that has come.
          const apart = width / (atS.length + 1);
          atS.forEach((_, i) => {
            pen.beginPath();
            pen.arc((i + 1) * apart, height * 0.88, height * 0.018, 0, 7);
            if (i <= said) pen.fill();
            else {
              pen.strokeStyle = inks.ink;
              pen.lineWidth = Math.max(1, height * 0.005);
              pen.stroke();
            }
          });
        },
        goesOn: (nowMs) => {
          if (beganMs === undefined) return false;
          if (pressS === undefined && timeOf(nowMs) < AFTER_S) return true;
          beganMs = undefined;
          done.current(pressS);
          return false;
        },
        ...pressedBy(press),
      };
    },
    [signs, atS, inks, done],
  );
  return (
    <>
      <LivePad size={size} label={label} make={make} />
      {/* What is drawn is read out too. */}
      <Text role="status" className="sr-only">
        {heard}
      </Text>
    </>
  );
}
