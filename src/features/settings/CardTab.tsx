import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { cardSvg, LOCK_SCREEN, type CardSheet } from '@/formats/card-image';
import { pngOf } from '@/formats/plan-image';
import { fileStem } from '@/formats/shoot-json';
import { dayOf } from '@/records/day-said';
import { Button } from '@/ui/Button';
import { Exposure } from '@/ui/Exposure';
import { downloadBlob } from '@/ui/files';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { cardLine, cardNotes, cardOnPaper, turnedLines } from '@/features/shoot/card';
import { memorySlots } from '@/features/shoot/slots';
import { usePrinting } from '@/features/shoot/use-printing';
import { printed } from '@/workers/print-client';
import { useCard } from '@/features/shoot/use-card';

type Seen = Extract<Plan['seen'], { ok: true }>;

/** Settings through the shoot, to print, to carry on a lock screen, and to store in the body. */
export function CardTab({ seen }: { readonly seen: Seen }) {
  const { shoot, setup, hours, clock, ribbon } = useShown(
    'shoot',
    'setup',
    'hours',
    'clock',
    'ribbon',
  );
  const say = useToast();
  const { printing, save } = usePrinting();
  const { view } = seen;
  const { choice } = setup;
  const { series } = ribbon;
  const { card, trouble } = useCard(view, choice, series, hours);
  if (view.wanted.technique === 'silhouette') {
    return (
      <Text>A silhouette is exposed for the sky behind it: read the dials at its minute.</Text>
    );
  }
  if (trouble) return <Text role="alert">{`No card: ${trouble}`}</Text>;
  if (!card) return <Text aria-live="polite">Computing the light of the shoot</Text>;
  const lines = card.rows.map((row) => cardLine(row, clock));
  const notes = cardNotes(card, clock);
  const sheet: CardSheet = {
    title: shoot.title,
    under: [
      `${dayOf(shoot.startLocal)}, ${shoot.startLocal.slice(11)} to ${shoot.endLocal.slice(11)}`,
      `${view.mark.name} from ${view.position.name}`,
      `${view.shot ? `${view.shot.name}. ` : ''}${view.lensName}, ${Math.round(view.focalMm)} mm`,
    ],
    lines: turnedLines(lines),
    notes,
  };
  const savePicture = () =>
    pngOf(cardSvg(sheet), LOCK_SCREEN, 1).then(
      (blob) => downloadBlob(`${fileStem(shoot.title)}-card.png`, blob),
      (error: Error) => say({ text: `No picture: ${error.message}` }),
    );
  return (
    <View className="gap-4">
      <Text kind="small" ink="quiet">
        {`${view.mark.name} from ${view.position.name}. A row each time a dial must turn by a click and stays so.`}
      </Text>
      <View role="list" aria-label="Settings card">
        {lines.map((line) => (
          <View key={line.time} role="listitem" className="gap-1 border-t border-ink py-2">
            <View className="flex-row items-end gap-3">
              <Text kind="strong" className="w-[52px]">
                {line.time}
              </Text>
              <View className="min-w-0 flex-1">
                <Exposure
                  shutter={line.shutter}
                  aperture={line.aperture}
                  iso={line.iso}
                  largestPx={26}
                />
              </View>
            </View>
            <Text kind="small" ink="quiet">
              {`${line.turn}: ${line.why}`}
            </Text>
          </View>
        ))}
      </View>
      {notes.map((note) => (
        <Text key={note} kind="strong">
          {note}
        </Text>
      ))}
      <View className="gap-2">
        <Button
          label="Save for the lock screen"
          kind="primary"
          onPress={() => void savePicture()}
        />
        <Button
          label={printing ? 'Making the PDF' : 'Save as a PDF to print'}
          disabled={printing}
          onPress={() =>
            save(() => printed(cardOnPaper(sheet, lines)), `${fileStem(shoot.title)}-card.pdf`)
          }
        />
      </View>
    </View>
  );
}

/** What to store in the body's memory slots. */
export function SlotsTab({ seen }: { readonly seen: Seen }) {
  const { clock, atMs, setup } = useShown('clock', 'atMs', 'setup');
  const slots = memorySlots(seen.view, setup.choice, seen.answer.light);
  return (
    <View className="gap-2">
      <Text kind="small" ink="quiet">
        {`To store in the body, for the light at ${clock(atMs)}.`}
      </Text>
      <View role="list" aria-label="Memory slots" className="gap-3">
        {slots.map(({ name, exposure, rest }) => (
          <View key={name} role="listitem" className="border-b border-line pb-2">
            <Text kind="label">{name}</Text>
            <Exposure {...exposure} largestPx={26} />
            <Text kind="small" ink="quiet">{`${rest.join('; ')}.`}</Text>
          </View>
        ))}
      </View>
    </View>
  );
}
