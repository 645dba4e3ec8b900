import { useState } from 'react';
import { View } from 'react-native';
import { pngOf } from '@/formats/plan-image';
import { LARGEST_SITE_BYTES, type PointsAs, type SiteRead } from '@/formats/site';
import { useEdits, useOpenShoot, useShown } from '@/features/shoot/open-shoot';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { chooseFile, downloadBlob, downloadText } from '@/ui/files';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { planSheet, SHEET } from './plan-sheet';
import { itemsInWords, SITE_EXPORTS, SITE_FILES, siteFileName, withItems } from './site-files';

const POINTS_AS: readonly { readonly value: PointsAs; readonly label: string }[] = [
  { value: 'positions', label: 'Positions' },
  { value: 'marks', label: 'Marks' },
];
const PNG_TIMES = 2;

/** The ground out to files of open formats and in from them, and the plan as a picture. */
export function FilesSheet({
  open,
  onClose,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title="Files of this ground" open={open} onClose={onClose}>
      <Import onDone={onClose} />
      <Export />
    </Sheet>
  );
}

function Export() {
  const { shown } = useOpenShoot();
  const say = useToast();
  const { shoot } = useShown('shoot');
  const site = (ending: keyof typeof SITE_EXPORTS) => () => {
    const { write, type } = SITE_EXPORTS[ending];
    const name = siteFileName(shoot, ending);
    void write(shoot).then((text) => {
      downloadText(name, text, type);
      say({ text: `Exported ${name}` });
    });
  };
  const picture = async (ending: 'svg' | 'png') => {
    const name = siteFileName(shoot, ending);
    try {
      const svg = planSheet(shown.get());
      if (ending === 'svg') downloadText(name, svg, 'image/svg+xml');
      else downloadBlob(name, await pngOf(svg, SHEET, PNG_TIMES));
      say({ text: `Exported ${name}` });
    } catch (error) {
      say({ text: `No picture: ${error instanceof Error ? error.message : String(error)}` });
    }
  };
  return (
    <View className="gap-2 border-t border-line pt-3">
      <Heading level={3} kind="strong">
        Take it elsewhere
      </Heading>
      <Button label="GeoJSON: everything" onPress={site('geojson')} />
      <Button label="GPX: marks and positions as waypoints" onPress={site('gpx')} />
      <Button label="Plan as SVG" onPress={() => void picture('svg')} />
      <Button label="Plan as PNG" onPress={() => void picture('png')} />
    </View>
  );
}

interface Chosen {
  readonly name: string;
  readonly read: SiteRead;
}

/** A file chosen, what is in it, and only then taken in. */
function Import({ onDone }: { readonly onDone: () => void }) {
  const { shoot } = useShown('shoot');
  const { update, undo } = useEdits();
  const say = useToast();
  const [pointsAs, setPointsAs] = useState<PointsAs>('positions');
  const [chosen, setChosen] = useState<Chosen>();
  const { place, subjects } = shoot;
  const reading = useReading();
  const choose = async () => {
    const file = await chooseFile(SITE_FILES);
    if (!file) return;
    setChosen(undefined);
    const read = await reading.read(file, LARGEST_SITE_BYTES, async (service, one) =>
      service.site(await one.text(), { place, subjects, pointsAs }),
    );
    if (read.ok) setChosen({ name: file.name, read: read.value });
    else if (read.reason) setChosen({ name: file.name, read: { ok: false, reason: read.reason } });
  };
  const take = (read: Extract<SiteRead, { ok: true }>) => {
    const fits = withItems(shoot, read.items);
    if (!fits.ok) {
      setChosen({ name: chosen?.name ?? '', read: fits });
      return;
    }
    update((current) => {
      const now = withItems(current, read.items);
      return now.ok ? now.shoot : current;
    });
    setChosen(undefined);
    onDone();
    say({
      text: `Took in ${chosen?.name ?? 'the file'}`,
      action: { label: 'Undo', onPress: undo },
    });
  };
  return (
    <View className="gap-2">
      <Heading level={3} kind="strong">
        Take a ground in
      </Heading>
      <Choice
        label="Import unlabelled points as"
        value={pointsAs}
        options={POINTS_AS}
        onChange={(as) => {
          setPointsAs(as);
          setChosen(undefined);
        }}
      />
      <Button label="Choose a GeoJSON or GPX file" onPress={() => void choose()} />
      <ReadingNow reading={reading} />
      {chosen?.read.ok === false ? (
        <View role="alert" className="border-2 border-signal p-3">
          <Text kind="strong">{`${chosen.name} was refused; nothing has changed.`}</Text>
          <Text>{`${chosen.read.reason}.`}</Text>
        </View>
      ) : null}
      {chosen?.read.ok ? (
        <View className="gap-2 border border-ink p-3">
          <Text kind="strong">{chosen.name}</Text>
          <Text>{itemsInWords(chosen.read.items, shoot)}</Text>
          {chosen.read.notes.map((note) => (
            <Text key={note} kind="small">
              {note}
            </Text>
          ))}
          <Button
            label="Take it in"
            kind="primary"
            onPress={() => {
              if (chosen.read.ok) take(chosen.read);
            }}
          />
        </View>
      ) : null}
    </View>
  );
}
