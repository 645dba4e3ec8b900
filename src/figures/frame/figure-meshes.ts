import { Mesh, type Object3D, type ShaderMaterial } from 'three';
import { figureThrough, type Figure, type Point3 } from '@/core';
import { pieceGeometry, placePiece } from './geometry';

/** Takes all from a stage, and what the graphics card holds of it. */
export function emptied(stage: Object3D): void {
  stage.children.forEach((child) => {
    if (child instanceof Mesh) (child as Mesh).geometry.dispose();
  });
  stage.clear();
}

/** For what does not move it is all one where it is seen from. */
const ANYWHERE: Point3 = { x: 0, y: 0, z: 0 };

/** A figure's pieces on a stage: built when they change, posed at a time of the exposure. */
export function figureMeshes(stage: Object3D, material: ShaderMaterial) {
  let shown: Figure['pieces'] | undefined;
  let pieces: readonly (readonly [Mesh, number])[] = [];
  let at: ReturnType<typeof figureThrough> | undefined;
  const pose = (timeS: number): void => {
    const placed = at?.(timeS) ?? [];
    pieces.forEach(([mesh, restM], i) => {
      const ends = placed[i];
      if (ends) placePiece(mesh, restM, ends.from, ends.to);
    });
  };
  const build = (figure: Figure) => {
    const rest = figureThrough(figure, ANYWHERE)(0);
    emptied(stage);
    pieces = figure.pieces.map((piece, i) => {
      const { from, to } = rest[i] as (typeof rest)[number];
      const lengthM = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
      const mesh = new Mesh(pieceGeometry(piece, lengthM), material);
      mesh.frustumCulled = false;
      stage.add(mesh);
      return [mesh, lengthM] as const;
    });
    shown = figure.pieces;
  };
  return {
    load: (figure: Figure, eye: Point3 = ANYWHERE): void => {
      if (figure.pieces !== shown) build(figure);
      at = figureThrough(figure, eye);
      pose(0);
    },
    pose,
  };
}
