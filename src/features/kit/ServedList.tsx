import { View } from 'react-native';
import { closerBy, type ShotServed } from '@/answers/bag';
import { takenUp } from '@/answers/owed';
import { OwedSign } from '@/features/shoot/OwedSign';
import { useShootPage } from '@/features/shoot/ShootContext';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { written } from '@/ui/units';
import { shotServedInWords } from './bag-words';

/** What the bag does for each promised shot, with what would mend it by a press. */
export function ServedList({ served }: { readonly served: readonly ShotServed[] }) {
  if (served.length === 0) return null;
  return (
    <View role="list" aria-label="Shots and the bag">
      {served.map((entry) => {
        const { shot, served: can } = entry;
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
            {can ? null : <Mend entry={entry} />}
          </View>
        );
      })}
    </View>
  );
}

/** What would serve it: its position that much closer or back, with the best lens of the bag. */
function Mend({ entry }: { readonly entry: ShotServed }) {
  const { update } = useShootPage();
  const { shot, position, framed } = entry;
  const by = written(Math.abs(framed.closerM), 'm', 0);
  return (
    <Button
      label={`Move ${position.name} ${by} ${framed.closerM > 0 ? 'closer' : 'back'}`}
      onPress={() =>
        update((current) =>
          closerBy(takenUp(current, entry), position.id, shot.markId, framed.closerM),
        )
      }
    />
  );
}
