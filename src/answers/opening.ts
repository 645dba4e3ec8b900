import { correctedLight, lightAtTimes, seriesTimes } from '@/core';
import type { Shoot } from '@/records/shoot';
import { atMsOf, hoursOf } from '@/records/times';
import { answerIn, outlookOf } from './answer';
import { heardOf } from './heard';
import { sceneOf, viewOf } from './view';

const STEP_S = 60;

/**
 * What a shoot answers as it opens, at the minute it was left at: settings and outlook, as its page shows
 * them. Nothing where it has no view. Takes a tenth of a second: a page asks its worker for the light.
 */
export function openingOf(shoot: Shoot) {
  const viewed = viewOf(shoot);
  if (!viewed.ok) return undefined;
  const { view } = viewed;
  const hours = hoursOf(shoot);
  const atMs = atMsOf(shoot, hours);
  const scene = sceneOf(view, shoot.features);
  const lightAt = correctedLight(scene, heardOf(shoot));
  const series = lightAtTimes(lightAt, seriesTimes({ scene, ...hours, stepS: STEP_S }));
  return {
    atMs,
    answer: answerIn(view, shoot.choice, lightAt(atMs)),
    outlook: outlookOf(view, shoot.choice, series, hours),
  };
}
