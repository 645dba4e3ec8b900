import { forecastFor } from '../../../server/forecast';
import { fetchForecast } from './forecast-client';

const QUERY = {
  latitudeDeg: 53.12,
  longitudeDeg: -1.87,
  date: '2027-04-16',
  weather: 'changeable',
} as const;

const answering = (body: unknown, status = 200) =>
  jest.fn(async () => new Response(JSON.stringify(body), { status })) as unknown as typeof fetch;

test('a whole forecast is taken as it is', async () => {
  const made = forecastFor(QUERY);
  expect(await fetchForecast(QUERY, { get: answering(made) })).toEqual(made);
});

test.each([
  ['the time out', 'did not come within', new DOMException('late', 'TimeoutError')],
  ['no network', 'could not be reached', new TypeError('Failed to fetch')],
])('%s is said, with what holds instead', async (_name, words, error) => {
  const get = jest.fn(async () => Promise.reject(error)) as unknown as typeof fetch;
  await expect(fetchForecast(QUERY, { get })).rejects.toThrow(words);
  await expect(fetchForecast(QUERY, { get })).rejects.toThrow('sky set by hand still holds');
});

const made = forecastFor(QUERY);
test.each([
  ['an error', { error: 'no' }, 'was refused (400)', 400],
  ['another version', { ...made, version: 2 }, 'makes no sense: version', 200],
  ['cloud of 300 %', { ...made, hours: made.hours.map((h) => ({ ...h, cloud: 3 })) }, 'cloud', 200],
  ['hours out of order', { ...made, hours: [...made.hours].reverse() }, 'later than', 200],
  ['no forecast at all', 'hello', 'makes no sense', 200],
  ['another day', { ...made, date: '2027-04-17' }, 'another place or day', 200],
])('%s is refused', async (_name, body, words, status) => {
  await expect(fetchForecast(QUERY, { get: answering(body, status) })).rejects.toThrow(words);
});

test('an answer that never comes is given up', async () => {
  const get = ((_at: string, { signal }: { signal: AbortSignal }) =>
    new Promise((_, reject) => {
      signal.addEventListener('abort', () => reject(signal.reason as Error));
    })) as unknown as typeof fetch;
  await expect(fetchForecast(QUERY, { get, waitMs: 20 })).rejects.toThrow('within 0.02 seconds');
});
