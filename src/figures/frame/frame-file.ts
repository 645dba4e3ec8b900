import type { Scene } from '@/core';
import type { Inks } from '@/ui/theme';
import { paperOf } from './paper';
import { sizeOf } from './size';
import { askFrame } from './small-frames';

/** Large enough to be sent and printed small. */
const LONG_SIDE_PX = 960;
const SAMPLES = 48;

/**
 * A frame as a PNG file, three by two.
 * @throws Error where the browser can't draw it
 */
export function framePng(scene: Scene, inks: Pick<Inks, 'paper' | 'ink'>): Promise<Blob> {
  const size = sizeOf(scene.camera.orientation, LONG_SIDE_PX);
  const to = document.createElement('canvas');
  return new Promise((resolve, reject) => {
    askFrame({
      ...size,
      ...{
        scene,
        samples: SAMPLES,
        paper: paperOf(inks),
        to,
        first: true,
        hurried: true,
      },
      onRefused: (why) => reject(new Error(why)),
      onDone: () =>
        to.toBlob((blob) =>
          blob ? resolve(blob) : reject(new Error('the browser gave no picture')),
        ),
    });
  });
}
