import { View } from 'react-native';
import { closerBy, mendOf, type ShotServed } from '@/answers/bag';
import { takenUp } from '@/answers/owed';
import { OwedSign } from '@/features/shoot/OwedSign';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { lensLike, withItem } from '@/records/edit-kit';
import { newId } from '@/records/new-id';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { shotServedInWords, stepInWords } from './bag-words';

/** What the bag does for each promised shot, with what would mend it by a press. */
export function ServedList({ served }: { readonly served: readonly ShotServed[] }) {
  if (served.length === 0) return null;
  return (
    <View role="list" aria-label="Shots and the bag">
      {served.map((entry) => {
        const { shot, framed, served: can } = entry;
        return (
          <View key={shot.id} role="listitem" className="gap-1 border-b border-line py-2">
            <View className="flex-row items-center gap-2">
              <View className="shrink grow basis-0">
                <Text kind="strong">{shot.name}</Text>
                <Text kind="small" ink={can ? 'quiet' : 'ink'}>
                  {shotServedInWords(entry)}
                </Text>
              </View>
              <OwedSign sign={can ? 'works' : 'not'} />
            </View>
            {framed.verdict === 'frames' ? null : <Mend entry={entry} />}
          </View>
        );
      })}
    </View>
  );
}

/** What would serve it, by a press: its position that much closer or back, or a lens that reaches. */
function Mend({ entry }: { readonly entry: ShotServed }) {
  const plan = useShown('setup');
  const { update } = useEdits();
  const { shot, position } = entry;
  const mend = mendOf(plan.setup, entry);
  if (!mend) return null;
  if (mend.kind === 'pack') {
    const { lens } = mend;
    return (
      <Button
        label={`Pack a ${lens.name}`}
        onPress={() =>
          update((current) => ({
            ...current,
            kit: withItem(current.kit, lensLike(lens.id, `own-${newId()}`)),
          }))
        }
      />
    );
  }
  const { closerM } = mend;
  return (
    <Button
      label={`Move ${position.name} ${stepInWords(closerM)} ${closerM > 0 ? 'closer' : 'back'}`}
      onPress={() =>
        update((current) => closerBy(takenUp(current, entry), position.id, shot.markId, closerM))
      }
    />
  );
}
