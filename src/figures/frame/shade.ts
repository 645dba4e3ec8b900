import {
  DepthTexture,
  Matrix4,
  NearestFilter,
  OrthographicCamera,
  UnsignedIntType,
  WebGLRenderTarget,
} from 'three';
import type { Point3 } from '@/core';

/** What the sun reaches: depths as it sees them, near the subject and over the ground. */

export const NEAR_SHADE_PX = 1024;
export const FAR_SHADE_PX = 2048;
/** Shade is looked for as far round the subject as this, finely in so many of its heights. */
export const FAR_SHADE_M = 160;
export const NEAR_SHADE_HEIGHTS = 2.5;
/** Depths of what the sun sees. */
export function shadeTarget(sizePx: number): WebGLRenderTarget {
  const target = new WebGLRenderTarget(sizePx, sizePx, {
    minFilter: NearestFilter,
    magFilter: NearestFilter,
  });
  target.depthTexture = new DepthTexture(sizePx, sizePx, UnsignedIntType);
  return target;
}

/** A camera in the sun that sees a box round a point. */
export function sunCamera(toSun: Point3, middle: Point3, halfM: number): OrthographicCamera {
  const camera = new OrthographicCamera(-halfM, halfM, halfM, -halfM, 0, 4 * FAR_SHADE_M);
  const far = 2 * FAR_SHADE_M;
  camera.up.set(0, 0, 1);
  camera.position.set(middle.x + toSun.x * far, middle.y + toSun.y * far, middle.z + toSun.z * far);
  camera.lookAt(middle.x, middle.y, middle.z);
  camera.updateMatrixWorld();
  camera.updateProjectionMatrix();
  return camera;
}

export const shadeMatrix = (camera: OrthographicCamera): Matrix4 =>
  new Matrix4().multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);
