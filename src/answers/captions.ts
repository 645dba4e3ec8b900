import { inALine, eventTitle, heatTitle, dayOf } from '@/records/day-said';
import type { Caption, Captions } from '@/records/captions';
import type { DayEventRecord } from '@/records/day';
import { whoKey, type Who } from '@/records/frames';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import type { SubjectPreset } from '@/presets/subjects';
import { clockOf, localSecondOf, msOf } from '@/records/times';
import { filled } from './caption-pattern';
import { countedEntries } from './counted';
import type { MatchedFrame, Press, Stand } from './matched';
import { TAP_AFTER_MS, TAP_BEFORE_MS } from './put-to-event';

/** Names on pictures, and the words under them. */

type Named = Pick<Shoot, 'events' | 'people' | 'place' | 'log' | 'title' | 'marks' | 'subjects'>;

/** Someone who may be on a picture, with what they are known by. */
export interface Candidate {
  /** Of `who`, as {@link whoKey}. */
  readonly key: string;
  readonly who: Who;
  readonly name: string;
  readonly lane?: number;
  readonly number?: string;
  readonly team?: string;
  /** Something is owed of them. */
  readonly isOwed?: true;
}

const candidate = (
  who: Who,
  name: string,
  more: {
    lane?: number | undefined;
    number?: string | undefined;
    team?: string | undefined;
    isOwed?: boolean | undefined;
  },
): Candidate => ({
  ...{ key: whoKey(who), who, name },
  ...(more.lane !== undefined && { lane: more.lane }),
  ...(more.number && { number: more.number }),
  ...(more.team && { team: more.team }),
  ...(more.isOwed && { isOwed: true as const }),
});

/** Who starts in an event, by lanes; those of the brief where it names nobody. */
export function candidatesOf(
  { people }: Pick<Named, 'people'>,
  event: DayEventRecord | undefined,
): readonly Candidate[] {
  const known = new Map(people.map((person) => [person.id, person]));
  const started = (event?.entries ?? []).flatMap((entry) => {
    const person = entry.personId === undefined ? undefined : known.get(entry.personId);
    if (person?.scratched) return [];
    const who: Who = person ? { personId: person.id } : { name: entry.name };
    return [
      candidate(who, person?.name ?? entry.name, {
        lane: entry.lane ?? person?.lane,
        number: entry.number ?? person?.number,
        team: entry.team ?? person?.client,
        isOwed: (person?.owed?.length ?? 0) > 0,
      }),
    ];
  });
  if (started.length > 0) {
    return [...started].sort((a, b) => (a.lane ?? Infinity) - (b.lane ?? Infinity) || 0);
  }
  return people
    .filter(({ scratched }) => !scratched)
    .map(({ id, name, lane, number, client }) =>
      candidate({ personId: id }, name, { lane, number, team: client }),
    );
}

/** Taps that name people, with their moment, in order. */
export const namingTaps = (shoot: Pick<Shoot, 'log' | 'place'>) =>
  countedEntries(shoot).flatMap(({ entry, atMs }) => {
    const ids =
      entry.kind === 'keeper'
        ? (entry.personIds ?? [])
        : entry.kind === 'athlete' && entry.personId !== undefined
          ? [entry.personId]
          : [];
    return ids.length > 0 ? [{ atMs, ids }] : [];
  });

/** Who is on a press, and how that is known. */
export interface PressNamed {
  readonly who: readonly Who[];
  /** Said by hand, tapped in the field about then, the only one who starts, the only one owed who does; or not known. */
  readonly by: 'hand' | 'tap' | 'only' | 'owed' | 'nothing';
}

