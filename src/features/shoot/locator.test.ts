import { deviceFix } from './locator';

type Ask = typeof navigator.geolocation.getCurrentPosition;

/** A device whose receiver answers like this. */
function deviceThat(getCurrentPosition?: Ask): void {
  const value = getCurrentPosition ? { geolocation: { getCurrentPosition } } : {};
  Object.defineProperty(globalThis, 'navigator', { value, configurable: true });
}
const was = Object.getOwnPropertyDescriptor(globalThis, 'navigator');
afterEach(() => {
  if (was) Object.defineProperty(globalThis, 'navigator', was);
  else Reflect.deleteProperty(globalThis, 'navigator');
});

test('the device is asked for a fix of its best, made now, and it is not a simulated one', async () => {
  const ask = jest.fn<void, Parameters<Ask>>((found) =>
    found({ coords: { latitude: 52.1, longitude: -1.4, accuracy: 7 } } as GeolocationPosition),
  );
  deviceThat(ask);
  await expect(deviceFix()).resolves.toEqual({
    ...{ latitudeDeg: 52.1, longitudeDeg: -1.4, accuracyM: 7, simulated: false },
  });
  expect(ask.mock.calls[0]?.[2]).toMatchObject({ enableHighAccuracy: true, maximumAge: 0 });
});

test.each([
  [1, 'the browser was not allowed to give it'],
  [2, 'no fix came; try again under open sky'],
  [3, 'no fix came; try again under open sky'],
])('refused with code %d it says: %s', async (code, words) => {
  deviceThat((_found, refused) => refused?.({ code } as GeolocationPositionError));
  await expect(deviceFix()).rejects.toThrow(words);
});

test('a browser without location says so', async () => {
  deviceThat();
  await expect(deviceFix()).rejects.toThrow('this browser has no location');
});
