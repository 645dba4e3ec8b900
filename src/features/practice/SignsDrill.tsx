import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { orderTries, signsTries } from '@/answers/practised';
import { asSigns, inPlace, mixed, runOf, signsFor } from '@/answers/signs';
import { nearBySigns } from '@/answers/warm-up';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import type { Signs } from '@/presets/cues';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import type { DrillProps } from './drill-frame';
import { usePractice, type Rehearsal } from './rehearsal';
import { followsInWords, foretoldInWords, placedInWords, placedSignInWords } from './signs-words';
import { SignsPad } from './SignsPad';
import { SoFar } from './SoFar';

/** Further off is drawn at the chart's edge. */
const MOST_LATE_S = 1;

/** What comes before a moment: put in order, then pressed for by its signs alone. */
export function SignsDrill({
  rehearsal,
  Frame,
  above,
}: DrillProps & { readonly above: ReactNode }) {
  const { shootId, picture, follows = [] } = rehearsal;
  const all = useMemo(() => {
    const subject = shootId === undefined ? undefined : picture.view.subject;
    return [...signsFor(subject), ...follows.slice(0, 1).map(asSigns)];
  }, [shootId, picture, follows]);
  const [chosen, setChosen] = useState(all[0]?.id);
  const signs = all.find(({ id }) => id === chosen) ?? all[0];
  const [round, setRound] = useState(0);
  if (!signs) {
    return (
      <Frame title="Moment">
        {above}
        <Text>
          {`No signs are known of ${picture.view.subject.name.toLowerCase()}. What you log in Field, three times and in the same order, becomes yours.`}
        </Text>
      </Frame>
    );
  }
  const head = (
    <>
      {above}
      {all.length > 1 ? (
        <Picker
          label="Signs of"
          value={signs.id}
          options={all.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setChosen}
        />
      ) : null}
    </>
  );
  return (
    <Played
      key={`${signs.id} ${round}`}
      {...{ rehearsal, signs, head, Frame }}
      named={all.length > 1}
      onNext={() => setRound(round + 1)}
    />
  );
}

function Played({
  rehearsal,
  signs: { id, name, signs },
  head,
  named,
  Frame,
  onNext,
}: {
  readonly rehearsal: Rehearsal;
  readonly signs: Signs;
  readonly head: ReactNode;
  /** The choice above says already what they are signs of. */
  readonly named: boolean;
  readonly Frame: DrillProps['Frame'];
  readonly onNext: () => void;
}) {
  const { practice, note } = usePractice();
  const [shown] = useState(() => mixed(signs.length, Math.random));
  const [order, setOrder] = useState<readonly number[]>([]);
  // Two need no ordering: they are timed at once.
  const [timing, setTiming] = useState(signs.length < 3);
  const [atS, setAtS] = useState(() => runOf({ signs }, Math.random));
  const [lateS, setLateS] = useState<number | undefined>();
  const [pressed, setPressed] = useState(false);
  const deviceS = practice?.deviceLateS ?? 0;
  const right = inPlace(order);
  const placed = order.length === signs.length;
  const place = (sign: number) => {
    const next = [...order, sign];
    setOrder(next);
    if (next.length === signs.length) {
      note({ kind: 'order', signs: name, inPlace: inPlace(next), of: next.length }, rehearsal);
    }
  };
  const finish = (pressS: number | undefined) => {
    setPressed(true);
    setAtS(runOf({ signs }, Math.random));
    const late = pressS === undefined ? undefined : pressS - deviceS;
    setLateS(late);
    if (late === undefined) return;
    note({ kind: 'signs', signs: name, lateS: Math.min(10, Math.max(-10, late)) }, rehearsal);
  };
  const own = id === 'own' ? rehearsal.follows?.[0] : undefined;
  if (timing) {
    return (
      <Frame
        title="Moment"
        picture={
          <FrameRoom orientation="level">
            {(size) => (
              <SignsPad
                {...{ signs, atS, size }}
                label={`${name}: press to begin, then press when it happens`}
                onDone={finish}
              />
            )}
          </FrameRoom>
        }
      >
        {head}
        {own ? <Text>{followsInWords(own)}</Text> : null}
        {pressed ? (
          <View className="gap-2">
            <Text kind="strong" aria-live="polite">
              {foretoldInWords(lateS)}
            </Text>
            <View className="flex-row gap-2">
              <View className="flex-1">
                <Button label="Again" kind="primary" onPress={() => setPressed(false)} />
              </View>
              {signs.length < 3 ? null : (
                <View className="flex-1">
                  <Button label="Put them in order" onPress={onNext} />
                </View>
              )}
            </View>
          </View>
        ) : (
          <Text>
            {`Each sign is said as it comes; “${signs.at(-1)?.text ?? ''}” is not. Tap to begin, then tap, click or press Space when it would happen.`}
          </Text>
        )}
        <YourSigns name={name} />
      </Frame>
    );
  }
  return (
    <Frame title="Moment">
      {head}
      <Text kind="strong">
        {`${named ? 'Press' : `${name}: press`} the signs in the order in which they come.`}
      </Text>
      <View role="list" aria-label="In order" className="gap-1">
        {(placed ? signs.map((_, i) => i) : order).map((sign, i) => (
          <View key={sign} role="listitem" className="flex-row gap-2 border-b border-line py-1">
            <Text kind="strong">{`${i + 1}`}</Text>
            <Text className="shrink">
              {placed
                ? placedSignInWords(signs[sign], order.indexOf(sign) + 1, i + 1)
                : signs[sign]?.text}
            </Text>
          </View>
        ))}
      </View>
      {placed ? (
        <View className="gap-2">
          <Text kind="strong" aria-live="polite">
            {placedInWords(right, signs.length)}
          </Text>
          <View className="flex-row gap-2">
            <View className="flex-1">
              <Button label="Time them" kind="primary" onPress={() => setTiming(true)} />
            </View>
            <View className="flex-1">
              <Button label="Again" onPress={onNext} />
            </View>
          </View>
        </View>
      ) : (
        <View role="list" aria-label="Signs" className="gap-2">
          {shown
            .filter((sign) => !order.includes(sign))
            .map((sign) => (
              <View key={sign} role="listitem">
                <Button label={signs[sign]?.text ?? ''} onPress={() => place(sign)} />
              </View>
            ))}
        </View>
      )}
      {order.length > 0 && !placed ? (
        <Button
          label="Take the last back"
          kind="quiet"
          onPress={() => setOrder(order.slice(0, -1))}
        />
      ) : null}
      <YourOrder name={name} />
    </Frame>
  );
}

function YourOrder({ name }: { readonly name: string }) {
  const { practice } = usePractice();
  const tries = practice ? orderTries(practice, name) : [];
  return (
    <SoFar
      name="Your order"
      tries={tries.map(({ inPlace: right, of }) => ({ off: of - right, good: right === of }))}
      counted={{ one: 'order', many: 'orders', good: 'right' }}
      ends={[0, 5]}
      nameOf={(off) => (off === 0 ? 'right' : `${off} off`)}
    />
  );
}

function YourSigns({ name }: { readonly name: string }) {
  const { practice } = usePractice();
  const tries = practice ? signsTries(practice, name) : [];
  return (
    <SoFar
      name="Your presses"
      tries={tries.map((made) => ({ off: made.lateS, good: nearBySigns(made.lateS) }))}
      counted={{ one: 'press', many: 'presses', good: 'within a quarter of a second' }}
      ends={[-MOST_LATE_S, MOST_LATE_S]}
      nameOf={(off) => (off === 0 ? 'on it' : off > 0 ? 'late' : 'early')}
    />
  );
}
