import { eyeOff, SUN_SIDES, type EyeQuestion, type SunSide } from '@/answers/eye-drill';
import { bearingDeg } from '@/core';
import { compassPoint } from '@/features/shoot/words';
import { clockOf } from '@/records/times';

/** What is asked. */
export function eyeAsks({ task, setup, atMs, picture: { view } }: EyeQuestion): string {
  switch (task) {
    case 'side':
      return 'Where does the sun stand?';
    case 'height':
      return 'How high does the sun stand?';
    case 'ev':
      return 'How much light is there on the face?';
    case 'hour':
      return `This looks ${compassPoint(bearingDeg(view.camera, view.aim))}. Which hour is it?`;
    case 'ground':
      return `It is ${clockOf(atMs, setup.place.timeZone)}. From which side are faces lit from the front?`;
  }
}

const SIDES: Readonly<Record<SunSide, string>> = {
  behind: 'Behind the camera',
  right: 'To the right',
  ahead: 'Ahead',
  left: 'To the left',
};

const LETTERS = ['A', 'B', 'C', 'D'] as const;

/** A ground's sides by letter, with where each lies: "A, NE". */
export const sideNames = (bearings: readonly number[]) =>
  bearings.map((deg, i) => ({
    letter: LETTERS[i] ?? '',
    deg,
    name: `${LETTERS[i]}, ${compassPoint(deg)}`,
  }));

/** What may be answered, in order. */
export function eyeChoices({ task, choices, setup }: EyeQuestion): readonly string[] {
  switch (task) {
    case 'side':
      return SUN_SIDES.map((side) => SIDES[side]);
    case 'height':
      return choices.map((deg) => `${deg}°`);
    case 'ev':
      return choices.map((ev) => `EV ${ev}`);
    case 'hour':
      return choices.map((ms) => clockOf(ms, setup.place.timeZone));
    case 'ground':
      return sideNames(choices).map(({ name }) => name);
  }
}

function truthInWords({ task, truth, picture }: EyeQuestion): string {
  const { sun } = picture.answer.light;
  const stood = `the sun stood ${Math.round(sun.apparentAltitudeDeg)}° high in the ${compassPoint(sun.azimuthDeg)}`;
  switch (task) {
    case 'side': {
      const off = Math.round(Math.abs(truth));
      if (off <= 10) return 'it stands straight behind the camera';
      if (off >= 170) return 'it stands straight ahead';
      return `it stands ${off}° round to the ${truth > 0 ? 'right' : 'left'} from straight behind`;
    }
    case 'height':
      return `it stands ${Math.round(truth)}° high`;
    case 'ev':
      return `the face has EV ${truth.toFixed(1)}`;
    case 'hour':
      return stood;
    case 'ground':
      return `${stood}, behind who stands there`;
  }
}

/** "Right: it stands 37° high." */
export function eyeInWords(question: EyeQuestion, answer: number): string {
  const off = eyeOff(question, answer);
  return off === 0
    ? `Right: ${truthInWords(question)}.`
    : `${eyeChoices(question)[question.right] ?? ''}: ${truthInWords(question)}.`;
}