export function namedOn(
  { frames }: Press,
  taps: ReturnType<typeof namingTaps>,
  candidates: readonly Candidate[],
): PressNamed {
  const [first, last] = [frames[0], frames.at(-1)];
  if (first?.frame.who) return { who: first.frame.who, by: 'hand' };
  const about = taps.filter(
    ({ atMs }) =>
      atMs >= (first?.atMs ?? 0) - TAP_BEFORE_MS && atMs <= (last?.atMs ?? 0) + TAP_AFTER_MS,
  );
  const tapped = [...new Set(about.flatMap(({ ids }) => ids))].filter((id) =>
    candidates.some(({ key }) => key === whoKey({ personId: id })),
  );
  if (tapped.length > 0) return { who: tapped.map((personId) => ({ personId })), by: 'tap' };
  const [only, second] = candidates;
  if (only && !second && first?.event?.entries.length === 1) {
    return { who: [only.who], by: 'only' };
  }
  const [owed, other] = first?.event ? candidates.filter((one) => one.isOwed) : [];
  if (owed && !other) return { who: [owed.who], by: 'owed' };
  return { who: [], by: 'nothing' };
}

/** "Ada Finch (4, Westmere)": a name with what tells it from others. */
const withMarks = ({ name, number, team }: Candidate): string => {
  const marks = [number, team].filter(Boolean).join(', ');
  return marks ? `${name} (${marks})` : name;
};

/** A moment by the place's wall clock with its zone. */
export function zonedSecond(ms: number, timeZone: string): string {
  const local = localSecondOf(ms, timeZone);
  const aheadMin = Math.round((Date.parse(`${local}Z`) - ms) / 60_000);
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  const ahead = Math.abs(aheadMin);
  return `${local}${aheadMin < 0 ? '-' : '+'}${two(ahead / 60)}:${two(ahead % 60)}`;
}

/** Names that are not of the candidates: of people who were taken out of the event since. */
function whoIs(who: Who, candidates: readonly Candidate[], { people }: Pick<Named, 'people'>) {
  const found = candidates.find(({ key }) => key === whoKey(who));
  if (found) return [found];
  if (!('personId' in who)) return [candidate(who, who.name, {})];
  const person = people.find(({ id }) => id === who.personId);
  return person
    ? [candidate(who, person.name, { number: person.number, team: person.client })]
    : [];
}

/** What is said of those on a picture whose mark is not there any more. */
const PICTURED: SubjectPreset['does'] = ['is pictured', 'are pictured'];

/** What those on a picture do, by what is photographed where they are. */
function doesOf({ marks, subjects }: Pick<Named, 'marks' | 'subjects'>, { markId }: Stand) {
  const mark = marks.find(({ id }) => id === markId);
  return mark ? subjectOf({ subjects }, mark.subjectId).does : PICTURED;
}

/** The caption of one picture of a press. */
export function captionOf(
  shoot: Named,
  { frame, atMs, event, stand }: MatchedFrame,
  { who }: PressNamed,
  candidates: readonly Candidate[],
  { pattern, photographer, rights }: Pick<Captions, 'pattern' | 'photographer' | 'rights'>,
): Caption {
  const { timeZone } = shoot.place;
  const local = localSecondOf(atMs, timeZone);
  const people = who.flatMap((one) => whoIs(one, candidates, shoot));
  const distinct = (list: readonly (string | undefined)[]) => [
    ...new Set(list.filter((text): text is string => Boolean(text))),
  ];
  const names = people.map(({ name }) => name);
  const numbers = distinct(people.map(({ number }) => number));
  const teams = distinct(people.map(({ team }) => team));
  const title = event && eventTitle(event);
  const place = shoot.place.name ?? shoot.title;
  const fields = {
    who: inALine(people.map(withMarks)),
    names: inALine(names),
    number: numbers.join(', '),
    school: inALine(teams),
    event: title ?? '',
    eventAlone: event?.name ?? '',
    heat: event?.heat === undefined ? '' : heatTitle(event.heat),
    place,
    date: dayOf(local.slice(0, 16)),
    time: clockOf(atMs, timeZone),
    photographer,
    rights,
  };
  const text = filled(pattern, fields, people.length, doesOf(shoot, stand));
  return {
    ...{ file: frame.name, camera: frame.camera, text, names, numbers, teams, place },
    ...(title !== undefined && { event: title }),
    takenAt: zonedSecond(atMs, timeZone),
    ...(frame.rating !== undefined && frame.rating >= 0 && { stars: frame.rating }),
    ...(frame.rollDeg !== undefined && { rollDeg: frame.rollDeg }),
    ...{ photographer, rights },
  };
}

