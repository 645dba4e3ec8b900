import { lightSeries, monthOf, settingsCard, sunPosition, type LightSeries } from '@/core';
import { cautionsOf } from '@/features/shoot/caution-tags';
import { formOf, briefFormSchema } from '../src/features/shoot/brief-form';
import { personInWords, shotInWords } from '@/features/shoot/brief-words';
import { withBrief } from '@/features/brief/with-brief';
import { crossingOf, judgedPan, panPicture, swungScene, type Crossing } from '@/answers/crossing';
import { questionOf } from '@/answers/blur-bench';
import { EYE_TASKS, eyeQuestion } from '@/answers/eye-drill';
import { happening } from '@/answers/moments';
import { picturedIn, type Pictured } from '@/answers/pictured';
import { momentsFor, nextRungS } from '@/answers/practised';
import { HAPPENINGS, judgedStops, situationOf } from '@/answers/stops-drill';
import { FIRST_PRACTICE } from '@/records/practice';
import { dayInWords, dayLines } from '@/features/shoot/day-lines';
import { dayRequestOf, pictureOf } from '@/answers/day-request';
import { viewFor } from '@/answers/picture-view';
import { visitsByHour, watchesWithSightings } from '@/answers/nature';
import { effectsOf } from '@/features/draw/effects';
import { nextCall, nextLight } from '@/features/field/now-next';
import { compareRequestOf } from '@/features/ground/compare';
import { figuresOf, sunInFigures } from '@/features/ground/figures';
import { FIRST_WISH, searchRequestOf } from '@/answers/search';
import { sideView } from '@/features/ground/side-view';
import { facedScene } from '@/features/ground/when';
import { shotsServed } from '@/answers/bag';
import { servedInWords, shotServedInWords } from '@/features/kit/bag-words';
import { packingList } from '@/features/kit/packing';
import { storesOf } from '@/answers/stores';
import { twoBodies } from '@/answers/two-bodies';
import { bodyRings, twoBodiesInWords } from '@/features/kit/two-bodies-words';
import { weatherOf } from '@/features/kit/weather';
import { gridWalk, groundClicks, turningsOf } from '@/answers/light-plan';
import { owedShots } from '@/answers/owed';
import { stepStates } from '@/answers/step-states';
import { owedInWords, owedSign } from '@/features/shoot/owed-words';
import { stateInWords } from '@/features/shoot/step-words';
import { lessonsFor } from '@/features/shoot/lessons';
import { logRows } from '@/features/log/log-rows';
import { matchedFrames } from '@/answers/matched';
import { deliveredOf } from '@/answers/taught';
import { alongSight } from '@/answers/along-sight';
import { behindOf } from '@/answers/behind';
import { seatsOf } from '@/answers/seats';
import { shadeRequest } from '@/answers/shade';
import { shadesOn } from '@/answers/shades-on';
import { behindInWords } from '@/features/ground/behind-words';
import { seatInWords } from '@/features/shoot/hide-words';
import { answerAt, ballOf, outlookOf } from '@/answers/answer';
import { closeExtent, planLight, planSight } from '@/features/shoot/drawing';
import { planExtent, planGround } from '@/answers/extent';
import { answerSentences, settingsInWords, stopsSentence } from '@/features/shoot/exposure-words';
import { notesOf } from '@/features/shoot/frame-notes';
import { heardOf } from '@/answers/heard';
import { marksInSun, ownShadowOn } from '@/answers/sun-on-ground';
import { eventsWithin } from '@/features/shoot/use-plan';
import { chosenMark, chosenPosition, sceneOf, viewOf } from '@/answers/view';
import { cardRequest, cardLine, cardNotes } from '@/features/shoot/card';
import { focusZone, panSwing } from '@/features/settings/instruments';
import { focusPlan, motionSaid } from '@/features/settings/motion-words';
import { memorySlots } from '@/features/shoot/slots';
import type { Shoot } from '@/records/shoot';
import { summaryOf } from '@/records/summary';
import { clockOf, hoursOf } from '@/records/times';

type Step = () => unknown;

/** Of what a shoot can be asked, about this share is asked of each: of many, every question is asked often. */
const SHARE = 0.3;

const done = (steps: readonly Step[], chance: () => number): readonly unknown[] =>
  steps.filter(() => chance() < SHARE).map((step) => step());

const SWUNG = { rateError: 0.1, off: { turnDeg: 1, upDeg: -1 } };

const panned = (crossing: Crossing, picture: Pictured, shoot: Shoot, atMs: number): unknown => [
  [crossing.fromS, 0, crossing.toS].map(crossing.subjectAt),
  judgedPan(crossing, SWUNG, 1 / 60),
  swungScene(crossing, panPicture(shoot, picture, atMs, 1 / 60).scene, SWUNG).camera.aim,
];

/** What practice asks of a shoot. */
function practiceSteps(
  shoot: Shoot,
  picture: Pictured,
  atMs: number,
  chance: () => number,
): readonly Step[] {
  const { view } = picture;
  const hours = hoursOf(shoot);
  return [
    () => {
      const crossing = crossingOf(view);
      return crossing && panned(crossing, picture, shoot, atMs);
    },
    () => nextRungS(FIRST_PRACTICE, view),
    () =>
      (['name', 'hold'] as const).map((task) => questionOf(picture, task, [chance(), chance()])),
    () =>
      HAPPENINGS.map((what) => {
        const found = situationOf(shoot, picture, what, chance());
        return found && judgedStops(picture, found, found.start).offStops;
      }),
    () => EYE_TASKS.map((task) => eyeQuestion(shoot, picture, hours, task, chance)?.truth),
    () => momentsFor(view).map((kind) => happening(kind, view, chance()).movedAt(0.1)),
  ];
}

