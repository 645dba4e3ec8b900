import { useMemo } from 'react';
import { View } from 'react-native';
import { isNews, returnedOf, withReturned } from '@/records/merge-returned';
import { useShootActions } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { newsInWords, planInWords } from './returned-words';

/** A shoot that is here comes back from a file: what happened there, before anything is done with it. */
export function ReturnedSheet({
  here,
  back,
  onBeside,
  onClose,
}: {
  readonly here: Shoot;
  readonly back: Shoot;
  readonly onBeside: () => void;
  readonly onClose: () => void;
}) {
  const { change, add } = useShootActions();
  const say = useToast();
  const news = useMemo(() => returnedOf(here, back), [here, back]);
  const merge = async () => {
    const before = await change(here.id, (now) => withReturned(now, back));
    if (before) {
      say({
        text: `Merged into “${here.title}”`,
        action: { label: 'Undo', onPress: () => add(before) },
      });
    }
    onClose();
  };
  const lines = newsInWords(news);
  const plan = planInWords(news);
  return (
    <Sheet title={`“${here.title}” is here already`} open onClose={onClose}>
      {isNews(news) ? (
        <>
          <Text kind="strong">Happened there, and not here yet:</Text>
          <View role="list" aria-label="Not here yet">
            {lines.map((line) => (
              <View key={line} role="listitem" className="border-b border-line py-1">
                <Text>{line}</Text>
              </View>
            ))}
          </View>
        </>
      ) : (
        <Text>Nothing happened there that is not here.</Text>
      )}
      {plan ? <Text kind="small">{plan}</Text> : null}
      <Button
        label="Merge what happened"
        kind="primary"
        disabled={!isNews(news)}
        onPress={() => void merge()}
      />
      <Text kind="small" ink="quiet">
        Nothing here goes away, and nothing is counted twice.
      </Text>
      <Button label="Import beside it, as another shoot" onPress={onBeside} />
    </Sheet>
  );
}
