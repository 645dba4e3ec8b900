import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { withShot } from '@/answers/choose-shot';
import { pictured } from '@/answers/pictured';
import { useShown } from '@/features/shoot/open-shoot';
import { FrameRoom, pictureInWords } from '@/features/shoot/ThroughLens';
import { fileStem } from '@/formats/shoot-json';
import { framePng } from '@/figures/frame/frame-file';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { Button } from '@/ui/Button';
import { downloadBlob } from '@/ui/files';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';

const AS_SHOWN = 'shown';
const SAMPLES = 64;

/** A shot as it would be taken at this minute, to keep as a picture of what is wanted. */
export function WantedPicture() {
  const { setup, shoot, atMs, clock } = useShown('setup', 'shoot', 'atMs', 'clock');
  const inks = useInks();
  const say = useToast();
  const [shotId, setShotId] = useState(setup.choice.shotId ?? AS_SHOWN);
  const [busy, setBusy] = useState(false);
  const shot = setup.shots.find(({ id }) => id === shotId);
  const picture = useMemo(
    () => pictured(shot ? withShot(shoot, shot) : setup, atMs),
    [shot, shoot, setup, atMs],
  );
  const save = () => {
    if (!picture) return;
    setBusy(true);
    framePng(picture.scene, inks)
      .then((blob) => {
        downloadBlob(
          `${fileStem(`${shoot.title} ${shot?.name ?? picture.view.mark.name}`)}.png`,
          blob,
        );
        say({ text: 'Picture saved' });
      })
      .catch((problem: unknown) =>
        say({ text: `Not saved: ${problem instanceof Error ? problem.message : String(problem)}` }),
      )
      .finally(() => setBusy(false));
  };
  return (
    <View className="gap-3">
      <Picker
        label="Shot"
        value={shotId}
        options={[
          ...setup.shots.map(({ id, name }) => ({ value: id, label: name })),
          { value: AS_SHOWN, label: 'What is shown now' },
        ]}
        onChange={setShotId}
      />
      {picture ? (
        <>
          <View className={picture.view.orientation === 'level' ? 'aspect-[3/2]' : 'h-[420px]'}>
            <FrameRoom orientation={picture.view.orientation}>
              {(size) => (
                <SmallFrame
                  scene={picture.scene}
                  label={pictureInWords(picture)}
                  samples={SAMPLES}
                  first
                  {...size}
                />
              )}
            </FrameRoom>
          </View>
          <Text kind="small" ink="quiet">
            {`${picture.view.mark.name} from ${picture.view.position.name} at ${clock(atMs)}. Computed, not taken: tones and figures are plain on purpose.`}
          </Text>
          <Button
            label={busy ? 'Drawing…' : 'Save as a picture (PNG)'}
            disabled={busy}
            onPress={save}
          />
        </>
      ) : (
        <Text>Nothing can be seen from here: choose another place on Ground.</Text>
      )}
    </View>
  );
}
