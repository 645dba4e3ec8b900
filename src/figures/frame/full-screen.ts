import {
  BufferGeometry,
  Float32BufferAttribute,
  Mesh,
  Scene as Stage,
  ShaderMaterial,
  type IUniform,
} from 'three';
import { FULL_VERTEX } from './shaders';

export type Uniforms = Record<string, IUniform>;

/** A stage of one triangle over the whole picture, each pixel computed by a shader. */
export function fullScreen(
  fragmentShader: string,
  uniforms: Uniforms,
): readonly [Stage, ShaderMaterial] {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute([-1, -1, 0, 3, -1, 0, -1, 3, 0], 3));
  const material = new ShaderMaterial({
    ...{ vertexShader: FULL_VERTEX, fragmentShader, uniforms },
    ...{ depthTest: false, depthWrite: false },
  });
  const stage = new Stage();
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  stage.add(mesh);
  return [stage, material];
}
