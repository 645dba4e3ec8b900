import {
  BufferGeometry,
  Float32BufferAttribute,
  Mesh,
  type Object3D,
  type ShaderMaterial,
} from 'three';
import { figureThrough, type Figure, type Point3 } from '@/core';
import { pieceGeometry, placePiece } from './geometry';

/** A piece of a figure, and how long it is when nothing draws it out. */
interface Resting {
  readonly mesh: Mesh;
  readonly lengthM: number;
}

/** Takes all from a stage, and what the graphics card holds of it. */
export function emptied(stage: Object3D): void {
  stage.children.forEach((child) => {
    if (child instanceof Mesh) (child as Mesh).geometry.dispose();
  });
  stage.clear();
}

/** For what does not move it is all one where it is seen from. */
const ANYWHERE: Point3 = { x: 0, y: 0, z: 0 };

/** A figure's pieces at the middle of the exposure, in their order. */
function restingPieces(figure: Figure, material?: ShaderMaterial): readonly Resting[] {
  const rest = figureThrough(figure, ANYWHERE)(0);
  return figure.pieces.map((piece, i) => {
    const { from, to } = rest[i] as (typeof rest)[number];
    const lengthM = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
    const mesh = new Mesh(pieceGeometry(piece, lengthM), material);
    mesh.frustumCulled = false;
    placePiece(mesh, lengthM, from, to);
    return { mesh, lengthM };
  });
}

/** Figures that hold still, in one piece: the card is asked once for all of them. */
export function standingGeometry(figures: readonly Figure[]): BufferGeometry {
  const pieces = figures
    .flatMap((figure) => restingPieces(figure))
    .map(({ mesh }) => {
      mesh.updateMatrix();
      return mesh.geometry.applyMatrix4(mesh.matrix).toNonIndexed();
    });
  const made = new BufferGeometry();
  (['position', 'normal', 'colour'] as const).forEach((name) => {
    const each = pieces.map((piece) => piece.getAttribute(name));
    const values = each.flatMap(({ array }) => Array.from(array));
    made.setAttribute(name, new Float32BufferAttribute(values, each[0]?.itemSize ?? 3));
  });
  return made;
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
  const build = (figure: Figure) => {
    emptied(stage);
    pieces = restingPieces(figure, material);
    pieces.forEach(({ mesh }) => stage.add(mesh));
    shown = figure.pieces;
  };
  return {
    load: (figure: Figure, eye: Point3): void => {
      if (figure.pieces !== shown) build(figure);
      at = figureThrough(figure, eye);
      pose(0);
    },
    pose,
  };
}
