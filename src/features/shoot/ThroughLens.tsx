import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { cropped, picturedIn, type Pictured } from '@/answers/pictured';
import type { View as Seen } from '@/answers/view';
import type { ExposurePlan } from '@/core';
import { LensFrame } from '@/figures/frame/LensFrame';
import { sizeIn, type FrameSize } from '@/figures/frame/size';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { settingsInWords } from './exposure-words';
import { useLensUse, useShown } from './open-shoot';
import { lightInWords, megapixelsLeft, percent, troubleInWords } from './words';

/** A frame as large as its room allows; what is in it is told its size. */
export function FrameRoom({
  orientation,
  children,
}: {
  readonly orientation: 'level' | 'upright';
  readonly children: (size: FrameSize) => ReactNode;
}) {
  const [box, setBox] = useState({ width: 0, height: 0 });
  const size = sizeIn(orientation, box.width, box.height);
  return (
    <View
      className="flex-1 items-center justify-center bg-line"
      onLayout={({ nativeEvent }) => setBox(nativeEvent.layout)}
    >
      {size.widthPx > 0 ? children(size) : null}
    </View>
  );
}

/** Said where the browser can't draw a frame, with what stands there for it. */
export function NotDrawn({
  why,
  children,
}: {
  readonly why: string;
  readonly children?: ReactNode;
}) {
  return (
    <View className="w-full gap-1 p-3">
      <Text kind="small" ink="quiet">
        {`The frame can’t be drawn in this browser (${why}).${children ? ' From the side, in lines:' : ''}`}
      </Text>
      {children}
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

/** What is in a frame, for those who do not see it; its light where more than its amount is known. */
export const frameInWords = (view: Seen, { settings }: ExposurePlan, light?: string): string =>
  [
    `Through the lens: ${view.subject.name}`,
    `${percent(view.fill)} of the frame`,
    ...(light ? [light.toLowerCase()] : []),
    settingsInWords(settings),
  ].join(', ');
export const pictureInWords = ({ view, answer }: Pictured): string =>
  frameInWords(view, answer.exposure, lightInWords(answer));

/** What the camera takes from the place chosen, at this minute, with these settings. */
export function ThroughLens({
  instead,
}: {
  /** What is drawn where the browser can't draw the frame. */
  readonly instead?: ReactNode;
}) {
  const { seen } = useShown('seen');
  const picture = usePicture();
  const [{ crop }, use] = useLensUse();
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
            label={`${pictureInWords(picture)}${shown === delivered ? `, cropped to ${percent(delivered.wanted)}` : ''}`}
            {...size}
            instead={(why) => <NotDrawn why={why}>{instead}</NotDrawn>}
          />
          {delivered ? (
            <View className="absolute bottom-1 left-1 bg-paper">
              <Button
                label={
                  crop
                    ? `Whole frame: ${percent(picture.view.fill)}`
                    : `Crop to ${percent(delivered.wanted)}: ${megapixelsLeft(delivered)}`
                }
                onPress={() => use({ crop: !crop })}
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
  const [{ open }, use] = useLensUse();
  return (
    <Button
      label={open ? 'Put the lens away' : 'Look through the lens'}
      onPress={() => use({ open: !open })}
    />
  );
}
