import { z } from 'zod';

/**
 * Places looked up by name: the question to the server and what comes back, and the list of the largest
 * that is read without it.
 * @example
 * const { places } = foundPlacesSchema.parse(await response.json());
 */

/** Longest text that is looked up. */
export const LONGEST_NAME = 80;

export const placesQuerySchema = z.strictObject({
  name: z
    .string()
    .min(1, 'must not be empty')
    .max(LONGEST_NAME, `must be at most ${LONGEST_NAME} letters`),
});

export const foundPlaceSchema = z.strictObject({
  name: z.string().min(1).max(200),
  region: z.string().max(200).optional(),
  /** ISO 3166-1 code. */
  country: z.string().regex(/^[A-Z]{2}$/),
  latitudeDeg: z.number().min(-90).max(90),
  longitudeDeg: z.number().min(-180).max(180),
});
export type FoundPlace = z.infer<typeof foundPlaceSchema>;

export const foundPlacesSchema = z.strictObject({ places: z.array(foundPlaceSchema).max(20) });

const column = z.array(z.number().int()).max(200_000);
const names = z.array(z.string()).max(200_000);

/** Places as the build lists them, a column each, the largest first. */
export const placeListSchema = z.strictObject({
  names,
  /** Other names, kept apart by "|"; none is an empty text. */
  alsoNamed: names,
  /** ISO 3166-1 codes, and which of them each place has. */
  countries: names,
  country: column,
  regions: names,
  /** Letters a region is known by, "TX"; an empty text where it has none. */
  regionCodes: names,
  /** Which region each place lies in; −1 for none. */
  region: column,
  /** Thousandths of a degree. */
  latitude: column,
  longitude: column,
});
export type PlaceList = Readonly<z.infer<typeof placeListSchema>>;
