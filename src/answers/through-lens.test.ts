import { evFromIlluminance, illuminanceOnFace, linearPerNit, MID_GREY } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { msOf } from '@/records/times';
import type { Shoot } from '@/records/shoot';
import { answerAt } from './answer';
import { withShot } from './choose-shot';
import { sceneThrough } from './through-lens';
import { viewOf } from './view';

const seen = (shoot: Shoot, at = shoot.atLocal) => {
  const result = viewOf(shoot);
  if (!result.ok) throw new Error('must be seen');
  const atMs = msOf(at, shoot.place.timeZone);
  const answer = answerAt(result.view, shoot, atMs);
  const { settings } = answer.exposure;
  const scene = sceneThrough(shoot, result.view, answer, { settings, atMs });
  return { view: result.view, answer, scene, settings };
};
const [larkmoor, alderReach, ternWater] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];

test.each(DEMO_SHOOTS.map((shoot) => [shoot.title, shoot] as const))(
  '%s: an upright grey face to the camera comes out as the answer exposes it',
  (_title, shoot) => {
    const { scene, answer, view } = seen(shoot);
    const { light } = scene;
    const { azimuthDeg, altitudeDeg } = answer.light.sun;
    // The scene's own light on that face, by the plain formula of the light model.
    const lux =
      light.share *
      (light.lampLux +
        illuminanceOnFace({
          daylight: {
            directNormalLux: light.sunLux,
            diffuseHorizontalLux: light.skyLux,
            globalHorizontalLux: light.skyLux + light.sunLux * Math.max(0, light.toSun.z),
          },
          sun: { azimuthDeg, altitudeDeg },
          faceAzimuthDeg: view.scene.faceAzimuthDeg,
          skyView: light.subjectSkyView,
          groundReflectance: light.groundReflectance,
          directShare: answer.light.sunShare,
        }));
    expect(evFromIlluminance(lux)).toBeCloseTo(answer.light.ev.expected, 1);
    // At settings for that light grey comes to mid-grey, but for what is held back or lifted.
    const grey = ((0.157 * lux) / Math.PI) * linearPerNit(scene.exposure);
    expect(Math.abs(Math.log2(grey / MID_GREY))).toBeLessThan(0.4);
  },
);

test('the same ground and subject give the same solids and pieces, whatever the minute', () => {
  const [early, late] = [seen(larkmoor), seen(larkmoor, '2027-04-16T20:30')];
  expect(late.scene.solids).toBe(early.scene.solids);
  expect(late.scene.figure.pieces).toBe(early.scene.figure.pieces);
  expect(late.scene.light.sunLux).toBe(0);
  expect(late.scene.light.lampLux).toBeGreaterThan(0);
});

test('a pan turns with what is followed; a filter and a lens drawn out take their stops', () => {
  const shot = ternWater.shots.find(({ technique }) => technique === 'pan');
  const { scene, settings, view } = seen(withShot(ternWater, shot));
  expect(scene.camera.pan?.part).toBe('body');
  expect(scene.exposure.lossStops).toBeCloseTo((settings.filterStops ?? 0) + view.lossStops, 9);
  expect(settings.filterStops).toBeGreaterThan(0);
});

test('a bird on its perch looks where its face does; what runs looks where it goes', () => {
  const bird = seen(alderReach);
  expect(bird.scene.figure.facingDeg).toBe(bird.view.mark.facingDeg);
  const player = seen(larkmoor);
  expect(player.scene.figure.facingDeg).toBe(player.view.mark.headingDeg);
});

test('under a roof there is neither sun nor sky: lamps, and what windows let in, from all sides', () => {
  const { lampsFromLocal: _from, ...always } = larkmoor.light;
  const hall = { ...larkmoor, light: { ...always, indoors: true, lampLux: 300 } };
  const { light } = seen(hall).scene;
  expect(light).toMatchObject({ sunLux: 0, skyLux: 0, indoors: true });
  expect(light.lampLux).toBeCloseTo(300, 2);
});
