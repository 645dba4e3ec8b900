import { View } from 'react-native';
import { focalRange, type ExposurePlan, type WayOut } from '@/core';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { Answer } from '@/answers/answer';
import { filterInWords, wayInWords } from './exposure-words';
import { brimShades, overfilledInWords } from './frame-notes';
import { useEdits } from './open-shoot';
import { withHeld, withWay } from '@/answers/take-way';
import type { View as Seen } from '@/answers/view';

interface WaysProps {
  readonly view: Seen;
  readonly plan: ExposurePlan;
  readonly onTake: (way: WayOut) => void;
}

/** What would mend a shortage, each a press, each with what it costs. */
export function Ways({ view, plan, onTake }: WaysProps) {
  const { waysOut } = plan;
  if (waysOut.length === 0) return null;
  return (
    <View role="group" aria-label="What would mend it" className="gap-1">
      {waysOut.map((way) => {
        const { label, cost } = wayInWords(way, plan, view.motion);
        const text =
          way.filterStops === undefined ? label : `Pack ${filterInWords(way.filterStops)}`;
        return (
          <View key={text} className="flex-row items-center gap-3">
            <Button label={text} onPress={() => onTake(way)} />
            <Text kind="small" ink="quiet" className="shrink">
              {cost}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

/** The ways out of the open shoot's answer. */
export function WaysOut(props: Omit<WaysProps, 'onTake'>) {
  const { update } = useEdits();
  return <Ways {...props} onTake={(way) => update((current) => withWay(current, way))} />;
}

/** What people open up by for a face under a brim, in thirds. Common practice, no source. */
const OPENED_BY = [
  { clicks: 1, label: 'Open up ⅓ for the face' },
  { clicks: 2, label: 'Open up ⅔' },
] as const;

/** Both schools for a face in the shade of its brim: hold the whites, or open up for the face. */
export function Brim({ view, answer }: { readonly view: Seen; readonly answer: Answer }) {
  const { update } = useEdits();
  if (!brimShades(view, answer)) return null;
  const { shutterS, aperture, iso } = answer.exposure.settings;
  return (
    <View role="group" aria-label="Face under a brim" className="gap-1">
      <Text kind="small">
        The brim shades the face. As set the whites hold; opened up the face shows, and the whites
        are won back afterwards.
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {OPENED_BY.map(({ clicks, label }) => (
          <Button
            key={label}
            label={label}
            onPress={() =>
              update((now) => withHeld(now, { shutterS, aperture, iso: iso * 2 ** (clicks / 3) }))
            }
          />
        ))}
      </View>
    </View>
  );
}

/** A frame filled past its edge, said first, with the zoom that would hold it where the lens goes there. */
export function Overfilled({ view }: { readonly view: Seen }) {
  const { update } = useEdits();
  const text = overfilledInWords(view);
  if (!text) return null;
  const { shortestMm } = focalRange(view.lens);
  const wholeMm = Math.floor(view.focalMm / view.fill);
  return (
    <View role="alert" className="gap-1">
      <Text kind="strong">{text}</Text>
      {wholeMm >= shortestMm ? (
        <Button
          label={`Zoom to ${wholeMm} mm`}
          onPress={() =>
            update((now) => ({
              ...now,
              kit: { ...now.kit, focalMm: wholeMm / now.kit.converter },
            }))
          }
        />
      ) : null}
    </View>
  );
}

/** Lets go of the dials that a hand holds. */
export function LetGo({ held }: { readonly held: Shoot['choice']['held'] }) {
  const { update } = useEdits();
  if (Object.keys(held).length === 0) return null;
  return (
    <Button label={BACK_TO_AUTOMATIC} onPress={() => update((current) => withHeld(current, {}))} />
  );
}

export const BACK_TO_AUTOMATIC = 'Back to automatic';
