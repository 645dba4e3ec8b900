import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState, type Ref } from 'react';
import { View, type TextInput } from 'react-native';
import { wordsOf } from '@/answers/place-index';
import { readPoint } from '@/formats/coordinates';
import { deviceFix } from '@/features/shoot/locator';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { RowButton } from '@/ui/RowButton';
import { Text } from '@/ui/Text';
import { LONGEST_NAME } from '@/records/place';
import { fetchPlaces, placeInWords } from './places-client';
import { pointInWords, pointProblem } from './point-words';
import type { PickedPlace } from './new-draft';

const DEGREE_DIGITS = 5;
const MOST_VENUES = 4;
const rounded = (deg: number): number => Number(deg.toFixed(DEGREE_DIGITS));

/** Places of a name, as it is typed. */
function useFoundPlaces(name: string) {
  return useQuery({
    queryKey: ['places', name],
    queryFn: ({ signal }) => fetchPlaces(name, signal),
    enabled: name.length > 1,
    staleTime: Infinity,
    retry: false,
    placeholderData: keepPreviousData,
  });
}

/** Venues that each typed word begins a word of; without a network they are found all the same. */
function calledSo(venues: readonly Shoot[], typed: string): readonly Shoot[] {
  const asked = wordsOf(typed);
  return venues
    .filter(({ place, title }) => {
      const words = wordsOf(`${place.name ?? ''} ${title}`);
      return asked.every((word) => words.some((known) => known.startsWith(word)));
    })
    .slice(0, MOST_VENUES);
}

/** Venues one was at before, the last first: one press takes place and ground. */
function Venues({
  venues,
  onPick,
}: {
  readonly venues: readonly Shoot[];
  readonly onPick: (venue: Shoot) => void;
}) {
  if (venues.length === 0) return null;
  return (
    <View role="list" aria-label="Used before">
      <Text kind="label" ink="quiet">
        Used before, with its ground, lamps and what its light taught
      </Text>
      {venues.map((venue) => (
        <RowButton
          key={venue.id}
          name={venue.place.name ?? venue.title}
          detail={venue.place.name ? `as in ${venue.title}` : `on ${venue.startLocal.slice(0, 10)}`}
          onPress={() => onPick(venue)}
        />
      ))}
    </View>
  );
}

/** Where it is: a place by its name, a point in any form, here, or a venue used before. */
export function WhereField({
  venues,
  error,
  inputRef,
  onPick,
  onVenue,
}: {
  /** Those used before, where one of them may be taken whole. */
  readonly venues?: readonly Shoot[];
  readonly error: string | undefined;
  readonly inputRef?: Ref<TextInput>;
  readonly onPick: (place: PickedPlace) => void;
  readonly onVenue?: (venue: Shoot) => void;
}) {
  const [text, setText] = useState('');
  const [here, setHere] = useState<'asked' | string>();
  const typed = text.trim();
  const point = readPoint(typed);
  const isName = point.kind === 'name' || point.kind === 'shortCode';
  const { data: found, error: failed } = useFoundPlaces(isName ? typed : '');
  const shown = isName && typed.length > 1 ? found : undefined;
  const takeHere = async () => {
    setHere('asked');
    try {
      const { latitudeDeg, longitudeDeg } = await deviceFix();
      const name = pointInWords(rounded(latitudeDeg), rounded(longitudeDeg));
      onPick({ name, latitudeDeg: rounded(latitudeDeg), longitudeDeg: rounded(longitudeDeg) });
    } catch (problem) {
      setHere(problem instanceof Error ? problem.message : String(problem));
    }
  };
  const takePoint = () => {
    if (point.kind !== 'point') return;
    const [latitudeDeg, longitudeDeg] = [rounded(point.latitudeDeg), rounded(point.longitudeDeg)];
    onPick({ name: pointInWords(latitudeDeg, longitudeDeg), latitudeDeg, longitudeDeg });
  };
  return (
    <View className="gap-2">
      <Field
        {...(inputRef && { ref: inputRef })}
        label="Place"
        hint="A town near it, or coordinates in any form"
        placeholder="Type two letters or more"
        autoComplete="off"
        autoCorrect={false}
        maxLength={200}
        value={text}
        error={pointProblem(typed) ?? error}
        onChangeText={setText}
        onSubmitEditing={() => {
          const first = shown?.places[0];
          if (point.kind === 'point') takePoint();
          else if (first) onPick({ ...first, name: placeInWords(first) });
        }}
      />
      {point.kind === 'point' ? (
        <Button
          label={`Take ${pointInWords(rounded(point.latitudeDeg), rounded(point.longitudeDeg))}`}
          onPress={takePoint}
        />
      ) : null}
      {shown ? (
        <View aria-live="polite">
          <View role="list" aria-label="Places found">
            {shown.places.map((place) => (
              <RowButton
                key={`${place.name} ${place.latitudeDeg} ${place.longitudeDeg}`}
                name={placeInWords(place)}
                detail={pointInWords(place.latitudeDeg, place.longitudeDeg)}
                onPress={() => onPick({ ...place, name: placeInWords(place) })}
              />
            ))}
          </View>
          {shown.places.length === 0 ? (
            <Text>{`No place is called “${typed.slice(0, LONGEST_NAME)}”. Take the next town, or paste coordinates.`}</Text>
          ) : null}
          {shown.onlyLargest ? (
            <Text kind="small" ink="quiet">
              Without a network only the 5000 largest places are known.
            </Text>
          ) : null}
          <Text kind="tiny" ink="quiet">
            Places: GeoNames, geonames.org, CC BY 4.0
          </Text>
        </View>
      ) : null}
      {isName && failed && typed.length > 1 ? (
        <Text role="alert" ink="signal" kind="small">
          Places could not be looked up. Paste coordinates, or take a venue used before.
        </Text>
      ) : null}
      {venues && onVenue ? <Venues venues={calledSo(venues, typed)} onPick={onVenue} /> : null}
      <Button
        label={here === 'asked' ? 'Asking this device …' : 'Here, where I am'}
        disabled={here === 'asked'}
        onPress={() => void takeHere()}
      />
      {here !== undefined && here !== 'asked' ? (
        <Text role="alert" kind="small" ink="signal">
          {`No location: ${here}. Type the place, or paste its coordinates.`}
        </Text>
      ) : null}
    </View>
  );
}
