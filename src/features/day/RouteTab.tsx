import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { written } from '@/ui/units';
import { Heading, Text } from '@/ui/Text';
import { eventTitle } from '@/records/day-said';
import { lensesInWords } from '@/features/shoot/lens-words';
import { legInWords, legsOf } from '@/features/shoot/route-legs';
import { WhoseDay } from './WhoShoots';
import { useDay } from '@/features/shoot/use-day';

/** Where to walk when, and what is missed and why. */
export function RouteTab() {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { lines } = useDay();
  const legs = legsOf(lines, shoot.positions);
  const missed = lines.filter(
    ({ status }) => status === 'missed' || status === 'leftOut' || status === 'cancelled',
  );
  const walked = legs.reduce((sum, { walkM }) => sum + walkM, 0);
  if (lines.length === 0) return <Text>There is no route without events.</Text>;
  return (
    <View className="gap-5">
      <View className="gap-1">
        <Heading level={2} kind="figure">
          {`${legs.length} ${legs.length === 1 ? 'place' : 'places'}, ${written(walked, 'm', 0)} on foot`}
        </Heading>
        <WhoseDay />
        <View role="list" aria-label="Route">
          {legs.map((leg, i) => (
            <View
              key={`${leg.name} ${leg.readyMs}`}
              role="listitem"
              className="border-b border-line py-2"
            >
              <Text kind="strong">{`${i + 1}. ${leg.name}`}</Text>
              <Text>
                {[legInWords(leg, clock), lensesInWords(shoot, leg.stays)]
                  .filter(Boolean)
                  .join(' ')}
              </Text>
              <Text kind="small" ink="quiet">
                {leg.stays.map(({ event }) => eventTitle(event)).join('; ')}
              </Text>
            </View>
          ))}
        </View>
      </View>
      {missed.length > 0 ? (
        <View className="gap-1">
          <Heading level={2} kind="figure">
            {`Missed: ${missed.length}`}
          </Heading>
          <View role="list" aria-label="Missed">
            {missed.map(({ event, why, startMs }) => (
              <View key={event.id} role="listitem" className="border-b border-line py-2">
                <Text kind={event.worth === 'must' ? 'strong' : 'body'}>
                  {`${clock(startMs)} ${eventTitle(event)}${event.worth === 'must' ? ', promised' : ''}`}
                </Text>
                <Text kind="small" ink="quiet">
                  {why}
                </Text>
              </View>
            ))}
          </View>
        </View>
      ) : null}
    </View>
  );
}
