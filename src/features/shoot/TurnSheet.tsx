import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { fullCircle, sunEvents, sunPosition } from '@/core';
import { TurnRose } from '@/figures/TurnRose';
import { turnGround } from '@/records/edit-ground';
import { sketchOf } from '@/records/summary';
import { Button } from '@/ui/Button';
import { onKeys } from '@/ui/keys';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { useEdits, useShown } from './open-shoot';
import { SightByPhone } from './SightByPhone';
import { bearingInWords } from './words';

const ROSE_PX = 300;
const BIG_STEP_DEG = 15;

/** Bearing of a point of the rose as the middle sees it. */
const bearingOf = (x: number, y: number): number =>
  (Math.atan2(x - ROSE_PX / 2, ROSE_PX / 2 - y) * 180) / Math.PI;

/** Where the sun rises and sets on the day of the shoot; nothing where it does not. */
function useSunEnds() {
  const { shoot } = useShown('shoot');
  const { place, startLocal } = shoot;
  return useMemo(() => {
    const events = sunEvents({ ...place, date: startLocal.slice(0, 10) });
    const azimuth = (time: Date | undefined) =>
      time && { time, deg: sunPosition({ time, ...place }).azimuthDeg };
    return { rise: azimuth(events.rise), set: azimuth(events.set) };
  }, [place, startLocal]);
}

/** The ground on a compass rose, turned by a thumb, by clicks, or to where the sun sets. */
export function TurnSheet({
  open,
  onClose,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title="Which way it lies" open={open} onClose={onClose}>
      <Turn onClose={onClose} />
    </Sheet>
  );
}

function Turn({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const { shoot, clock } = useShown('shoot', 'clock');
  const { update, hold } = useEdits();
  const { rise, set } = useSunEnds();
  const { bearingDeg } = shoot.ground;
  const turnTo = (to: (fromDeg: number) => number) =>
    update(
      (current) => turnGround(current, fullCircle(Math.round(to(current.ground.bearingDeg)))),
      'turn',
    );
  const turnBy = (deg: number) => turnTo((from) => from + deg);
  const [held, setHeld] = useState(0);
  const pan = Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .onBegin(({ x, y }) => {
      hold(true);
      setHeld(bearingDeg - bearingOf(x, y));
    })
    .onUpdate(({ x, y }) => turnTo(() => held + bearingOf(x, y)))
    .onFinalize(() => hold(false));
  const upright = useMemo(() => {
    const { ground, features, marks, positions } = turnGround(shoot, 0);
    return sketchOf({ ground, features, marks, positions });
  }, [shoot]);
  return (
    <View className="gap-3">
      <Text>
        {`The end with the arrow lies towards ${bearingInWords(bearingDeg)}. Drag the ground until it lies as it does.`}
      </Text>
      <View className="items-center">
        <GestureDetector gesture={pan} touchAction="none">
          <View
            role="slider"
            tabIndex={0}
            aria-label="True bearing of the long axis"
            aria-valuemin={0}
            aria-valuemax={359}
            aria-valuenow={Math.round(bearingDeg)}
            aria-valuetext={bearingInWords(bearingDeg)}
            style={{ width: ROSE_PX, height: ROSE_PX, cursor: 'pointer' }}
            {...onKeys({
              ArrowRight: () => turnBy(1),
              ArrowUp: () => turnBy(1),
              ArrowLeft: () => turnBy(-1),
              ArrowDown: () => turnBy(-1),
              PageUp: () => turnBy(BIG_STEP_DEG),
              PageDown: () => turnBy(-BIG_STEP_DEG),
            })}
          >
            <TurnRose
              sketch={upright}
              bearingDeg={bearingDeg}
              riseDeg={rise?.deg}
              setDeg={set?.deg}
              sizePx={ROSE_PX}
            />
          </View>
        </GestureDetector>
      </View>
      <Stepper
        label="Bearing"
        value={Math.round(bearingDeg)}
        valueText={`${Math.round(bearingDeg)}°`}
        min={-1}
        max={361}
        onStep={turnBy}
      />
      {set ? (
        <Button
          label={`The sun sets behind this end (${clock(set.time.getTime())})`}
          onPress={() => turnTo(() => set.deg)}
        />
      ) : null}
      {rise ? (
        <Button
          label={`The sun rises behind this end (${clock(rise.time.getTime())})`}
          onPress={() => turnTo(() => rise.deg)}
        />
      ) : null}
      <SightByPhone onTake={(deg) => turnTo(() => deg)} />
      <Button
        label="Lay it by two points, or by a picture"
        onPress={() => {
          onClose();
          router.push(`/shoot/${shoot.id}/draw`);
        }}
      />
    </View>
  );
}
