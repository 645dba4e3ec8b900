import {
  BufferGeometry,
  DoubleSide,
  FloatType,
  Mesh,
  NearestFilter,
  OrthographicCamera,
  PerspectiveCamera,
  Scene as Stage,
  ShaderMaterial,
  Vector2,
  Vector3,
  WebGLRenderer,
  WebGLRenderTarget,
  type Camera,
  type IUniform,
} from 'three';
import {
  bandsOf,
  CLIPPED_AT,
  grainOf,
  instantOf,
  linearPerNit,
  pixelPitchMm,
  seenAt,
  type Band,
  type Scene,
  type Seen,
} from '@/core';
import { createShade } from './shade';
import { fullScreen, type Uniforms } from './full-screen';
import { emptied, figureMeshes } from './figure-meshes';
import { groundGeometry, joined, meshGeometry, solidsGeometry } from './geometry';
import type { Paper } from './paper';
import { skyMesh } from './sky-mesh';
import { ADD_FRAGMENT, PICTURE_FRAGMENT, SURFACE_FRAGMENT, SURFACE_VERTEX } from './shaders';

/**
 * Draws a scene as a camera takes it: a frame is the mean of many samples, each through another point of the
 * lens and at another instant of the exposure. Depth of field, blur, freeze and streak come of that alone.
 */

/** A picture as it is shown: red, green, blue and opacity of each pixel, 0 to 255, rows from the head. */
export interface Pixels {
  readonly data: Uint8ClampedArray<ArrayBuffer>;
  readonly widthPx: number;
  readonly heightPx: number;
}

export interface FrameRenderer {
  /** The colours of the paper from now on. */
  readonly setPaper: (paper: Paper) => void;
  /** Takes up a scene, drawn so many pixels wide and high. Nothing is drawn of it yet. */
  readonly load: (scene: Scene, widthPx: number, heightPx: number) => void;
  /** When the card has what it needs to draw what was loaded. */
  readonly ready: () => Promise<unknown>;
  /** Casts the shade of what was loaded, before the first sample. */
  readonly cast: () => void;
  /** Adds a sample. */
  readonly sample: () => void;
  /** Shows the mean of all samples so far. */
  readonly show: () => void;
  /** What is shown. */
  readonly pixels: () => Pixels;
  readonly samples: () => number;
  /** Whether what was asked for is drawn: the graphics card works beside the page, and must not be flooded. */
  readonly isDrawn: () => boolean;
  /** Mean linear light, red, green, blue and one, rows from the foot; mid-grey is 0.18. */
  readonly linear: () => Float32Array;
  readonly dispose: () => void;
}

