import {
  BufferGeometry,
  DepthTexture,
  DoubleSide,
  Matrix4,
  Mesh,
  NearestFilter,
  OrthographicCamera,
  Scene as Stage,
  ShaderMaterial,
  UnsignedIntType,
  WebGLRenderTarget,
  type WebGLRenderer,
} from 'three';
import type { Point3, Scene } from '@/core';
import { DEPTH_FRAGMENT, DEPTH_VERTEX, FAR_SHADE_PX, NEAR_SHADE_PX, SUN_DEPTH_M } from './shaders';

/** What the sun reaches: depths as it sees them, near the subject and over the ground. */

/** Shade is looked for as far round the subject as this, finely in so many of its heights. */
const FAR_SHADE_M = 160;
const NEAR_SHADE_HEIGHTS = 2.5;

/** Depths of what the sun sees: over the ground, and over that, round the subject. */
function shadeTarget(): WebGLRenderTarget {
  const size = [FAR_SHADE_PX, FAR_SHADE_PX + NEAR_SHADE_PX] as const;
  const target = new WebGLRenderTarget(...size, {
    minFilter: NearestFilter,
    magFilter: NearestFilter,
  });
  target.depthTexture = new DepthTexture(...size, UnsignedIntType);
  return target;
}

/** A camera in the sun that sees a box round a point. */
function sunCamera(toSun: Point3, middle: Point3, halfM: number): OrthographicCamera {
  const camera = new OrthographicCamera(-halfM, halfM, halfM, -halfM, 0, SUN_DEPTH_M);
  const far = SUN_DEPTH_M / 2;
  camera.up.set(0, 0, 1);
  camera.position.set(middle.x + toSun.x * far, middle.y + toSun.y * far, middle.z + toSun.z * far);
  camera.lookAt(middle.x, middle.y, middle.z);
  camera.updateMatrixWorld();
  camera.updateProjectionMatrix();
  return camera;
}

const shadeMatrix = (camera: OrthographicCamera): Matrix4 =>
  new Matrix4().multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);

/** Casts the shade of what is on a stage, and says it to the shaders that look it up. */
export function createShade(gl: WebGLRenderer, stage: Stage) {
  const target = shadeTarget();
  const uniforms = {
    nearShade: { value: new Matrix4() },
    farShade: { value: new Matrix4() },
    depths: { value: target.depthTexture },
    nearTexelM: { value: 0 },
    farTexelM: { value: (2 * FAR_SHADE_M) / FAR_SHADE_PX },
  };
  const depthOnly = new ShaderMaterial({
    ...{ vertexShader: DEPTH_VERTEX, fragmentShader: DEPTH_FRAGMENT, side: DoubleSide },
  });
  const alone = new Stage();
  alone.add(new Mesh(new BufferGeometry(), depthOnly));
  let lastWhere = '';
  let lastWhat: readonly unknown[] = [];
  /** Whether the shade is that of the scene before: the same things under the same sun. */
  const same = ({ light: { toSun }, camera: { aim }, figure, solids, others }: Scene): boolean => {
    const { path, facingDeg, pitchDeg, pieces } = figure;
    const where = JSON.stringify([toSun, aim, path, facingDeg, pitchDeg]);
    const what = [solids, others, pieces];
    const unchanged = where === lastWhere && what.every((one, i) => one === lastWhat[i]);
    [lastWhere, lastWhat] = [where, what];
    return unchanged;
  };
  return {
    uniforms,
    /** The shader alone, and what it draws on: to be made ready with the others. */
    stage: alone,
    target,
    cast: (scene: Scene, unseen: readonly Mesh[]): void => {
      if (same(scene)) return;
      const { toSun } = scene.light;
      const { aim } = scene.camera;
      const show = (visible: boolean) =>
        unseen.forEach((mesh) => {
          mesh.visible = visible;
        });
      show(false);
      stage.overrideMaterial = depthOnly;
      const nearM = Math.max(0.3, scene.figure.subject.heightM * NEAR_SHADE_HEIGHTS);
      uniforms.nearTexelM.value = (2 * nearM) / NEAR_SHADE_PX;
      gl.setRenderTarget(target);
      gl.clear();
      (
        [
          [FAR_SHADE_PX, NEAR_SHADE_PX, sunCamera(toSun, aim, nearM), uniforms.nearShade],
          [0, FAR_SHADE_PX, sunCamera(toSun, aim, FAR_SHADE_M), uniforms.farShade],
        ] as const
      ).forEach(([footPx, sidePx, camera, matrix]) => {
        target.viewport.set(0, footPx, sidePx, sidePx);
        gl.setRenderTarget(target);
        gl.render(stage, camera);
        matrix.value = shadeMatrix(camera);
      });
      stage.overrideMaterial = null;
      show(true);
    },
    dispose: (): void => target.dispose(),
  };
}
