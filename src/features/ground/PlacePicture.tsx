import { useMemo } from 'react';
import { pictured, standingAt } from '@/answers/pictured';
import { useShown } from '@/features/shoot/open-shoot';
import { pictureInWords } from '@/features/shoot/ThroughLens';
import { sizeOf } from '@/figures/frame/size';
import { SmallFrame } from '@/figures/frame/SmallFrame';

/** What the camera as it is fitted takes from a position, where that stands or is put. */
export function PlacePicture({
  positionId,
  x,
  y,
  atMs,
  name,
}: {
  readonly positionId: string;
  readonly x: number;
  readonly y: number;
  readonly atMs: number;
  readonly name: string;
}) {
  const { setup } = useShown('setup');
  const picture = useMemo(() => {
    const chosen = { ...setup, choice: { ...setup.choice, positionId } };
    return pictured(standingAt(chosen, { x, y }), atMs);
  }, [setup, positionId, x, y, atMs]);
  if (!picture) return null;
  return (
    <SmallFrame
      scene={picture.scene}
      label={`${name} ${pictureInWords(picture)}`}
      {...sizeOf(picture.view.orientation)}
    />
  );
}
