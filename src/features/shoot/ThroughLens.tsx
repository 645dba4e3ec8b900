import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { sceneThrough } from '@/answers/through-lens';
import { LensFrame } from '@/figures/frame/LensFrame';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { settingsInWords } from './exposure-words';
import { useLens, useShown } from './open-shoot';
import { lightInWords, percent, troubleInWords } from './words';

/** A frame is three by two. */
const LONG_TO_SHORT = 3 / 2;

/** The largest frame, level or upright, in a box. */
function frameIn(widthPx: number, heightPx: number, orientation: 'level' | 'upright') {
  const across = orientation === 'level' ? LONG_TO_SHORT : 1 / LONG_TO_SHORT;
  const width = Math.floor(Math.min(widthPx, heightPx * across));
  return { widthPx: width, heightPx: Math.floor(width / across) };
}

/** What the camera takes from the place chosen, at this minute, with these settings. */
export function ThroughLens({
  instead,
}: {
  /** What is drawn where the browser can't draw the frame. */
  readonly instead?: ReactNode;
}) {
  const { seen, setup, atMs } = useShown('seen', 'setup', 'atMs');
  const [box, setBox] = useState({ width: 0, height: 0 });
  const { ground, features } = setup;
  const scene = useMemo(
    () =>
      seen.ok
        ? sceneThrough({ ground, features }, seen.view, seen.answer, {
            settings: seen.answer.exposure.settings,
            atMs,
          })
        : undefined,
    [seen, ground, features, atMs],
  );
  if (!seen.ok || !scene) {
    return (
      <View className="p-3">
        <Text>{seen.ok ? '' : troubleInWords(seen.trouble)}</Text>
      </View>
    );
  }
  const { view, answer } = seen;
  const size = frameIn(box.width, box.height, view.orientation);
  return (
    <View
      className="flex-1 items-center justify-center bg-line"
      onLayout={({ nativeEvent }) => setBox(nativeEvent.layout)}
    >
      {size.widthPx > 0 ? (
        <LensFrame
          scene={scene}
          label={`Through the lens: ${view.subject.name}, ${percent(view.fill)} of the frame, ${lightInWords(answer).toLowerCase()}, ${settingsInWords(answer.exposure.settings)}`}
          {...size}
          instead={(why) => (
            <View className="gap-1 p-3" style={{ width: box.width }}>
              <Text kind="small" ink="quiet">
                {`The frame can’t be drawn in this browser (${why}).${instead ? ' From the side, in lines:' : ''}`}
              </Text>
              {instead}
            </View>
          )}
        />
      ) : null}
    </View>
  );
}

/** Takes the lens up, or puts it away. */
export function LensButton() {
  const [open, turn] = useLens();
  return <Button label={open ? 'Put the lens away' : 'Look through the lens'} onPress={turn} />;
}