/** What the nine steps compute of a shoot at a moment, as their pages ask for it; some of it, by chance. */
export function someSteps(shoot: Shoot, chance: () => number): readonly unknown[] {
  const hours = hoursOf(shoot);
  const atMs = hours.fromMs + (hours.toMs - hours.fromMs) * chance();
  const clock = (ms: number) => clockOf(ms, shoot.place.timeZone);
  const sun = sunPosition({ time: atMs, ...shoot.place });
  const seen = viewOf(shoot);
  const weather = weatherOf(shoot);
  const stores = storesOf(shoot, weather.coldestC);
  const lines = dayLines(shoot, undefined);
  const frames = matchedFrames(shoot);
  const always: Step[] = [
    () => summaryOf(shoot),
    () => planExtent(planGround(shoot), shoot),
    () => eventsWithin(shoot.place, hours),
    () => cautionsOf(shoot),
    () => shoot.shots.map(shotInWords),
    () => shoot.people.map(personInWords),
    () => briefFormSchema.safeParse(formOf(shoot)).success && withBrief(shoot, formOf(shoot)),
    () => marksInSun(shoot, shoot.features, sun, atMs),
    () => ownShadowOn(chosenPosition(shoot), chosenMark(shoot), shoot.features, sun),
    () => [servedInWords(shotsServed(shoot)), ...shotsServed(shoot).map(shotServedInWords)],
    () => packingList(shoot, stores, weather, []),
    () => dayRequestOf(shoot),
    () => dayInWords(lines),
    () => nextCall(lines, shoot, atMs),
    () => visitsByHour(watchesWithSightings(shoot)),
    () => logRows(shoot, frames),
    () => deliveredOf(shoot, frames),
    () => lessonsFor(shoot, [shoot]),
    () => gridWalk(shoot),
  ];
  if (!seen.ok) return done(always, chance);
  const { view } = seen;
  const { choice, features } = shoot;
  const scene = sceneOf(view, features);
  const heard = heardOf(shoot);
  const along = alongSight(view, features, monthOf(atMs));
  const answer = answerAt(view, shoot, atMs);
  const { exposure, light } = answer;
  const { settings } = exposure;
  const stepS = Math.max(60, (hours.toMs - hours.fromMs) / 1000 / 12);
  const series: LightSeries = lightSeries({
    ...{ scene, heard, fromMs: hours.fromMs, toMs: hours.toMs, stepS },
  });
  const outlook = outlookOf(view, choice, series, hours);
  const request = cardRequest(view, choice, series, hours);
  const card = request && settingsCard(request);
  const two = twoBodies(shoot.kit, view);
  const shown: Step[] = [
    ...practiceSteps(shoot, picturedIn(shoot, view, answer, atMs), atMs, chance),
    () => closeExtent(view),
    () => planLight({ sky: shoot.light.sky, features, atMs }, { ...light, sun }),
    () => planSight(view, along),
    () => ballOf(view, answer),
    () => notesOf(view, exposure),
    () => answerSentences(view, exposure),
    () => settingsInWords(settings),
    () => stopsSentence(exposure, outlook, { clock, atMs, usableIso: view.body.iso.usable }),
    () => figuresOf(view, answer, along),
    () => sunInFigures(shoot.marks, []),
    () => {
      const against = behindOf(shoot, view, along, atMs);
      return against && behindInWords(against);
    },
    () => features.flatMap((f) => (f.kind === 'hide' ? seatsOf(shoot, f).map(seatInWords) : [])),
    () => {
      // A year of every owner's shade would be most of the time taken here: two are asked.
      const asked = shadeRequest(shoot, scene, view.position);
      return shadesOn({ ...asked, owners: asked.owners.slice(-2) });
    },
    () => sideView(view, features, monthOf(atMs)),
    () => facedScene(view, scene),
    () =>
      searchRequestOf(shoot, view, FIRST_WISH, atMs, {
        scope: { marks: 'all', hours: 'shoot', lenses: 'all' },
        hours,
      }),
    () => compareRequestOf(shoot, view, FIRST_WISH, atMs, hours),
    () => turningsOf(series),
    () => groundClicks(shoot, view, atMs, light.ev.expected),
    () =>
      owedShots(shoot, [], shotsServed(shoot), () => series, hours).map((owed) => [
        owedInWords(owed, clock),
        owedSign(owed),
      ]),
    () => Object.values(stepStates(shoot)).map((state) => stateInWords(state, clock)),
    () => card?.rows.map((row) => cardLine(row, clock)),
    () => card && cardNotes(card, clock),
    () => nextLight(card, series, atMs),
    () => motionSaid(view, settings),
    () => focusPlan(view, settings),
    () => focusZone(view, settings),
    () => panSwing(view),
    () => memorySlots(view, choice, light),
    () => two && [twoBodiesInWords(two), bodyRings(two, view)],
    () => features.map((feature) => effectsOf(feature, { view, answer }, atMs)),
    () =>
      shoot.events
        .slice(0, 4)
        .map((event) => viewFor(shoot, pictureOf(shoot, event), choice.positionId)),
  ];
  return done([...always, ...shown], chance);
}
