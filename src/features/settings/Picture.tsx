import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  besidesOf,
  canPan,
  ladderOf,
  mostMoved,
  type Beside,
  type LadderKind,
  type LadderRung,
  type Pictured,
} from '@/answers/pictured';
import { withHeld } from '@/answers/take-way';
import { DELIVERED_LONG_SIDE_PX, formatShutter, pixelPitchMm, windowOn } from '@/core';
import { FrameStrip } from '@/features/shoot/FrameStrip';
import { useEdits, useLensUse, useShown } from '@/features/shoot/open-shoot';
import { FrameRoom, pictureInWords, ThroughLens, usePicture } from '@/features/shoot/ThroughLens';
import { engraved, gradeInWords, percent } from '@/features/shoot/words';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { TwoFrames } from '@/figures/frame/TwoFrames';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Heading, Text } from '@/ui/Text';

const NOTHING = 'nothing';
const LOUPE_PX = 160;

/** What may be laid beside the picture shown. */
function useBesides(picture: Pictured | undefined): readonly Beside[] {
  const { setup, atMs } = useShown('setup', 'atMs');
  return useMemo(() => (picture ? besidesOf(setup, picture, atMs) : []), [picture, setup, atMs]);
}

const dials = ({ answer }: Pictured): string => {
  const { shutter, iso } = engraved(answer.exposure.settings);
  return `${shutter} · ${iso}`;
};

/** "One stop faster, ISO doubled". */
function besideInWords({ what }: Beside): string {
  switch (what.kind) {
    case 'shutter':
      return what.faster ? 'A stop faster, ISO doubled' : 'A stop slower, ISO halved';
    case 'place':
      return `From ${what.name}`;
    case 'body':
      return `With the ${what.name}`;
    case 'silent':
      return 'With the silent shutter';
  }
}

const shortName = (beside: Beside, picture: Pictured): string =>
  beside.what.kind === 'shutter' ? dials(picture) : besideInWords(beside);

/** The picture at the dials set, and what is laid beside it. */
export function PictureShown() {
  const picture = usePicture();
  const [{ beside: id }] = useLensUse();
  const beside = useBesides(picture).find((one) => one.id === id);
  const other = useMemo(() => beside?.picture(), [beside]);
  if (!picture || !beside || !other) return <ThroughLens />;
  const name =
    beside.what.kind === 'shutter'
      ? dials(picture)
      : beside.what.kind === 'place'
        ? `From ${picture.view.position.name}`
        : 'As it is';
  return (
    <FrameRoom orientation={picture.view.orientation}>
      {(size) => (
        <TwoFrames
          left={{ scene: picture.scene, name, label: pictureInWords(picture) }}
          right={{
            scene: other.scene,
            name: shortName(beside, other),
            label: `Compared, ${besideInWords(beside)}: ${pictureInWords(other)}`,
          }}
          {...size}
        />
      )}
    </FrameRoom>
  );
}

/** What is laid beside the picture, its finest detail, and the same moment down the shutter's scale. */
export function PictureParts() {
  const picture = usePicture();
  if (!picture) return null;
  return (
    <View className="gap-5">
      <BesidePicker picture={picture} />
      <Loupe picture={picture} />
      <Ladder picture={picture} />
    </View>
  );
}

function BesidePicker({ picture }: { readonly picture: Pictured }) {
  const { update } = useEdits();
  const [{ beside: id }, use] = useLensUse();
  const besides = useBesides(picture);
  const beside = besides.find((one) => one.id === id);
  const taken = beside?.taken;
  return (
    <View className="gap-2">
      <Picker
        label="Compare with"
        value={beside?.id ?? NOTHING}
        options={[
          { value: NOTHING, label: 'Nothing' },
          ...besides.map((one) => ({ value: one.id, label: besideInWords(one) })),
        ]}
        onChange={(next) => use({ beside: next === NOTHING ? undefined : next })}
      />
      {beside && taken ? (
        <Button
          label="Use the picture on the right"
          onPress={() => {
            update(taken);
            use({ beside: undefined });
          }}
        />
      ) : null}
    </View>
  );
}

