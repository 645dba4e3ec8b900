import type { DemoPicture, Scene } from '@/demo/pictures';

/** The demo's scenes as small drawings: nothing real, nobody real. */

export const SCENE_SIZE = { width: 384, height: 256 } as const;

const W = SCENE_SIZE.width;
const H = SCENE_SIZE.height;

const rect = (x: number, y: number, w: number, h: number, fill: string, rest = '') =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" ${rest}/>`;
const blob = (cx: number, cy: number, rx: number, ry: number, fill: string, turn = 0) =>
  `<ellipse cx="${cx}" cy="${cy}" rx="${rx}" ry="${ry}" fill="${fill}" transform="rotate(${turn} ${cx} ${cy})"/>`;
const limb = (d: string, width: number, stroke: string) =>
  `<path d="${d}" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round" fill="none"/>`;
const soft = (id: string, x: number, y: number) =>
  `<filter id="${id}" x="-30%" y="-30%" width="160%" height="160%"><feGaussianBlur stdDeviation="${x} ${y}"/></filter>`;
const sky = (top: string, foot: string) =>
  `<linearGradient id="sky" x2="0" y2="1"><stop stop-color="${top}"/><stop offset="1" stop-color="${foot}"/></linearGradient>`;

/** A player leaning into a run or a swing. @param phase 0 to 1 through the movement */
function player(x: number, y: number, phase: number, shirt: string): string {
  const swing = -60 + 120 * phase;
  const legs = 26 * Math.sin(phase * Math.PI * 2);
  return [
    limb(`M${x} ${y} l${10 + legs / 2} 42 l${legs} 40`, 11, '#2a2c33'),
    limb(`M${x} ${y} l${-14 - legs / 2} 40 l${-legs} 42`, 11, '#22242a'),
    limb(`M${x} ${y} l14 -52`, 27, shirt),
    limb(`M${x + 14} ${y - 48} l26 26`, 9, '#b98562'),
    `<g transform="rotate(${swing} ${x + 40} ${y - 22})">${limb(`M${x + 40} ${y - 22} l44 40 q8 6 14 -4`, 5, '#3b2d20')}</g>`,
    blob(x + 20, y - 72, 12, 14, '#b98562'),
    blob(x + 19, y - 79, 12, 8, '#2d221a'),
  ].join('');
}

const streaks = (colours: readonly string[], from: number, to: number) =>
  Array.from({ length: 26 }, (_, i) => {
    const y = from + ((to - from) * i) / 26;
    return rect(-10, y, W + 20, (to - from) / 26 + 1, colours[(i * 7) % colours.length] as string);
  }).join('');

/** A bird of the river: bill, crown, breast, wings as asked. */
function bird(x: number, y: number, size: number, wings: number, turn: number): string {
  const wing = (way: number) =>
    wings > 0
      ? `<path d="M${x} ${y} q${-20 * size} ${-50 * wings * way * size} ${-70 * size} ${-58 * wings * way * size} q${12 * size} ${40 * way * size} ${64 * size} ${62 * way * size}z" fill="#1d7f9b"/>`
      : '';
  return `<g transform="rotate(${turn} ${x} ${y})">${wing(-0.5)}${blob(x, y, 34 * size, 21 * size, '#d9752c', 28)}${blob(x - 8 * size, y - 8 * size, 34 * size, 16 * size, '#1b8aa6', 30)}${wing(1)}${blob(x + 26 * size, y - 24 * size, 17 * size, 14 * size, '#1b8aa6')}<path d="M${x + 38 * size} ${y - 27 * size} l${40 * size} ${3 * size} l${-40 * size} ${7 * size}z" fill="#1c1c1e"/>${blob(x + 31 * size, y - 27 * size, 3 * size, 3 * size, '#0b0b0c')}${blob(x + 17 * size, y - 16 * size, 5 * size, 4 * size, '#f4f0e6')}</g>`;
}

/** A sprint canoe and who kneels in it. */
function canoe(x: number, y: number, phase: number, shirt: string): string {
  const reach = -34 + 68 * phase;
  return [
    `<path d="M${x - 130} ${y} q130 22 270 -4 q-20 20 -130 22 q-110 0 -140 -18z" fill="#e9e4d6"/>`,
    limb(`M${x} ${y} l-6 -34`, 22, '#2b3340'),
    limb(`M${x - 6} ${y - 34} l10 -40`, 24, shirt),
    limb(`M${x + 4} ${y - 66} l${24 + reach / 3} 18 l6 18`, 8, '#b07d58'),
    limb(`M${x + 20 + reach / 3} ${y - 92} L${x + 36 + reach} ${y + 18}`, 4, '#4a3524'),
    blob(x + 36 + reach, y + 20, 6, 14, '#4a3524', 8),
    blob(x + 10, y - 88, 11, 13, '#b07d58'),
    `<path d="M${x + 30 + reach} ${y + 16} q14 -26 34 -8" stroke="#fff" stroke-width="3" fill="none" opacity=".8"/>`,
  ].join('');
}

const pitch = (evening: boolean) =>
  `<defs>${sky(evening ? '#39405c' : '#9db3c9', evening ? '#c98256' : '#e6dcc2')}${soft('b', 5, 4)}</defs>${rect(0, 0, W, 130, 'url(#sky)')}<g filter="url(#b)">${Array.from({ length: 14 }, (_, i) => blob(i * 30, 112, 26, 22 + ((i * 13) % 17), evening ? '#252b2a' : '#4d6148')).join('')}</g>${rect(0, 128, W, 130, evening ? '#2f5a57' : '#3d7f73')}`;

