import { projector } from '../motion/projection';
import { partTrack } from '../motion/subject';
import type { FrameWindow, Scene } from './types';

/**
 * The window of a frame round a part of the subject, so that a drawn pixel is so many millimetres of the sensor.
 * It is moved inwards until all of it lies in the frame. The whole subject's middle where no part has that name.
 * @param mmPerPx of the sensor, above 0
 */
export function windowOn(
  { camera, figure }: Pick<Scene, 'camera' | 'figure'>,
  partName: string | undefined,
  {
    widthPx,
    heightPx,
    mmPerPx,
  }: { readonly widthPx: number; readonly heightPx: number; readonly mmPerPx: number },
): FrameWindow {
  const { sensor, orientation } = camera;
  const [wideMm, highMm] =
    orientation === 'level' ? [sensor.widthMm, sensor.heightMm] : [sensor.heightMm, sensor.widthMm];
  const part = figure.parts.find(({ name }) => name === partName) ?? figure.parts[0];
  const at = part ? partTrack(figure.subject, part, figure.path)(0, 0) : camera.aim;
  const image = projector(camera)(at) ?? { x: 0, y: 0 };
  const axis = (imageMm: number, px: number, frameMm: number) => {
    const share = Math.min(1, (px * mmPerPx) / frameMm);
    const most = (1 - share) / 2;
    return [Math.max(-most, Math.min(most, imageMm / frameMm)), share] as const;
  };
  const [right, widthShare] = axis(image.x, widthPx, wideMm);
  const [up, heightShare] = axis(image.y, heightPx, highMm);
  return { right, up, widthShare, heightShare };
}
