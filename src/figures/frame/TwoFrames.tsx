import { useState } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { SlideArea } from '@/ui/Slider';
import { Text } from '@/ui/Text';
import { SmallFrame } from './SmallFrame';

/** As fine as the frame that stands alone. */
const SAMPLES = 64;
const PERCENT_STEP = 2;

interface Named {
  readonly scene: Scene;
  readonly name: string;
  readonly label: string;
}

/** One frame over another, parted by a line that is swiped between them. */
export function TwoFrames({
  left,
  right,
  widthPx,
  heightPx,
}: {
  readonly left: Named;
  readonly right: Named;
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const [at, setAt] = useState(50);
  const partedPx = (at / 100) * widthPx;
  const size = { widthPx, heightPx, samples: SAMPLES, first: true };
  const over = { position: 'absolute', top: 0, left: 0 } as const;
  return (
    <View style={{ width: widthPx, height: heightPx }}>
      <View style={over}>
        <SmallFrame scene={right.scene} label={right.label} {...size} />
      </View>
      <View style={{ ...over, width: partedPx, height: heightPx, overflow: 'hidden' }}>
        <SmallFrame scene={left.scene} label={left.label} {...size} />
      </View>
      <View style={{ ...over, width: widthPx }}>
        <SlideArea
          label="Where one frame ends and the other begins"
          value={at}
          min={0}
          max={100}
          step={PERCENT_STEP}
          bigStep={10}
          valueText={`${at} % ${left.name}, ${100 - at} % ${right.name}`}
          onChange={(next) => setAt(next)}
          heightPx={heightPx}
        >
          {() => (
            <View style={{ width: widthPx, height: heightPx }} aria-hidden>
              <View
                className="absolute bottom-0 top-0 w-[3px] bg-signal"
                style={{ left: Math.min(widthPx - 3, Math.max(0, partedPx - 1.5)) }}
              />
              <Plate className="left-1" text={left.name} />
              <Plate className="right-1" text={right.name} />
            </View>
          )}
        </SlideArea>
      </View>
    </View>
  );
}

function Plate({ text, className }: { readonly text: string; readonly className: string }) {
  return (
    <View className={`absolute bottom-1 max-w-[48%] border border-ink bg-paper px-2 ${className}`}>
      <Text kind="small">{text}</Text>
    </View>
  );
}
