import {
  EVS,
  eyeOff,
  HEIGHTS_DEG,
  SUN_SIDES,
  type EyeQuestion,
  type EyeTask,
  type SunSide,
} from '@/answers/eye-drill';

export const EYE_ASKS: Readonly<Record<EyeTask, string>> = {
  side: 'Where does the sun stand?',
  height: 'How high does the sun stand?',
  ev: 'How much light is there on the face?',
};

const SIDES: Readonly<Record<SunSide, string>> = {
  behind: 'Behind the camera',
  right: 'To the right',
  ahead: 'Ahead',
  left: 'To the left',
};

/** What may be answered, in order. */
export function eyeChoices(task: EyeTask): readonly string[] {
  switch (task) {
    case 'side':
      return SUN_SIDES.map((side) => SIDES[side]);
    case 'height':
      return HEIGHTS_DEG.map((deg) => `${deg}°`);
    case 'ev':
      return EVS.map((ev) => `EV ${ev}`);
  }
}

function truthInWords({ task, truth }: EyeQuestion): string {
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
  }
}

/** "Right: it stands 37° high." */
export function eyeInWords(question: EyeQuestion, answer: number): string {
  const off = eyeOff(question, answer);
  const choices = eyeChoices(question.task);
  return off === 0
    ? `Right: ${truthInWords(question)}.`
    : `${choices[question.right] ?? ''}: ${truthInWords(question)}.`;
}