const DRAWN: Readonly<Record<Scene, (i: number, phase: number) => string>> = {
  corner: (i, phase) => pitch(false) + player(150 + i * 4, 150, phase, '#c8342d'),
  save: (i, phase) =>
    pitch(i > 30) +
    Array.from({ length: 12 }, (_, k) => limb(`M${230 + k * 13} 60 V196`, 1, '#e8e6df')).join('') +
    limb('M226 200 V56 H392', 6, '#e8e6df') +
    `<g transform="rotate(${-30 - 40 * phase} 190 150)">${player(190, 150, 0.2, '#e0b62f')}</g>` +
    blob(120 - phase * 30, 110, 6, 6, '#fff'),
  bench: (i) =>
    `<defs>${soft('b', 8, 8)}</defs>${rect(0, 0, H, W, '#5d6b58')}<g filter="url(#b)">${blob(60, 90, 70, 60, '#8a9374')}${blob(220, 160, 80, 90, '#46543f')}</g>${blob(128, 390, 120, 130, i % 2 ? '#c8342d' : '#2f5d8c')}${blob(128, 190, 58, 74, '#b98562')}${blob(128, 138, 62, 38, '#2d221a')}${blob(106, 190, 6, 5, '#20160f')}${blob(150, 190, 6, 5, '#20160f')}${limb('M104 232 q24 16 48 0', 5, '#7a4a36')}`,
  counter: (_i, phase) =>
    `<defs>${soft('m', 3 + phase * 5, 0.4)}</defs>${streaks(['#5b6f62', '#748470', '#3d5248', '#8d917c'], 0, 130)}${streaks(['#2f6b62', '#3d7f73', '#357368'], 128, H)}<g filter="url(#m)">${player(170, 150, phase, '#c8342d')}</g>`,
  perched: (i, phase) =>
    `<defs>${soft('b', 14, 14)}</defs>${rect(0, 0, W, H, '#6f8460')}<g filter="url(#b)">${blob(80, 60, 90, 60, '#93a47a')}${blob(300, 190, 120, 70, '#4d6349')}${blob(260, 40, 70, 40, '#b5bd8d')}</g>${limb(`M-10 ${206 - (i % 3) * 2} q180 -34 260 -8 t150 -20`, 13, '#4a3a2a')}${bird(180, 152, 1.25, 0, -18 + phase * 12)}`,
  dive: (_i, phase) =>
    `<defs>${soft('b', 10, 6)}${soft('m', 2, 3)}</defs>${rect(0, 0, W, H, '#50685a')}<g filter="url(#b)">${blob(200, 40, 180, 40, '#8aa07c')}${rect(0, 178, W, 90, '#3a5559')}</g><g filter="url(#m)">${bird(190, 90 + phase * 70, 1, 1, 58)}</g>${Array.from({ length: 9 }, (_, k) => blob(150 + k * 14, 196 - ((k * 37) % 40) * phase, 3, 5, '#dfe9e6')).join('')}`,
  river: (i) =>
    `<defs>${sky('#8fa38a', '#d6cfae')}${soft('b', 3, 3)}</defs>${rect(0, 0, W, H, 'url(#sky)')}<g filter="url(#b)">${Array.from({ length: 12 }, (_, k) => blob(k * 36, 90, 30, 40 + ((k * 19) % 26), '#566b4c')).join('')}</g>${rect(0, 140, W, 116, '#7d9490')}${Array.from({ length: 7 }, (_, k) => limb(`M${30 + k * 40} ${160 + k * 12} h60`, 2, '#b7c4bb')).join('')}${limb('M250 190 q40 -24 140 -26', 6, '#4a3a2a')}${bird(300 + i, 158, 0.34, 0, 0)}`,
  strokes: (_i, phase) =>
    `${streaks(['#7f9aa4', '#8ca7b0', '#739099'], 0, H)}${rect(0, 0, W, 46, '#5f7457')}${canoe(180, 150, phase, '#2f5d8c')}`,
  panned: (_i, phase) =>
    `<defs>${soft('m', 1 + phase * 7, 0.3)}</defs>${streaks(['#7c8a5e', '#95a06f', '#5f6f4a', '#a9ab7c'], 0, 110)}${streaks(['#6f8d97', '#85a3ab', '#5f7e89'], 108, H)}<g filter="url(#m)">${canoe(180, 150, phase, '#8a3b6a')}</g>`,
  spray: (i, phase) =>
    `${streaks(['#6f8d97', '#7a98a1', '#648490'], 0, H)}${canoe(170, 160, phase, '#3f7a4a')}${Array.from({ length: 22 }, (_, k) => limb(`M${200 + ((k * 31) % 120)} ${150 - ((k * 17) % 60)} l${-18 - (k % 5) * 4} ${14 + ((k + i) % 4) * 5}`, 2, '#f2f6f5')).join('')}`,
};

/** A picture's scene. @param i its number within the day: bursts move on */
export function sceneSvg({ scene, upright, shutterS }: DemoPicture, i: number): string {
  const phase = ((i * 0.29) % 1) * (shutterS > 0.02 ? 1 : 0.9);
  const [w, h] = upright ? [H, W] : [W, H];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="0 0 ${w} ${h}">${DRAWN[scene](i, phase)}</svg>`;
}
