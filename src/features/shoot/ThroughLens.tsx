import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { cropped, picturedIn, type Pictured } from '@/answers/pictured';
import { LensFrame } from '@/figures/frame/LensFrame';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { settingsInWords } from './exposure-words';
import { useCrop, useLens, useShown } from './open-shoot';
import { lightInWords, percent, troubleInWords } from './words';

/** A frame is three by two. */
const LONG_TO_SHORT = 3 / 2;

/** The largest frame, level or upright, in a box. */
function frameIn(widthPx: number, heightPx: number, orientation: 'level' | 'upright') {
  const across = orientation === 'level' ? LONG_TO_SHORT : 1 / LONG_TO_SHORT;
  const width = Math.floor(Math.min(widthPx, heightPx * across));
  return { widthPx: width, heightPx: Math.floor(width / across) };
}

/** A frame as large as its room allows; what is in it is told its size. */
export function FrameRoom({
  orientation,
  children,
}: {
  readonly orientation: 'level' | 'upright';
  readonly children: (size: { readonly widthPx: number; readonly heightPx: number }) => ReactNode;
}) {
  const [box, setBox] = useState({ width: 0, height: 0 });
  const size = frameIn(box.width, box.height, orientation);
  return (
    <View
      className="flex-1 items-center justify-center bg-line"
      onLayout={({ nativeEvent }) => setBox(nativeEvent.layout)}
    >
      {size.widthPx > 0 ? children(size) : null}
    </View>
  );
}

/** The picture of what is shown, at the dials that are set. */
export function usePicture(): Pictured | undefined {
  const { seen, setup, atMs } = useShown('seen', 'setup', 'atMs');
  return useMemo(
    () => (seen.ok ? picturedIn(setup, seen.view, seen.answer, atMs) : undefined),
    [seen, setup, atMs],
  );
}

/** What is in a picture, for those who do not see it. */
export const pictureInWords = ({ view, answer }: Pictured): string =>
  `Through the lens: ${view.subject.name}, ${percent(view.fill)} of the frame, ${lightInWords(answer).toLowerCase()}, ${settingsInWords(answer.exposure.settings)}`;

/** What the camera takes from the place chosen, at this minute, with these settings. */
export function ThroughLens({
  instead,
}: {
  /** What is drawn where the browser can't draw the frame. */
  readonly instead?: ReactNode;
}) {
  const { seen } = useShown('seen');
  const picture = usePicture();
  const [crop, turnCrop] = useCrop();
  if (!picture) {
    return (
      <View className="p-3">
        <Text>{seen.ok ? '' : troubleInWords(seen.trouble)}</Text>
      </View>
    );
  }
  const delivered = cropped(picture);
  const shown = crop && delivered ? delivered : picture;
  return (
    <FrameRoom orientation={picture.view.orientation}>
      {(size) => (
        <>
          <LensFrame
            scene={shown.scene}
            label={`${pictureInWords(picture)}${shown === delivered ? `, cropped to ${percent(delivered.fill)}` : ''}`}
            {...size}
            instead={(why) => (
              <View className="w-full gap-1 p-3">
                <Text kind="small" ink="quiet">
                  {`The frame can’t be drawn in this browser (${why}).${instead ? ' From the side, in lines:' : ''}`}
                </Text>
                {instead}
              </View>
            )}
          />
          {delivered ? (
            <View className="absolute bottom-1 left-1 bg-paper">
              <Button
                label={
                  crop
                    ? `Whole frame: ${percent(picture.view.fill)}`
                    : `Crop to ${percent(delivered.fill)}: ${delivered.megapixels.toFixed(delivered.megapixels < 10 ? 1 : 0)} MP left`
                }
                onPress={turnCrop}
              />
            </View>
          ) : null}
        </>
      )}
    </FrameRoom>
  );
}

/** Takes the lens up, or puts it away. */
export function LensButton() {
  const [open, turn] = useLens();
  return <Button label={open ? 'Put the lens away' : 'Look through the lens'} onPress={turn} />;
}
