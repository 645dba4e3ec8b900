/**
 * Draws the charts of docs/how-the-numbers-work.md from the core itself: `npm run charts`. Each is
 * a few lines over two axes; nothing in them is typed in by hand.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { scaleLinear, scaleLog } from 'd3-scale';
import {
  backgroundBlur,
  buffer,
  daylight,
  depthOfField,
  evFromIlluminance,
  freezeShutter,
  heatIndex,
  illuminanceOnFace,
  markAt,
  meshThrough,
  pan,
  scorePosition,
  shadowLength,
  solveExposure,
  sunPosition,
  wilsonInterval,
} from '@/core';
import { exposureDesirability } from '@/core/plan/desirability';
import { bodyById, lensById, subjectById } from '@/presets/find';
import tokens from '@/ui/tokens.json';

const SIZE = { width: 580, height: 280 };
const EDGE = { left: 56, right: 140, top: 16, bottom: 44 };
const { paper, ink, quiet, line } = tokens.day;
const DASHES = ['', '7 4', '2 3', '10 3 2 3'];

interface Chart {
  readonly name: string;
  readonly x: {
    readonly title: string;
    readonly from: number;
    readonly to: number;
    readonly log?: true;
  };
  readonly y: {
    readonly title: string;
    readonly from: number;
    readonly to: number;
    readonly log?: true;
  };
  readonly lines: readonly {
    readonly title: string;
    readonly at: (x: number) => number | undefined;
  }[];
}

const SAMPLES = 240;

function draw({ x, y, lines }: Chart): string {
  const scale = ({ from, to, log }: Chart['x'], range: [number, number]) =>
    (log ? scaleLog() : scaleLinear()).domain([from, to]).range(range).clamp(false);
  const toX = scale(x, [EDGE.left, SIZE.width - EDGE.right]);
  const toY = scale(y, [SIZE.height - EDGE.bottom, EDGE.top]);
  const text = (at: readonly [number, number], words: string, more = '') =>
    `<text x="${at[0].toFixed(1)}" y="${at[1].toFixed(1)}" ${more}>${words}</text>`;
  const bottom = SIZE.height - EDGE.bottom;
  const grid = [
    ...toX
      .ticks(6)
      .map((v) => [
        `<line x1="${toX(v).toFixed(1)}" x2="${toX(v).toFixed(1)}" y1="${EDGE.top}" y2="${bottom}" stroke="${line}" stroke-width="0.5"/>`,
        text([toX(v), bottom + 16], toX.tickFormat(6)(v), 'text-anchor="middle"'),
      ]),
    ...toY
      .ticks(5)
      .map((v) => [
        `<line x1="${EDGE.left}" x2="${SIZE.width - EDGE.right}" y1="${toY(v).toFixed(1)}" y2="${toY(v).toFixed(1)}" stroke="${line}" stroke-width="0.5"/>`,
        text([EDGE.left - 6, toY(v) + 4], toY.tickFormat(5)(v), 'text-anchor="end"'),
      ]),
  ].flat();
  const curves = lines.flatMap(({ title, at }, i) => {
    const points = Array.from({ length: SAMPLES + 1 }, (_, s) => {
      const value = toX.invert(EDGE.left + ((SIZE.width - EDGE.right - EDGE.left) * s) / SAMPLES);
      const found = at(value);
      return found === undefined || found < y.from || found > y.to
        ? undefined
        : ([toX(value), toY(found)] as const);
    });
    const d = points
      .map((p, s) =>
        p ? `${s > 0 && points[s - 1] ? 'L' : 'M'}${p[0].toFixed(1)} ${p[1].toFixed(1)}` : '',
      )
      .join('');
    const style = `fill="none" stroke="${ink}" stroke-width="1.8" stroke-dasharray="${DASHES[i % DASHES.length]}"`;
    const key = { x: SIZE.width - EDGE.right + 8, y: EDGE.top + 8 + 18 * i };
    return [
      `<path d="${d}" ${style}/>`,
      `<path d="M${key.x} ${key.y}h22" ${style}/>`,
      text([key.x + 28, key.y + 4], title, `fill="${ink}"`),
    ];
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE.width} ${SIZE.height}" font-family="sans-serif" font-size="12" fill="${quiet}"><rect width="${SIZE.width}" height="${SIZE.height}" fill="${paper}"/>${grid.join('')}${curves.join('')}${text([(EDGE.left + SIZE.width - EDGE.right) / 2, SIZE.height - 8], x.title, 'text-anchor="middle"')}${text([EDGE.left, 12], y.title)}</svg>\n`;
}

const SKIES = ['clear', 'partly', 'overcast'] as const;
const FULL_FRAME = bodyById('full-frame-24');
const runner = subjectById('field-player');
const runnerAt = (distanceM: number, headingDeg: number) =>
  1 /
  freezeShutter({
    subject: runner,
    parts: runner.parts,
    path: { position: { x: 0, y: distanceM, z: 0 }, headingDeg },
    camera: {
      position: { x: 0, y: 0, z: 1.2 },
      aim: { x: 0, y: distanceM, z: 0.9 },
      focalMm: 200,
      sensor: FULL_FRAME.sensor,
    },
  }).shutterS;
const faceEv = (sunAltitudeDeg: number, faceAzimuthDeg: number) =>
  evFromIlluminance(
    illuminanceOnFace({
      daylight: daylight({ sunAltitudeDeg, sky: 'clear' }),
      sun: { azimuthDeg: 0, altitudeDeg: sunAltitudeDeg },
      faceAzimuthDeg,
      groundReflectance: 0.2,
    }),
  );
const solvedIso = (ev: number, school: 'motion' | 'balanced' | 'quality') =>
  solveExposure({
    ev: { low: ev, expected: ev, high: ev },
    demands: { shutterS: 1 / 1000, shutterRuledBy: { by: 'part', part: 'head' }, liftStops: 1 },
    camera: FULL_FRAME,
    lens: { widestAperture: 2.8, smallestAperture: 22 },
    school,
  }).settings.iso;
const scoreAt = (distanceM: number, lensId: string) =>
  scorePosition(
    { x: 0, y: distanceM, cameraHeightM: 1.2 },
    { x: 0, y: 0, headingDeg: 0, facingDeg: 0, subject: runner },
    { fill: 0.6, face: 'front', light: 'any', backdrop: 'any' },
    Date.parse('2027-04-16T15:00:00Z'),
    {
      place: { latitudeDeg: 53.12, longitudeDeg: -1.87 },
      sky: 'clear',
      groundReflectance: 0.2,
      obstacles: [],
      limits: [],
      keepAwayM: 2,
      lampLux: 0,
    },
    { ...FULL_FRAME, lens: lensById(lensId), orientation: 'level', support: 'hand' },
  ).total;

const CHARTS: readonly Chart[] = [
  {
    name: 'quantity',
    x: { title: 'clicks from 1 s', from: -39, to: 0 },
    y: { title: 'engraved time over exact time', from: 0.9, to: 1.1 },
    lines: [
      {
        title: 'thirds',
        at: (x) => {
          const mark = markAt('shutter', Math.round(x));
          const said = /^1\/(\d+)$/.exec(mark.label);
          return said ? 1 / Number(said[1]) / mark.value : undefined;
        },
      },
    ],
  },
  {
    name: 'sun',
    x: { title: 'hours UTC, 53.12° N 1.87° W', from: 3, to: 21 },
    y: { title: 'sun above the horizon, °', from: -20, to: 65 },
    lines: ['2027-03-20', '2027-06-21', '2027-12-21'].map((date) => ({
      title: date.slice(5),
      at: (hour: number) =>
        sunPosition({
          time: Date.parse(`${date}T00:00:00Z`) + hour * 3.6e6,
          latitudeDeg: 53.12,
          longitudeDeg: -1.87,
        }).altitudeDeg,
    })),
  },
  {
    name: 'daylight',
    x: { title: 'sun above the horizon, °', from: -18, to: 70 },
    y: { title: 'lux on level ground', from: 3e-4, to: 2e5, log: true },
    lines: SKIES.map((sky) => ({
      title: sky,
      at: (sunAltitudeDeg: number) => daylight({ sunAltitudeDeg, sky }).globalHorizontalLux,
    })),
  },
  {
    name: 'face',
    x: { title: 'sun above the horizon, °', from: -6, to: 70 },
    y: { title: 'EV on an upright face, clear sky', from: 0, to: 16 },
    lines: [
      { title: 'front light', at: (h) => faceEv(h, 0) },
      { title: 'side and back', at: (h) => faceEv(h, 180) },
    ],
  },
  {
    name: 'optics',
    x: { title: 'subject, m', from: 3, to: 60, log: true },
    y: { title: 'depth of field, m (600, 200, 85 mm at f/4)', from: 0.005, to: 100, log: true },
    lines: [600, 200, 85].map((focalMm) => ({
      title: `${focalMm} mm`,
      at: (distanceM: number) => {
        const { nearM, farM } = depthOfField({ focalMm, aperture: 4, distanceM, cocMm: 0.029 });
        return farM - nearM;
      },
    })),
  },
  {
    name: 'blur',
    x: {
      title: 'background over subject distance (200 mm f/2.8, subject at 15 m)',
      from: 1,
      to: 8,
    },
    y: { title: 'blur disc, mm', from: 0, to: 1 },
    lines: [
      {
        title: 'f/2.8',
        at: (times) =>
          backgroundBlur({ focalMm: 200, aperture: 2.8, subjectM: 15, backgroundM: 15 * times })
            .discMm,
      },
      {
        title: 'f/5.6',
        at: (times) =>
          backgroundBlur({ focalMm: 200, aperture: 5.6, subjectM: 15, backgroundM: 15 * times })
            .discMm,
      },
    ],
  },
  {
    name: 'mesh',
    x: {
      title: 'aperture number (fence 15 cm away, 50 mm mesh, 3 mm wire)',
      from: 2.8,
      to: 22,
      log: true,
    },
    y: { title: 'contrast of the mesh’s pattern', from: 0, to: 0.06 },
    lines: [300, 200, 70].map((focalMm) => ({
      title: `${focalMm} mm`,
      at: (aperture: number) =>
        meshThrough({ focalMm, aperture, fenceM: 0.15, subjectM: 20, pitchMm: 50, wireMm: 3 })
          .patternContrast,
    })),
  },
  {
    name: 'motion',
    x: { title: 'distance of a field player on 200 mm, m', from: 6, to: 60, log: true },
    y: {
      title: 'one over the shutter time that holds body and limbs',
      from: 30,
      to: 8000,
      log: true,
    },
    lines: [
      { title: 'crossing', at: (d) => runnerAt(d, 90) },
      { title: 'at 45°', at: (d) => runnerAt(d, 135) },
      { title: 'head-on', at: (d) => runnerAt(d, 180) },
    ],
  },
  {
    name: 'pan',
    x: {
      title: 'one over the shutter time (9.4 m/s at 10 m, 100 mm)',
      from: 8,
      to: 500,
      log: true,
    },
    y: { title: 'chance of a sharp frame', from: 0, to: 1.001 },
    lines: [0.05, 0.1, 0.2].map((skillSigma) => ({
      title: `σ ${skillSigma}`,
      at: (perSecond: number) =>
        pan({
          speedMs: 9.388,
          closestM: 10,
          offsetM: 0,
          focalMm: 100,
          shutterS: 1 / perSecond,
          skillSigma,
        }).sharpChance,
    })),
  },
  {
    name: 'exposure',
    x: { title: 'EV on the face (1/1000 wanted, f/2.8, lift up to a stop)', from: 2, to: 14 },
    y: { title: 'ISO', from: 80, to: 30_000, log: true },
    lines: [
      { title: 'motion first', at: (ev) => solvedIso(ev, 'motion') },
      { title: 'balanced', at: (ev) => solvedIso(ev, 'balanced') },
      { title: 'quality first', at: (ev) => solvedIso(ev, 'quality') },
    ],
  },
  {
    name: 'site',
    x: { title: 'sun above the horizon, °', from: 2, to: 60 },
    y: { title: 'shadow of a 9 m stand, m', from: 0, to: 150 },
    lines: [{ title: '9 m', at: (h) => shadowLength(9, h) }],
  },
  {
    name: 'plan',
    x: { title: 'distance in front of a runner, m', from: 3, to: 80 },
    y: { title: 'score (fill 60 % wanted)', from: 0, to: 1.001 },
    lines: [
      { title: '70–200 f/2.8', at: (d) => scoreAt(d, '70-200-2.8') },
      { title: '400 f/2.8', at: (d) => scoreAt(d, '400-2.8') },
    ],
  },
  {
    name: 'desirability',
    x: { title: 'stops in hand', from: -4, to: 4 },
    y: { title: 'desirability of the exposure', from: 0, to: 1.001 },
    lines: [{ title: 'exposure', at: exposureDesirability }],
  },
  {
    name: 'surroundings',
    x: { title: 'air, °C', from: 20, to: 40 },
    y: { title: 'heat index, °C', from: 18, to: 60 },
    lines: [40, 60, 80].map((relativeHumidityPct) => ({
      title: `${relativeHumidityPct} %`,
      at: (temperatureC: number) => heatIndex({ temperatureC, relativeHumidityPct }),
    })),
  },
  {
    name: 'kit',
    x: { title: 'frames a second (40 MB files, 4 GB buffer)', from: 8, to: 40 },
    y: { title: 'seconds until the buffer is full', from: 0, to: 40 },
    lines: [250, 700].map((writeMbS) => ({
      title: `${writeMbS} MB/s card`,
      at: (fps: number) => buffer({ bufferMb: 4000, fps, fileMb: 40, writeMbS }).burstS,
    })),
  },
  {
    name: 'log',
    x: { title: 'frames taken, one in ten kept', from: 10, to: 1000, log: true },
    y: { title: '95 % interval of the keeper rate', from: 0, to: 0.45 },
    lines: (['high', 'low'] as const).map((end) => ({
      title: end,
      at: (trials: number) =>
        wilsonInterval({ successes: Math.round(trials) / 10, trials: Math.round(trials) })[end],
    })),
  },
];

const outDir = path.resolve(__dirname, '../docs/charts');
mkdirSync(outDir, { recursive: true });
for (const chart of CHARTS) writeFileSync(path.join(outDir, `${chart.name}.svg`), draw(chart));
console.log(`${CHARTS.length} charts in docs/charts`);