/** @throws Error where the browser can't draw so: no WebGL 2, or no sums of light in it */
export function createFrameRenderer(
  canvas: HTMLCanvasElement | OffscreenCanvas,
  paper: Paper,
): FrameRenderer {
  const context: WebGL2RenderingContext | null = canvas.getContext('webgl2', {
    antialias: false,
    depth: false,
    preserveDrawingBuffer: true,
  });
  if (!context) throw new Error('no WebGL 2');
  const gl = new WebGLRenderer({ canvas, context });
  if (!gl.extensions.has('EXT_color_buffer_float')) {
    gl.dispose();
    throw new Error('no sums of light');
  }
  gl.autoClear = false;
  gl.setPixelRatio(1);
  gl.setClearColor(0, 0);

  let [widthPx, heightPx] = [1, 1];
  const sampled = new WebGLRenderTarget(1, 1, {
    ...{ type: FloatType, minFilter: NearestFilter, magFilter: NearestFilter },
  });
  const sums = [0, 1].map(
    () =>
      new WebGLRenderTarget(1, 1, {
        ...{
          type: FloatType,
          minFilter: NearestFilter,
          magFilter: NearestFilter,
          depthBuffer: false,
        },
      }),
  ) as [WebGLRenderTarget, WebGLRenderTarget];
  const stage = new Stage();
  const shade = createShade(gl, stage);

  const light: Uniforms = {
    toSun: { value: new Vector3() },
    sunLux: { value: 0 },
    skyLux: { value: 0 },
    skyShare: { value: 1 },
    groundLux: { value: 0 },
    lampLux: { value: 0 },
    ...shade.uniforms,
    aside: { value: new Vector2() },
  };
  const surface = (own: Uniforms = {}, wire = false) =>
    new ShaderMaterial({
      ...{ vertexShader: SURFACE_VERTEX, fragmentShader: SURFACE_FRAGMENT },
      uniforms: { ...light, ...own },
      ...(wire && { defines: { WIRE: '' } }),
      side: DoubleSide,
    });
  const stillSurface = surface();
  const figureShare: IUniform = { value: 1 };
  const figureSurface = surface({ skyShare: figureShare });
  const sky = skyMesh();

  const still = new Stage();
  const moving = new Stage();
  const others = new Stage();
  stage.add(sky.mesh, still, moving, others);
  const subject = figureMeshes(moving, figureSurface);
  const [adding, add] = fullScreen(ADD_FRAGMENT, {
    sum: { value: null },
    sampled: { value: sampled.texture },
    perNit: { value: 1 },
  });
  const [showing, shown] = fullScreen(PICTURE_FRAGMENT, {
    sum: { value: null },
    samples: { value: 1 },
    clippedAt: { value: CLIPPED_AT },
    grain: { value: new Vector2() },
    paper: { value: new Vector3(...paper.white) },
    ink: { value: new Vector3(...paper.black) },
  });
  const flat = new OrthographicCamera();
  const eye = new PerspectiveCamera();
  eye.matrixAutoUpdate = false;

  let scene: Scene | undefined;
  let shadeless: Mesh[] = [];
  let lastSolids: Scene['solids'] | undefined;
  let lastOthers: Scene['others'] | undefined;
  let count = 0;
  let asked: WebGLSync | null = null;

  const put = (on: Stage, geometry: BufferGeometry, material: ShaderMaterial) => {
    const mesh = new Mesh(geometry, material);
    mesh.frustumCulled = false;
    on.add(mesh);
    return mesh;
  };

  const loadStill = ({ solids, ground, camera }: Scene) => {
    if (solids === lastSolids) return;
    lastSolids = solids;
    emptied(still);
    shadeless = [sky.mesh, put(still, groundGeometry(ground, camera.aim), stillSurface)];
    put(still, solidsGeometry(solids, camera.position), stillSurface);
    solids.forEach((solid) => {
      if (solid.shape !== 'mesh') return;
      const wire = { value: new Vector2(solid.pitchM, solid.wireM) };
      shadeless.push(put(still, meshGeometry(solid), surface({ wire }, true)));
    });
  };

  const loadOthers = ({ others: figures, camera }: Scene) => {
    if (figures === lastOthers) return;
    lastOthers = figures;
    emptied(others);
    figures.forEach((figure) => {
      const one = new Stage();
      figureMeshes(one, stillSurface).load(figure, camera.position);
      // It does not move, and a long lens sees past most: what is out of the frame is not drawn.
      others.add(new Mesh(joined(one.children as Mesh[]), stillSurface));
    });
  };

  const setLight = ({ light: lit, exposure, camera }: Scene) => {
    const set = (name: string, value: unknown) => {
      (light[name] as IUniform).value = value;
    };
    const { x, y, z } = lit.toSun;
    const globalLux = lit.skyLux + lit.sunLux * Math.max(0, z);
    set('toSun', new Vector3(x, y, z));
    set('sunLux', lit.sunLux * lit.share);
    set('skyLux', lit.skyLux * lit.share);
    set('groundLux', lit.groundReflectance * globalLux * lit.share);
    set('lampLux', lit.lampLux * lit.share);
    figureShare.value = lit.subjectSkyView / 0.5;
    sky.setLight(lit);
    (add.uniforms.perNit as IUniform).value = linearPerNit(exposure);
    const frameMm = camera.orientation === 'level' ? camera.sensor.widthMm : camera.sensor.heightMm;
    const pitch = pixelPitchMm(camera.sensor);
    const drawnMm = frameMm * (camera.window?.widthShare ?? 1);
    const { shot, read } = grainOf(exposure, pitch, Math.max(1, (drawnMm / pitch / widthPx) ** 2));
    (shown.uniforms.grain as IUniform).value = new Vector2(shot, read);
  };

  const aimEye = ({ position, axes, left, right, foot, top, near, far }: Seen) => {
    const [rightward, upward, forward] = axes;
    eye.matrix.set(
      ...[rightward.x, upward.x, -forward.x, position.x],
      ...[rightward.y, upward.y, -forward.y, position.y],
      ...[rightward.z, upward.z, -forward.z, position.z],
      ...[0, 0, 0, 1],
    );
    eye.matrixWorldNeedsUpdate = true;
    eye.updateMatrixWorld(true);
    eye.projectionMatrix.makePerspective(left, right, top, foot, near, far, eye.coordinateSystem);
    eye.projectionMatrixInverse.copy(eye.projectionMatrix).invert();
  };

  const resize = (wide: number, high: number) => {
    if (wide === widthPx && high === heightPx) return;
    [widthPx, heightPx] = [wide, high];
    gl.setSize(wide, high, false);
    [sampled, ...sums].forEach((target) => target.setSize(wide, high));
  };

  /** Draws on one strip of what a sample is drawn on. */
  const confine = ({ from, to }: Band, level: boolean) => {
    const [x, wide] = level ? [0, widthPx] : [Math.round(from * widthPx), Math.round(to * widthPx)];
    const [y, high] = level
      ? [Math.round((1 - to) * heightPx), Math.round((1 - from) * heightPx)]
      : [0, heightPx];
    sampled.scissor.set(x, y, wide - x, high - y);
  };

  /** Has every shader made ready, each for what it draws on and in a turn of its own. */
  const ready = async () => {
    for (const [what, camera, target] of [
      [stage, eye, sampled],
      [shade.stage, flat, shade.target],
      [adding, flat, sums[0]],
      [showing, flat, null],
    ] as const) {
      gl.setRenderTarget(target);
      await gl.compileAsync(what, camera);
    }
  };

  const draw = (what: Stage, camera: Camera, target: WebGLRenderTarget | null) => {
    gl.setRenderTarget(target);
    gl.clear();
    gl.render(what, camera);
  };

  return {
    setPaper: ({ white, black }) => {
      (shown.uniforms.paper as IUniform).value = new Vector3(...white);
      (shown.uniforms.ink as IUniform).value = new Vector3(...black);
    },
    load: (next, wide, high) => {
      resize(wide, high);
      scene = next;
      count = 0;
      setLight(next);
      sums.forEach((sum) => {
        gl.setRenderTarget(sum);
        gl.clear();
      });
      loadStill(next);
      subject.load(next.figure, next.camera.position);
      loadOthers(next);
    },
    // Level ground shades nothing, nor does the sky; wire takes too little of the sun to be told.
    cast: () => {
      if (scene && scene.light.sunLux > 0) shade.cast(scene, shadeless);
    },
    ready,
    sample: () => {
      if (!scene) return;
      const instant = instantOf(count);
      const { camera } = scene;
      (light.aside as IUniform).value = new Vector2(instant.pixelX, instant.pixelY).multiplyScalar(
        3,
      );
      const bands = bandsOf(camera, instant.time);
      sampled.scissorTest = bands.length > 1;
      for (const band of bands) {
        confine(band, camera.orientation === 'level');
        subject.pose((instant.time - 0.5) * camera.shutterS + band.laterS);
        aimEye(seenAt(scene, instant, widthPx, heightPx, band.laterS));
        draw(stage, eye, sampled);
      }
      const [from, to] = count % 2 === 0 ? sums : [sums[1], sums[0]];
      (add.uniforms.sum as IUniform).value = from.texture;
      draw(adding, flat, to);
      count += 1;
      context.deleteSync(asked);
      asked = null;
    },
    show: () => {
      (shown.uniforms.sum as IUniform).value = sums[count % 2]?.texture ?? null;
      (shown.uniforms.samples as IUniform).value = Math.max(1, count);
      draw(showing, flat, null);
    },
    pixels: () => {
      const rowBytes = widthPx * 4;
      const fromFoot = new Uint8Array(rowBytes * heightPx);
      context.readPixels(0, 0, widthPx, heightPx, context.RGBA, context.UNSIGNED_BYTE, fromFoot);
      const data = new Uint8ClampedArray(fromFoot.length);
      for (let y = 0; y < heightPx; y += 1) {
        const row = fromFoot.subarray(y * rowBytes, (y + 1) * rowBytes);
        data.set(row, (heightPx - 1 - y) * rowBytes);
      }
      return { data, widthPx, heightPx };
    },
    samples: () => count,
    isDrawn: () => {
      if (!asked) {
        asked = context.fenceSync(context.SYNC_GPU_COMMANDS_COMPLETE, 0);
        context.flush();
      }
      return !asked || context.getSyncParameter(asked, context.SYNC_STATUS) === context.SIGNALED;
    },
    linear: () => {
      const out = new Float32Array(widthPx * heightPx * 4);
      const last = sums[count % 2];
      if (last) gl.readRenderTargetPixels(last, 0, 0, widthPx, heightPx, out);
      return out.map((value) => value / Math.max(1, count));
    },
    dispose: () => {
      [sampled, ...sums].forEach((target) => target.dispose());
      shade.dispose();
      sky.dispose();
      gl.dispose();
      gl.forceContextLoss();
    },
  };
}
