import { memo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { CautionSign } from '@/ui/CautionSign';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { AnswerPanel } from './AnswerPanel';
import { AnswerRow } from './AnswerRow';
import { untilInWords } from './exposure-words';
import { guessesInShort, guessesOfNow } from './guess-words';
import { useShown } from './open-shoot';
import { useWarnings } from './use-warnings';
import { engraved, troubleInWords } from './words';

/** Shutter, aperture and ISO in one line, and how long they hold: always there, and the whole answer behind it. */
export const AnswerLine = memo(function AnswerLine() {
  const [open, setOpen] = useState(false);
  return (
    <View role="region" aria-label="Answer" className="border-t border-ink bg-sheet">
      <Caution />
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        className="min-h-touch flex-row items-center gap-2 px-3 py-1 active:opacity-60"
      >
        <Line />
      </Pressable>
      {open ? (
        <Sheet title="The answer" open onClose={() => setOpen(false)}>
          <AnswerPanel />
        </Sheet>
      ) : null}
    </View>
  );
});

function Line() {
  const { seen, outlook, setup, atMs, clock, shoot, light } = useShown(
    ...(['seen', 'outlook', 'setup', 'atMs', 'clock', 'shoot', 'light'] as const),
  );
  if (!seen.ok) {
    return (
      <Text kind="small" className="shrink">
        {`No answer from here. ${troubleInWords(seen.trouble)}`}
      </Text>
    );
  }
  const { exposure } = seen.answer;
  const held = Object.keys(setup.choice.held).length > 0;
  const [now, then] = untilInWords(exposure, outlook, { atMs, clock, held });
  const mended = exposure.works && exposure.stopsShort > 0 ? 'press for what mends it' : '';
  const rests = guessesOfNow(shoot.guessed, {
    lampsOn: light.lampLux > 0,
    sunUp: light.sun.altitudeDeg > 0,
  });
  const guesses = guessesInShort({ light: shoot.light, guessed: [...rests] });
  return (
    <AnswerRow exposure={engraved(exposure.settings)} until={[now, then || mended || guesses]} />
  );
}

/** What can hurt someone from here, over the answer on every step. */
function Caution() {
  const warnings = useWarnings();
  const inks = useInks();
  return warnings.map((text) => (
    <View
      key={text}
      role="alert"
      className="flex-row items-center gap-2 border-b-2 border-signal px-3 py-1"
    >
      <CautionSign color={inks.signal} />
      <Text kind="label" className="shrink">
        Caution: {text}
      </Text>
    </View>
  ));
}
