import { lightOnSubject, type LitScene } from '../light';
import { alongBearing, bearingDeg, point3 } from '../site/vector';
import { sunPosition } from '../sun/position';
import { groundBehind, skyBehind, skyDepth, uprightBehind } from './behind';

/** A June noon in the middle of England, the camera north of its subject: the face is turned from the sun. */
const TIME = Date.parse('2027-06-21T12:10:00Z');
const scene = (more: Partial<LitScene> = {}): LitScene => ({
  ...{ place: { latitudeDeg: 52.4, longitudeDeg: -2.9 }, sky: 'clear', groundReflectance: 0.2 },
  ...{ obstacles: [], target: point3(0, 0, 1.5), faceAzimuthDeg: 0, lampLux: 0, ...more },
});
const FAR = point3(0, -20, 1.5);

test('what gives back as much light and is lit alike is as bright; half as much is a stop darker', () => {
  expect(uprightBehind(scene(), FAR, 0.18, TIME).stopsOver).toBeCloseTo(0, 6);
  expect(uprightBehind(scene(), FAR, 0.09, TIME).stopsOver).toBeCloseTo(-1, 6);
  expect(() => uprightBehind(scene(), FAR, 1.2, TIME)).toThrow('reflectance 1.2');
});

test('a lit face before a shaded wood is as many stops brighter as sun makes of shade', () => {
  // Seen from the south the face has the sun; a wall over the wood keeps it off.
  const south = scene({ faceAzimuthDeg: 180 });
  const roof = {
    footprint: [point3(-9, 15), point3(9, 15), point3(9, 15.5), point3(-9, 15.5)],
    heightM: 30,
  };
  const behind = point3(0, 20, 1.5);
  const shaded = uprightBehind({ ...south, obstacles: [roof] }, behind, 0.18, TIME);
  expect(shaded.sunlit).toBe(false);
  const there = { ...south, obstacles: [roof], target: point3(0, 20 - 0.05, 1.5) };
  const by = lightOnSubject(there, TIME).ev.expected - lightOnSubject(south, TIME).ev.expected;
  expect(by).toBeLessThan(-1.5);
  expect(shaded.stopsOver).toBeCloseTo(by, 6);
  expect(uprightBehind(south, behind, 0.18, TIME)).toMatchObject({ sunlit: true });
});

test('level ground in the sun gets the sun by its height, in shade the sky alone', () => {
  const south = scene({ faceAzimuthDeg: 180 });
  const { daylight, ev } = lightOnSubject(south, TIME);
  const faceLux = 2.5 * 2 ** ev.expected;
  const open = groundBehind(south, point3(0, 9), 0.18, TIME);
  // E on level ground is the total of the light model; 2.5·2^EV lux on the face (ISO 2720, C = 250).
  expect(open.sunlit).toBe(true);
  expect(open.stopsOver).toBeCloseTo(Math.log2(daylight.globalHorizontalLux / faceLux), 1);
  const over = {
    footprint: [point3(-9, 8), point3(9, 8), point3(9, 8.5), point3(-9, 8.5)],
    heightM: 30,
  };
  const shade = groundBehind({ ...south, obstacles: [over] }, point3(0, 9), 0.18, TIME);
  expect(shade).toMatchObject({ sunlit: false });
  expect(shade.stopsOver).toBeCloseTo(Math.log2(daylight.diffuseHorizontalLux / faceLux), 6);
});

describe('the blue of a clear sky', () => {
  const { azimuthDeg, altitudeDeg } = sunPosition({ time: TIME, ...scene().place });
  const sun = alongBearing(azimuthDeg, altitudeDeg);
  const depth = (offDeg: number, upDeg: number, cloud = 0) =>
    skyDepth(alongBearing(azimuthDeg + offDeg, upDeg), sun, cloud);

  test('is deepest high and away from the sun, white about it and low down; cloud takes it', () => {
    // Common practice: "aiming steeply up gives a deeper blue than near the horizon".
    expect([depth(180, 40), depth(180, 4), depth(0, 58)]).toEqual(['deep', 'pale', 'white']);
    expect(depth(180, 40, 0.5)).not.toBe('deep');
    expect(depth(180, 40, 0.9)).toBe('grey');
    expect(() => skyDepth(point3(1, 0, 0), sun, 0)).toThrow('toward.z 0');
  });

  test('never gets deeper the lower one looks, away from the sun', () => {
    const order = ['deep', 'blue', 'pale', 'white'];
    const down = [40, 30, 20, 12, 6, 2].map((up) => order.indexOf(depth(180, up)));
    expect(down).toEqual([...down].sort((a, b) => a - b));
  });

  test('before it a face from behind the sun is darker than before the far side', () => {
    expect(bearingDeg(point3(0, 0), sun)).toBeCloseTo(azimuthDeg, 6);
    const toSun = skyBehind(scene(), alongBearing(azimuthDeg, 20), TIME);
    const away = skyBehind(
      scene({ faceAzimuthDeg: azimuthDeg }),
      alongBearing(azimuthDeg + 180, 20),
      TIME,
    );
    expect(toSun.stopsOver).toBeGreaterThan(away.stopsOver + 2);
    expect(away.depth).not.toBe('white');
  });
});
