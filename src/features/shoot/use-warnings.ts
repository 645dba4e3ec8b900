import { useMemo } from 'react';
import { limitsOf, refusals } from '@/core';
import { refusalInWords } from './score-words';
import { chosenPosition } from '@/answers/view';
import { onFieldOfPlay } from '@/presets/grounds';
import { useShown } from './open-shoot';

/** What can hurt someone from here: the sun near the frame, a place where one may not stand. */
export function useWarnings(): readonly string[] {
  const { setup, seen } = useShown('setup', 'seen');
  const { features, positions, choice, ground } = setup;
  const { x, y } = chosenPosition({ positions, choice });
  const stands = useMemo(() => {
    if (onFieldOfPlay(ground.template, ground.bearingDeg, { x, y })) {
      return [
        'this stands on the field of play. Stay behind the lines and ask the officials where you may work.',
      ];
    }
    const keepOuts = features.filter(({ kind }) => kind === 'keepOut');
    return refusals({ x, y }, limitsOf(keepOuts)).map(
      (refusal) =>
        `this stands ${refusalInWords(refusal)}. Ask whoever is in charge where you may work.`,
    );
  }, [features, ground, x, y]);
  const sun = seen.ok && seen.answer.sunNearFrame;
  return useMemo(
    () => [
      ...(sun
        ? [
            'the sun is within 10° of the frame. Never look at it through the finder or a long lens.',
          ]
        : []),
      ...stands,
    ],
    [sun, stands],
  );
}
