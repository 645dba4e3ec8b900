import {
  BackSide,
  DataTexture,
  DataUtils,
  HalfFloatType,
  LinearFilter,
  Mesh,
  RedFormat,
  RepeatWrapping,
  ShaderMaterial,
  SphereGeometry,
  Vector3,
} from 'three';
import {
  CLEAR_SKY,
  CLOUDS_SIDE,
  cloudSheet,
  OVERCAST_SKY,
  skyOnLevel,
  sunForSky,
  type SceneLight,
} from '@/core';
import { SKY_FRAGMENT, SKY_VERTEX } from './shaders';

/** The sky over a scene: clear between clouds, or under a roof an even wall. */

/** A clear sky is bluer than the paper; luminance as it is. */
const SKY_TINT = [0.86, 1.01, 1.32] as const;

let sheet: Uint16Array | undefined;
/** One sheet of clouds for every picture, put together when the first has some. */
const halfSheet = (): Uint16Array => {
  sheet ??= Uint16Array.from(cloudSheet(), DataUtils.toHalfFloat);
  return sheet;
};

function sheetTexture(values: Uint16Array, side: number): DataTexture {
  const texture = new DataTexture(values, side, side, RedFormat, HalfFloatType);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.minFilter = texture.magFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

export function skyMesh() {
  const noSheet = sheetTexture(new Uint16Array(1), 1);
  let clouds: DataTexture | undefined;
  const uniforms = {
    clearScale: { value: 0 },
    overcastScale: { value: 0 },
    cloud: { value: 0 },
    clouds: { value: noSheet },
    toSun: { value: new Vector3() },
    wallNits: { value: 0 },
    tint: { value: new Vector3(...SKY_TINT) },
  };
  const material = new ShaderMaterial({
    ...{ vertexShader: SKY_VERTEX, fragmentShader: SKY_FRAGMENT, side: BackSide },
    ...{ uniforms, depthWrite: false },
  });
  const geometry = new SphereGeometry(1, 24, 16);
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  // Where something stands before it, it need not be computed.
  mesh.renderOrder = 1;
  return {
    mesh,
    setLight: (lit: SceneLight): void => {
      const sun = sunForSky(lit.toSun);
      const nits = lit.skyLux * lit.share;
      uniforms.toSun.value.set(sun.x, sun.y, sun.z);
      uniforms.clearScale.value = nits / skyOnLevel(CLEAR_SKY, sun);
      uniforms.overcastScale.value = nits / skyOnLevel(OVERCAST_SKY, sun);
      uniforms.cloud.value = lit.cloud;
      if (lit.cloud > 0 && lit.cloud < 1) {
        clouds ??= sheetTexture(halfSheet(), CLOUDS_SIDE);
        uniforms.clouds.value = clouds;
      }
      uniforms.wallNits.value = lit.indoors
        ? (0.3 * (lit.lampLux + lit.skyLux / 2) * lit.share) / Math.PI
        : 0;
    },
    dispose: (): void => {
      for (const one of [noSheet, clouds, material, geometry]) one?.dispose();
    },
  };
}
