import { LARKMOOR } from '@/demo/larkmoor';
import { withFrames } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import type { Shoot } from '@/records/shoot';
import { jumpPresses } from './taught';

const [mark] = LARKMOOR.marks;
if (!mark) throw new Error('no mark');
const day = LARKMOOR.startLocal.slice(0, 10);

/** Frames at so many seconds past seven, kept or not. */
const taken = (shoot: Shoot, all: readonly (readonly [second: number, kept: boolean])[]): Shoot =>
  withFrames(
    shoot,
    all.map(([second, kept], i): Frame => ({
      ...{ name: `J${i}.jpg`, camera: 'body', kept },
      cameraMs: Date.parse(`${day}T19:00:00Z`) + second * 1000,
    })),
  );
const at = (subjectId: string, logged = true): Shoot => ({
  ...LARKMOOR,
  marks: LARKMOOR.marks.map((one) => (one.id === mark.id ? { ...one, subjectId } : one)),
  log: {
    ...LARKMOOR.log,
    entries: logged
      ? [
          {
            ...{ id: 'e', kind: 'stand', atLocal: `${day}T18:59:00` },
            ...{ markId: mark.id, positionId: LARKMOOR.choice.positionId },
          },
        ]
      : [],
  },
});
/** Three presses: the second frame of the first is kept, none of the second, the last of the third. */
const PRESSES = [
  [0, false],
  [0.1, true],
  [0.2, false],
  [10, false],
  [20, false],
  [20.1, true],
] as const;

describe('presses at a jump', () => {
  test('are counted by press, not by frame', () => {
    expect(jumpPresses([taken(at('court-jump'), PRESSES)])).toEqual({ kept: 2, presses: 3 });
    expect(jumpPresses([])).toEqual({ kept: 0, presses: 0 });
  });
  test('are those at one who jumps, and of whom the log says so', () => {
    expect(jumpPresses([taken(at('field-player'), PRESSES)]).presses).toBe(0);
    expect(jumpPresses([taken(at('court-jump', false), PRESSES)]).presses).toBe(0);
  });
});