/** The part that moves most, so large that a drawn pixel is one of the delivered picture, and one of the sensor. */
function loupesOf({ scene, answer }: Pictured) {
  const { sensor } = scene.camera;
  const part = mostMoved(answer.exposure)?.part;
  const deliveredMm = Math.max(sensor.widthMm, sensor.heightMm) / DELIVERED_LONG_SIDE_PX;
  return [
    { mmPerPx: deliveredMm, name: `Delivered, ${DELIVERED_LONG_SIDE_PX} px` },
    { mmPerPx: pixelPitchMm(sensor), name: '100 %, pixel for pixel' },
  ].map(({ mmPerPx, name }) => {
    const window = windowOn(scene, part, { widthPx: LOUPE_PX, heightPx: LOUPE_PX, mmPerPx });
    return { name, scene: { ...scene, camera: { ...scene.camera, window } } };
  });
}

function Loupe({ picture }: { readonly picture: Pictured }) {
  const { moved, loupes } = useMemo(
    () => ({ moved: mostMoved(picture.answer.exposure), loupes: loupesOf(picture) }),
    [picture],
  );
  const how = moved
    ? `The ${moved.part} moves ${moved.deliveredPx.toFixed(1)} px as delivered: ${gradeInWords(moved.grade)}.`
    : 'Nothing is known to move.';
  return (
    <View role="region" aria-label="Loupe" className="gap-2">
      <Heading level={2} kind="figure">
        Loupe
      </Heading>
      <View className="flex-row flex-wrap gap-3">
        {loupes.map(({ scene, name }) => (
          <View key={name} className="gap-1">
            <SmallFrame
              scene={scene}
              label={`${moved?.part ?? 'Subject'}: ${name}`}
              widthPx={LOUPE_PX}
              heightPx={LOUPE_PX}
              sharp={1}
              first
            />
            <Text kind="small">{name}</Text>
          </View>
        ))}
      </View>
      <Text kind="small">{how}</Text>
    </View>
  );
}

const KINDS = [
  { value: 'freeze', label: 'Camera still' },
  { value: 'pan', label: 'Panned' },
] as const;

function rungInWords({ moved, pan, answer }: LadderRung): string {
  const { iso } = engraved(answer.exposure.settings);
  const grade = moved ? `${moved.part} ${gradeInWords(moved.grade)}` : 'nothing moves';
  return pan ? `${percent(pan.sharpChance)} sharp, ${grade} · ${iso}` : `${grade} · ${iso}`;
}

/** The same moment at one time after the other. */
function Ladder({ picture }: { readonly picture: Pictured }) {
  const { setup, atMs } = useShown('setup', 'atMs');
  const { update } = useEdits();
  const panned = picture.view.wanted.technique === 'pan';
  const [wanted, setWanted] = useState<LadderKind>();
  const pans = canPan(picture.view);
  const kind = pans ? (wanted ?? (panned ? 'pan' : 'freeze')) : 'freeze';
  const rungs = useMemo(() => ladderOf(setup, picture, atMs, kind), [setup, picture, atMs, kind]);
  const { shutterS: now } = picture.answer.exposure.settings;
  const takes = (kind === 'pan') === panned;
  return (
    <View role="region" aria-label="Ladder" className="gap-2">
      <Heading level={2} kind="figure">
        The same moment, time by time
      </Heading>
      {pans ? <Choice label="Camera" value={kind} options={KINDS} onChange={setWanted} /> : null}
      <FrameStrip
        label="Ladder of times"
        frames={rungs.map((rung) => ({
          id: String(rung.shutterS),
          picture: rung,
          name: formatShutter(rung.shutterS),
          said: rungInWords(rung),
          chosen: takes && Math.abs(Math.log2(rung.shutterS / now)) < 0.1,
          onPress: takes
            ? () =>
                update((current) =>
                  withHeld(current, { ...current.choice.held, shutterS: rung.shutterS }),
                )
            : undefined,
        }))}
      />
      <Text kind="small" ink="quiet">
        {takes
          ? 'Press one to hold its time; aperture and ISO answer.'
          : kind === 'pan'
            ? 'To set the dials for a pan, take up a shot whose technique is Pan.'
            : 'To set the dials for a frozen frame, take up a shot that is not panned.'}
      </Text>
    </View>
  );
}
