import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { PeopleOwed } from '@/features/shoot/PeopleOwed';
import { DayProvider } from '@/features/shoot/use-day';
import { OwedSign } from '@/features/shoot/OwedSign';
import { percent } from '@/features/shoot/words';
import { Heading, Text } from '@/ui/Text';
import { countedEntries } from '@/answers/counted';
import { matchedFrames } from '@/answers/matched';
import { deliveredOf } from '@/answers/taught';

/** What came of the day: pictures, keepers, what is still owed. */
export function LogAnswer() {
  const { shoot } = useShown('shoot');
  const frames = matchedFrames(shoot);
  const delivered = deliveredOf(shoot, frames);
  const owed = delivered.filter(({ delivered: came, quota }) => came < quota);
  const kept = frames.filter((frame) => frame.kept).length;
  const taps = countedEntries(shoot).filter(({ entry }) => entry.kind === 'keeper').length;
  const head =
    frames.length > 0
      ? `${frames.length} pictures, ${kept} kept (${percent(kept / frames.length)})`
      : taps > 0
        ? `${taps} ${taps === 1 ? 'keeper' : 'keepers'} tapped, no pictures read in yet`
        : 'Nothing logged yet';
  return (
    <View role="region" aria-label="What came of it" className="gap-1">
      <Heading level={3} kind="title">
        {head}
      </Heading>
      {shoot.people.some((person) => person.owed) ? (
        <DayProvider>
          <PeopleOwed />
        </DayProvider>
      ) : null}
      {delivered.length > 0 ? (
        <>
          <Text>
            {owed.length === 0
              ? `All ${delivered.length} promised shots are delivered.`
              : `${delivered.length - owed.length} of ${delivered.length} promised shots are delivered.`}
          </Text>
          <View role="list" aria-label="Owed and had">
            {delivered.map(({ shot, delivered: came, quota }) => (
              <View
                key={shot.id}
                role="listitem"
                className="flex-row items-center gap-2 border-b border-line py-1"
              >
                <Text kind="small" className="shrink grow">
                  {shot.name}
                </Text>
                <Text kind={came < quota ? 'label' : 'small'}>{`${came} of ${quota}`}</Text>
                <OwedSign sign={came >= quota ? 'had' : came > 0 ? 'partly' : 'not'} />
              </View>
            ))}
          </View>
        </>
      ) : null}
    </View>
  );
}
