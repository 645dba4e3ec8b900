import { Mesh, type Object3D, type ShaderMaterial } from 'three';
import { figureThrough, type Figure, type Point3 } from '@/core';
import { pieceGeometry, placePiece } from './geometry';

/** A piece of a figure, and how long it is when nothing draws it out. */
interface Resting {
  readonly mesh: Mesh;
  readonly lengthM: number;
}

/** Takes all from a stage, and what the graphics card holds of it. */
export function emptied(stage: Object3D): void {
  stage.traverse((child) => {
    if (child instanceof Mesh) (child as Mesh).geometry.dispose();
  });
  stage.clear();
}

/** A figure's pieces on a stage: built when they change, posed at a time of the exposure. */
export function figureMeshes(stage: Object3D, material: ShaderMaterial) {
  let shown: Figure['pieces'] | undefined;
  let pieces: readonly Resting[] = [];
  let at: ReturnType<typeof figureThrough> | undefined;
  const pose = (timeS: number): void => {
    const placed = at?.(timeS) ?? [];
    pieces.forEach(({ mesh, lengthM }, i) => {
      const ends = placed[i];
      if (ends) placePiece(mesh, lengthM, ends.from, ends.to);
    });
  };
  const build = (figure: Figure, eye: Point3) => {
    emptied(stage);
    const rest = figureThrough(figure, eye)(0);
    pieces = figure.pieces.map((piece, i) => {
      const { from, to } = rest[i] as (typeof rest)[number];
      const lengthM = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
      const mesh = new Mesh(pieceGeometry(piece, lengthM), material);
      mesh.frustumCulled = false;
      stage.add(mesh);
      return { mesh, lengthM };
    });
    shown = figure.pieces;
  };
  return {
    load: (figure: Figure, eye: Point3): void => {
      if (figure.pieces !== shown) build(figure, eye);
      at = figureThrough(figure, eye);
      pose(0);
    },
    pose,
  };
}
