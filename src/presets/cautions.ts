/**
 * Cautions to show where they apply. They are reminders: local rules, officials, land managers,
 * licences and qualified guides come first. Source: common practice unless named.
 */

/** Where a caution applies: it is shown when any of its tags fits the shoot. */
export type CautionTag =
  | 'fieldSport'
  | 'diamond'
  | 'throws'
  | 'track'
  | 'pool'
  | 'panning'
  | 'sun'
  | 'storm'
  | 'heat'
  | 'cold'
  | 'snow'
  | 'water'
  | 'ladder'
  | 'road'
  | 'field'
  | 'wildlife'
  | 'nest'
  | 'feeder'
  | 'flash'
  | 'children'
  | 'drone';

export interface Caution {
  readonly id: string;
  readonly tags: readonly CautionTag[];
  readonly text: string;
  readonly source: string;
}

const PRACTICE = 'common practice, no source';

export const CAUTIONS: readonly Caution[] = [
  {
    id: 'limit-lines',
    tags: ['fieldSport'],
    text: 'Keep behind the limit line and out of the coaching boxes. Officials say where you may work.',
    source: PRACTICE,
  },
  {
    id: 'line-drives',
    tags: ['diamond'],
    text: 'Foul balls and line drives injure. Keep your eyes on the ball, not on the screen, and stand behind wire where you can.',
    source: PRACTICE,
  },
  {
    id: 'throw-sectors',
    tags: ['throws'],
    text: 'Never stand in or beside a throwing sector. Stand behind the cage, or far off with a long lens, where the officials put you.',
    source: PRACTICE,
  },
  {
    id: 'relay-lane-one',
    tags: ['track'],
    text: 'Runners leave lane one wide after an exchange, and long jumpers run past the pit. Stay clear of both.',
    source: PRACTICE,
  },
  {
    id: 'poolside',
    tags: ['pool'],
    text: 'Wet floor and mains do not mix: no cables at the pool. Remotes only with the officials’ consent, and on a tether.',
    source: PRACTICE,
  },
  {
    id: 'panning-room',
    tags: ['panning'],
    text: 'Look round before you pan: a long lens swings further than you think, and the hood hits first.',
    source: PRACTICE,
  },
  {
    id: 'sun-in-finder',
    tags: ['sun'],
    text: 'Never look at or near the sun through an optical finder or a long lens.',
    source: PRACTICE,
  },
  {
    id: 'lightning',
    tags: ['storm'],
    text: 'Thunder heard: leave. Stay inside for 30 minutes after the last of it.',
    source: 'US National Weather Service',
  },
  {
    id: 'heat',
    tags: ['heat'],
    text: 'Drink before you are thirsty, cover up, and take your breaks in the shade.',
    source: PRACTICE,
  },
  {
    id: 'cold-hands',
    tags: ['cold'],
    text: 'Cold hands fumble and freeze. Thin gloves under warm ones; spare batteries next to the body.',
    source: PRACTICE,
  },
  {
    id: 'avalanche',
    tags: ['snow'],
    text: 'Off the piste: read the avalanche bulletin, have the training and a partner. No picture is worth the slope.',
    source: PRACTICE,
  },
  {
    id: 'waters-edge',
    tags: ['water'],
    text: 'Banks give way and tides come in. Know the water before you look through a finder beside it.',
    source: PRACTICE,
  },
  {
    id: 'ladders',
    tags: ['ladder'],
    text: 'Ladders and wired props need leave from the venue and someone at the foot.',
    source: PRACTICE,
  },
  {
    id: 'roads',
    tags: ['road'],
    text: 'Stay off the road and outside of bends. Marshals decide where one may stand.',
    source: PRACTICE,
  },
  {
    id: 'field-bites',
    tags: ['field'],
    text: 'Ticks, bites and height: know the basics for where you go, and tell somebody when you will be back.',
    source: PRACTICE,
  },
  {
    id: 'keep-distance',
    tags: ['wildlife'],
    text: 'Let behaviour set the distance: stop if it looks up, back off if it changes what it does. Keep to posted distances.',
    source: PRACTICE,
  },
  {
    id: 'park-distances',
    tags: ['wildlife'],
    text: 'In US national parks: 25 yards from wildlife, 100 yards from bears and wolves.',
    source: 'US National Park Service',
  },
  {
    id: 'nests',
    tags: ['nest'],
    text: 'Stay away from nests, dens and roosts. The law may ask for a licence. No playback to lure.',
    source: PRACTICE,
  },
  {
    id: 'feeders',
    tags: ['feeder'],
    text: 'Keep feeders clean, and filled all winter once begun.',
    source: PRACTICE,
  },
  {
    id: 'no-flash',
    tags: ['flash', 'wildlife'],
    text: 'No flash where it is banned, nor at animals or at athletes in action.',
    source: PRACTICE,
  },
  {
    id: 'children',
    tags: ['children'],
    text: 'Pictures of children need consent, and the club’s safeguarding officer decides what that means.',
    source: PRACTICE,
  },
  {
    id: 'drones',
    tags: ['drone'],
    text: 'Drones only where law and venue both allow.',
    source: PRACTICE,
  },
];

/** Cautions for any of the tags, in their own order. */
export const cautionsFor = (tags: readonly CautionTag[]): readonly Caution[] =>
  CAUTIONS.filter((caution) => caution.tags.some((tag) => tags.includes(tag)));
