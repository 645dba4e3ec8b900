import { useState } from 'react';
import { View } from 'react-native';
import { placeByTwoPoints, type GeoPoint, type Placing, type Point2 } from '@/core';
import { zoneAt } from '@/features/shoot/brief-form';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { TurnSheet } from '@/features/shoot/TurnSheet';
import { metres } from '@/features/shoot/words';
import { placeGround, turnGround } from '@/records/edit-ground';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { BearingField } from './BearingField';
import { LocatorRow } from './LocatorRow';
import { useDrawTool } from './use-draw';
import { useLocator } from './use-locator';
import { usePut } from './use-put';

const DEGREE_PLACES = 6;
const LETTERS = ['A', 'B'] as const;

/** Laying the ground on the globe: by its bearing and place, or by two points that are known. */
export function LayPanel() {
  const plan = useShown('shoot');
  const { update } = useEdits();
  const { act } = useDrawTool();
  const [turning, setTurning] = useState(false);
  const { place, ground } = plan.shoot;
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        Align to the real site
      </Heading>
      <BearingField
        label="Long axis towards"
        trueDeg={ground.bearingDeg}
        onChange={(deg) => update((current) => turnGround(current, deg))}
      />
      <Button label="Turn it by hand, sun or compass" onPress={() => setTurning(true)} />
      <TurnSheet open={turning} onClose={() => setTurning(false)} />
      <Degrees
        of="the middle"
        point={place}
        onChange={(next) =>
          update((current) => {
            const there = { ...current.place, ...next };
            return {
              ...current,
              place: { ...there, timeZone: zoneAt(there.latitudeDeg, there.longitudeDeg) },
            };
          })
        }
      />
      <TwoPoints />
      <Button label="Cancel" kind="quiet" onPress={() => act({ do: 'select', item: undefined })} />
    </View>
  );
}

/** Latitude and longitude of a point, to type. */
function Degrees({
  of,
  point,
  onChange,
}: {
  readonly of: string;
  readonly point: GeoPoint;
  readonly onChange: (next: Partial<GeoPoint>) => void;
}) {
  return (
    <View className="flex-row justify-between">
      {(
        [
          ['Latitude', 'latitudeDeg', 89.9],
          ['Longitude', 'longitudeDeg', 180],
        ] as const
      ).map(([label, key, most]) => (
        <View key={key} className="w-[48%]">
          <NumberField
            label={`${label} of ${of}`}
            unit="°"
            value={point[key]}
            min={-most}
            max={most}
            places={DEGREE_PLACES}
            onChange={(value) => onChange({ [key]: value })}
          />
        </View>
      ))}
    </View>
  );
}

type Tried =
  | { readonly ok: true; readonly placing: Placing; readonly apartM: number }
  | { readonly ok: false; readonly problem: string };

/** What two points would make of the plan, or why they can't. */
function tried(
  points: readonly Point2[],
  globe: readonly (GeoPoint | undefined)[],
): Tried | undefined {
  const [a, b] = points;
  const [globeA, globeB] = globe;
  if (!a || !b || !globeA || !globeB) return undefined;
  try {
    const placing = placeByTwoPoints({ plan: a, globe: globeA }, { plan: b, globe: globeB });
    return { ok: true, placing, apartM: Math.hypot(b.x - a.x, b.y - a.y) };
  } catch (error) {
    return { ok: false, problem: error instanceof Error ? error.message : String(error) };
  }
}

function misfitWords({ misfitM }: Placing, apartM: number): string {
  const off = Math.abs(misfitM);
  const share = (100 * off) / apartM;
  const longer = misfitM > 0 ? 'further apart' : 'nearer to each other';
  return `On the globe the two are ${metres(off)} ${longer} than on the plan (${share.toFixed(1)} %).`;
}

/** Two points of the plan and where they are known to be. */
function TwoPoints() {
  const plan = useShown('shoot');
  const { update } = useEdits();
  const { state, act, seen } = useDrawTool();
  const { put } = usePut();
  const say = useToast();
  const { points } = state;
  const { place } = plan.shoot;
  const locator = useLocator(place);
  const [globe, setGlobe] = useState<readonly (GeoPoint | undefined)[]>([]);
  const known = (i: number, next: GeoPoint) =>
    setGlobe([0, 1].map((j) => (j === i ? next : globe[j])));
  const result = tried(points, globe);
  const lay = (placing: Placing) => {
    update((current) => {
      const laid = placeGround(current, placing);
      const { latitudeDeg, longitudeDeg } = laid.place;
      return { ...laid, place: { ...laid.place, timeZone: zoneAt(latitudeDeg, longitudeDeg) } };
    });
    act({ do: 'clear' });
    setGlobe([]);
    say({ text: 'The ground is laid by the two points' });
  };
  return (
    <View className="gap-3 border-t border-line pt-3">
      <Heading level={3} kind="strong">
        By two known points
      </Heading>
      <Text kind="small" ink="quiet">
        {points.length < 2
          ? `Tap point ${LETTERS[points.length] ?? 'B'} on the plan, or bring it under the cross: corner flags, a mast, the ends of a fence. The further apart the better.`
          : 'Say where each is: type it, or stand on it.'}
      </Text>
      {points.length < 2 ? (
        <Button
          label={`Point ${LETTERS[points.length] ?? 'B'} is here`}
          onPress={() => put(seen().middle)}
        />
      ) : null}
      {points.map((_, i) => (
        <View key={i} className="gap-2">
          <Degrees
            of={LETTERS[i] ?? ''}
            point={globe[i] ?? place}
            onChange={(next) => known(i, { ...place, ...globe[i], ...next })}
          />
          <LocatorRow
            locator={locator}
            label={`I stand on ${LETTERS[i] ?? ''}`}
            onPress={() =>
              void locator.locate().then((fix) => {
                if (fix) known(i, fix);
              })
            }
          />
        </View>
      ))}
      {result?.ok === false ? <Text role="alert">{result.problem}.</Text> : null}
      {result?.ok ? (
        <>
          <Text>
            {`Turns the ground by ${Math.abs(result.placing.turnDeg).toFixed(1)}° ${result.placing.turnDeg < 0 ? 'to the left' : 'to the right'}. `}
            {misfitWords(result.placing, result.apartM)}
          </Text>
          <Button label="Lay it so" kind="primary" onPress={() => lay(result.placing)} />
        </>
      ) : null}
    </View>
  );
}
