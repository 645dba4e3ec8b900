import { forecastSchema, type Forecast, type ForecastQuery } from '@/records/forecast';
import { firstProblem } from '@/records/parse';

const WAIT_MS = 6000;

/** What a person can do when no forecast comes. */
const INSTEAD = 'The sky set by hand still holds, and so does a forecast that is already here.';

/** A tenth of a metre. */
const DEGREE_DIGITS = 6;

/**
 * Asks our server's simulated forecast. @throws Error that says what went wrong and what holds: no
 * network, no answer in time, an answer that is none.
 */
export async function fetchForecast(
  query: ForecastQuery,
  { get = fetch, waitMs = WAIT_MS }: { readonly get?: typeof fetch; readonly waitMs?: number } = {},
): Promise<Forecast> {
  const address = `/api/forecast?${new URLSearchParams(
    Object.entries(query).map(([name, value]) => [
      name,
      typeof value === 'number' ? value.toFixed(DEGREE_DIGITS) : value,
    ]),
  ).toString()}`;
  let response: Response;
  let body: unknown;
  try {
    response = await get(address, { signal: AbortSignal.timeout(waitMs) });
    body = await response.json();
  } catch (error) {
    const late = error instanceof DOMException && error.name === 'TimeoutError';
    const why = late ? `did not come within ${waitMs / 1000} seconds` : 'could not be reached';
    throw new Error(`The forecast ${why}. ${INSTEAD}`, { cause: error });
  }
  if (!response.ok) throw new Error(`The forecast was refused (${response.status}). ${INSTEAD}`);
  const checked = forecastSchema.safeParse(body);
  if (!checked.success) {
    throw new Error(
      `The forecast that came makes no sense: ${firstProblem(checked.error)}. ${INSTEAD}`,
    );
  }
  const { date, latitudeDeg, longitudeDeg } = checked.data;
  if (
    date !== query.date ||
    latitudeDeg !== query.latitudeDeg ||
    longitudeDeg !== query.longitudeDeg
  ) {
    throw new Error(`The forecast that came is for another place or day. ${INSTEAD}`);
  }
  return checked.data;
}