/** A press with who is on it, who may be, and the words that come of it. */
export interface CaptionedPress {
  readonly press: Press;
  readonly event: DayEventRecord | undefined;
  readonly candidates: readonly Candidate[];
  readonly named: PressNamed;
}

/** An event that is less likely than this is to be looked at. */
const SURE = 0.85;

/** What of a press is to be looked at: which event it is of, who is on it. */
export function doubtsOf({ press, named }: CaptionedPress): readonly ('event' | 'who')[] {
  const first = press.frames[0];
  const isUnsure = first !== undefined && !first.byHand && first.sure < SURE;
  const isOpen = named.by === 'nothing' || named.by === 'owed';
  return [...(isUnsure ? (['event'] as const) : []), ...(isOpen ? (['who'] as const) : [])];
}

/** Presses with those first that are to be looked at most. */
export const doubtfulFirst = (presses: readonly CaptionedPress[]): readonly CaptionedPress[] =>
  presses
    .map((one) => ({ one, doubts: doubtsOf(one).length, sure: one.press.frames[0]?.sure ?? 1 }))
    .sort((a, b) => b.doubts - a.doubts || (a.doubts > 0 ? a.sure - b.sure : 0))
    .map(({ one }) => one);

/** Every press, in order, with who is on it. */
export function captionedPresses(
  shoot: Named,
  presses: readonly Press[],
): readonly CaptionedPress[] {
  const taps = namingTaps(shoot);
  const byEvent = new Map<DayEventRecord | undefined, readonly Candidate[]>();
  return presses.map((press) => {
    const event = press.frames[0]?.event;
    const candidates = byEvent.get(event) ?? candidatesOf(shoot, event);
    byEvent.set(event, candidates);
    return { press, event, candidates, named: namedOn(press, taps, candidates) };
  });
}

/** The captions of presses, picture by picture. */
export const captionsOf = (
  shoot: Named,
  presses: readonly CaptionedPress[],
  how: Parameters<typeof captionOf>[4],
): readonly Caption[] =>
  presses.flatMap(({ press, named, candidates }) =>
    press.frames.map((frame) => captionOf(shoot, frame, named, candidates, how)),
  );

/** Events nearest to a press in time, the one it is put to first: what it may be of. */
export function eventsAbout(
  { events, place }: Pick<Shoot, 'events' | 'place'>,
  { press, event }: CaptionedPress,
  most: number,
): readonly DayEventRecord[] {
  const atMs = press.frames[0]?.atMs ?? 0;
  const offMs = ({ startLocal, durationMin }: DayEventRecord): number => {
    const fromMs = msOf(startLocal, place.timeZone);
    return Math.max(fromMs - atMs, atMs - fromMs - durationMin * 60_000, 0);
  };
  return [...events]
    .sort((a, b) => Number(b.id === event?.id) - Number(a.id === event?.id) || offMs(a) - offMs(b))
    .slice(0, most);
}

/** Pictures of one client, of those nobody is named on, or of whom no client is known. */
export interface ClientCaptions {
  /** None where no client is known. */
  readonly client?: string;
  readonly captions: readonly Caption[];
}

/** Captions by clients, in order of their names, those without one last. A picture of two clients is with both. */
export function byClient(captions: readonly Caption[]): readonly ClientCaptions[] {
  const clients = [...new Set(captions.flatMap(({ teams }) => teams))].sort((a, b) =>
    a.localeCompare(b),
  );
  const rest = captions.filter(({ teams }) => teams.length === 0);
  return [
    ...clients.map((client) => ({
      client,
      captions: captions.filter(({ teams }) => teams.includes(client)),
    })),
    ...(rest.length > 0 ? [{ captions: rest }] : []),
  ];
}
