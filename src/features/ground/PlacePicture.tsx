import { useMemo } from 'react';
import { pictured, standingAt } from '@/answers/pictured';
import type { Point2 } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { pictureInWords } from '@/features/shoot/ThroughLens';
import { SmallFrame } from '@/figures/frame/SmallFrame';

const LONG_PX = 150;

/** What the camera as it is fitted takes from another place. */
export function PlacePicture({
  place,
  atMs,
  name,
}: {
  readonly place: Point2 | { readonly positionId: string };
  readonly atMs: number;
  readonly name: string;
}) {
  const { setup } = useShown('setup');
  const at = 'positionId' in place ? place.positionId : `${place.x} ${place.y}`;
  const picture = useMemo(() => {
    const there =
      'positionId' in place
        ? { ...setup, choice: { ...setup.choice, positionId: place.positionId } }
        : standingAt(setup, place);
    return pictured(there, atMs);
    // The place is the same as long as it says the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [setup, at, atMs]);
  if (!picture) return null;
  const [widthPx, heightPx] =
    picture.view.orientation === 'level' ? [LONG_PX, LONG_PX / 1.5] : [LONG_PX / 1.5, LONG_PX];
  return (
    <SmallFrame
      scene={picture.scene}
      label={`${name} ${pictureInWords(picture)}`}
      widthPx={widthPx}
      heightPx={heightPx}
    />
  );
}
