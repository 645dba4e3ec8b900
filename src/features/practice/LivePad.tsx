import { createElement, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import type { FrameSize } from '@/figures/frame/size';

const MOST_PX_PER_PX = 2;
/** Where less motion is asked for, what runs is drawn in steps so far apart. */
const STEPS_MS = 333;

const lessMotion = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** What runs on a pad: it is drawn, frame by frame, and answers to hands. */
export interface Live {
  /** Draws it as it is at a moment of the page's clock. */
  readonly draw: (nowMs: number) => void;
  /** Whether it runs on; asked each frame. */
  readonly goesOn: (nowMs: number) => boolean;
  readonly onDown: (event: PointerEvent) => void;
  readonly onMove?: (event: PointerEvent) => void;
  /** Whether the key was meant for it. */
  readonly onKey: (event: KeyboardEvent) => boolean;
}

export interface Surface {
  readonly canvas: HTMLCanvasElement;
  readonly pen: CanvasRenderingContext2D;
  /** Sets it running. */
  readonly go: () => void;
}

/**
 * A drawing that runs and is played by hand. The page is asked for the pointer's readings with their own times, which
 * gestures do not pass on; nothing of React is drawn meanwhile.
 * @param make puts what runs on the pad; another one when it changes
 */
export function LivePad({
  size,
  label,
  make,
}: {
  readonly size: FrameSize;
  readonly label: string;
  readonly make: (surface: Surface) => Live;
}) {
  const place = useRef<HTMLCanvasElement>(null);
  const [going, setGoing] = useState(false);
  const { widthPx, heightPx } = size;
  useEffect(() => {
    const canvas = place.current;
    const pad = canvas?.parentElement;
    const pen = canvas?.getContext('2d');
    if (!canvas || !pad || !pen) return undefined;
    const scale = Math.min(MOST_PX_PER_PX, window.devicePixelRatio || 1);
    canvas.width = Math.round(widthPx * scale);
    canvas.height = Math.round(heightPx * scale);
    let frame = 0;
    let drawnMs = -Infinity;
    const step = () => {
      const nowMs = performance.now();
      if (!lessMotion() || nowMs - drawnMs >= STEPS_MS) {
        drawnMs = nowMs;
        live.draw(nowMs);
      }
      if (live.goesOn(nowMs)) frame = requestAnimationFrame(step);
      else setGoing(false);
    };
    const live = make({
      canvas,
      pen,
      go: () => {
        cancelAnimationFrame(frame);
        drawnMs = -Infinity;
        setGoing(true);
        frame = requestAnimationFrame(step);
      },
    });
    live.draw(performance.now());
    const onDown = (event: PointerEvent) => {
      event.preventDefault();
      pad.focus({ preventScroll: true });
      live.onDown(event);
    };
    const onMove = (event: PointerEvent) => live.onMove?.(event);
    const onKey = (event: KeyboardEvent) => {
      if (live.onKey(event)) event.preventDefault();
    };
    canvas.addEventListener('pointerdown', onDown);
    window.addEventListener('pointermove', onMove);
    pad.addEventListener('keydown', onKey);
    return () => {
      cancelAnimationFrame(frame);
      canvas.removeEventListener('pointerdown', onDown);
      window.removeEventListener('pointermove', onMove);
      pad.removeEventListener('keydown', onKey);
    };
  }, [make, widthPx, heightPx]);
  const shown = { width: widthPx, height: heightPx, display: 'block' } as const;
  const handled = { touchAction: 'none', cursor: 'crosshair' } as const;
  return (
    <View
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={going}
      style={{ width: widthPx, height: heightPx }}
    >
      {createElement('canvas', { ref: place, style: { ...shown, ...handled } })}
    </View>
  );
}

/** A pad that is only pressed: by finger, mouse, or key. */
export const pressedBy = (press: (nowMs: number) => void): Pick<Live, 'onDown' | 'onKey'> => ({
  onDown: (event) => press(event.timeStamp),
  onKey: (event) => {
    if (!isPressKey(event)) return false;
    if (!event.repeat) press(event.timeStamp);
    return true;
  },
});

/** What is called when a run is over, as it is by then. */
export function useNow<T>(value: T): { readonly current: T } {
  const now = useRef(value);
  useEffect(() => {
    now.current = value;
  });
  return now;
}

/** Whether a key is one that begins and presses. */
export const isPressKey = ({ key }: KeyboardEvent): boolean => key === 'Enter' || key === ' ';

const BUZZ_MS = 12;

/** The shutter is felt, where the device can. */
export const buzz = (): void => void navigator.vibrate?.(BUZZ_MS);
