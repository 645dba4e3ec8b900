import { Link } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { confirmed, type Guess } from '@/records/guesses';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { guessInWords } from './guess-words';
import { useEdits, useShown } from './open-shoot';
import { TurnSheet } from './TurnSheet';

const SETTLED_AT = {
  lamps: { name: 'Take a reading', address: 'light' },
  kit: { name: 'Say what you carry', address: 'kit' },
} as const;

/** What was left at its guess when the shoot was made, and the way to settle each. */
export function Guesses() {
  const { shoot } = useShown('shoot');
  // The sheet stays while the ground is turned, which settles what it was opened from.
  const [turning, setTurning] = useState(false);
  return (
    <>
      {shoot.guessed.length > 0 ? (
        <View
          role="list"
          aria-label="Guessed"
          className="gap-2 border-t border-dashed border-ink pt-2"
        >
          {shoot.guessed.map((guess) => (
            <View key={guess} role="listitem" className="gap-1">
              <Text kind="small">{guessInWords(guess, shoot)}</Text>
              <Settle guess={guess} shootId={shoot.id} onTurn={() => setTurning(true)} />
            </View>
          ))}
        </View>
      ) : null}
      <TurnSheet open={turning} onClose={() => setTurning(false)} />
    </>
  );
}

function Settle({
  guess,
  shootId,
  onTurn,
}: {
  readonly guess: Guess;
  readonly shootId: string;
  readonly onTurn: () => void;
}) {
  const { update } = useEdits();
  return (
    <View className="flex-row flex-wrap gap-2">
      {guess === 'bearing' ? (
        <Button label="Turn the ground" onPress={onTurn} />
      ) : (
        <Link href={`/shoot/${shootId}/${SETTLED_AT[guess].address}`} asChild>
          <Pressable
            role="link"
            className="min-h-touch items-center justify-center border border-ink px-3 active:opacity-60"
          >
            <Text kind="strong">{SETTLED_AT[guess].name}</Text>
          </Pressable>
        </Link>
      )}
      <Button
        label="The guess is right"
        kind="quiet"
        onPress={() => update((shoot) => confirmed(shoot, guess))}
      />
    </View>
  );
}
