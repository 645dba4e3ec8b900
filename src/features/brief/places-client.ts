import { countryNamed } from '@/answers/countries';
import { PlaceIndex, placeWordsOf } from '@/answers/place-index';
import { foundPlacesSchema, placeListSchema, type FoundPlace } from '@/records/place';

const WAIT_MS = 4000;

export interface FoundPlaces {
  readonly places: readonly FoundPlace[];
  /** Whether only the largest were looked through: there is no network. */
  readonly onlyLargest: boolean;
}

async function readJson(address: string, get: typeof fetch, signal: AbortSignal): Promise<unknown> {
  const response = await get(address, { signal });
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  return response.json();
}

let largest: Promise<PlaceIndex> | undefined;

/** The largest places, which ship with the app. */
function largestPlaces(get: typeof fetch): Promise<PlaceIndex> {
  largest ??= readJson('/places/largest.json', get, AbortSignal.timeout(WAIT_MS))
    .then((read) => {
      const list = placeListSchema.parse(read);
      return new PlaceIndex(list, placeWordsOf(list), countryNamed);
    })
    .catch((error: unknown) => {
      largest = undefined;
      throw error;
    });
  return largest;
}

/**
 * Places by name from our server, or from the largest when it can't be reached.
 * @throws Error when neither is there
 */
export async function fetchPlaces(
  name: string,
  signal: AbortSignal,
  get: typeof fetch = fetch,
): Promise<FoundPlaces> {
  const address = `/api/places?${new URLSearchParams({ name }).toString()}`;
  const fromLargest = async () => ({
    places: (await largestPlaces(get)).find(name),
    onlyLargest: true,
  });
  if (!navigator.onLine) return fromLargest();
  try {
    const within = AbortSignal.any([signal, AbortSignal.timeout(WAIT_MS)]);
    const { places } = foundPlacesSchema.parse(await readJson(address, get, within));
    return { places, onlyLargest: false };
  } catch (error) {
    if (signal.aborted) throw error;
    return fromLargest();
  }
}

/** "Larkmoor, North Shire, United Kingdom". */
export const placeInWords = ({ name, region, country }: FoundPlace): string =>
  [name, ...(region && region !== name ? [region] : []), countryNamed(country)].join(', ');
