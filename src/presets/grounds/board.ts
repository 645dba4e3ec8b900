/** Grounds in the groups people look for them in, with the words they use. Common practice, no source. */
export interface GroundGroup {
  readonly name: string;
  readonly kinds: readonly GroundKind[];
}

export interface GroundKind {
  /** Id of the ground's template. */
  readonly id: string;
  /** In as few words as a tile has room for. */
  readonly short: string;
  /** What else it is called, and what is photographed there. */
  readonly words: string;
  /** When it usually is. */
  readonly hours: UsualHours;
}

/** Evenings and afternoons of games, the first hours of light of animals, the middle of the day. */
export type UsualHours = 'game' | 'dawn' | 'daylight';

const kind = (
  id: string,
  short: string,
  words: string,
  hours: UsualHours = 'game',
): GroundKind => ({
  ...{ id, short, words, hours },
});

export const GROUND_GROUPS: readonly GroundGroup[] = [
  {
    name: 'Field and court',
    kinds: [
      kind('association-pitch', 'Football (soccer)', 'soccer association futbol fussball goal'),
      kind(
        'gridiron-nfhs',
        'Gridiron, high school',
        'american football friday night nfhs end zone',
      ),
      kind('gridiron-ncaa', 'Gridiron, college', 'american football ncaa end zone'),
      kind('field-hockey', 'Field hockey', 'hockey stick penalty corner turf'),
      kind('rugby-field', 'Rugby', 'rugby union league try scrum line-out'),
      kind('lacrosse-field', 'Lacrosse', 'lacrosse lax crease'),
      kind('baseball-high-school', 'Baseball, high school', 'baseball diamond ball pitcher batter'),
      kind('baseball-ncaa', 'Baseball, college', 'baseball diamond ball pitcher batter ncaa'),
      kind('baseball-little-league', 'Baseball, Little League', 'baseball youth kids diamond'),
      kind('softball-high-school', 'Softball', 'softball fastpitch college high school diamond'),
      kind('softball-little-league', 'Softball, Little League', 'softball youth kids diamond'),
      kind('basketball-nfhs', 'Basketball, high school', 'basketball hoops gym indoor court'),
      kind('basketball-ncaa', 'Basketball, college', 'basketball hoops gym indoor court ncaa'),
      kind(
        'basketball-fiba',
        'Basketball, FIBA',
        'basketball hoops hall indoor court international',
      ),
      kind('volleyball-court', 'Volleyball', 'volleyball gym indoor hall net'),
      kind('beach-volleyball-court', 'Beach volleyball', 'beach volleyball sand net', 'daylight'),
      kind('tennis-court', 'Tennis', 'tennis court serve racket', 'daylight'),
      kind('ice-rink', 'Ice hockey', 'ice hockey rink puck skating'),
    ],
  },
  {
    name: 'Track, water, road, snow',
    kinds: [
      kind(
        'athletics-track',
        'Track and field',
        'athletics track meet running sprint hurdles high jump long jump discus throws relay',
        'daylight',
      ),
      kind('pool-50', 'Pool, 50 m', 'swimming swim meet pool freestyle breaststroke', 'daylight'),
      kind('pool-25', 'Pool, 25 m', 'swimming swim meet pool freestyle breaststroke', 'daylight'),
      kind('sprint-course', 'Rowing and canoe', 'rowing regatta canoe kayak boat lake', 'daylight'),
      kind('road-bend', 'Road race', 'road race cycling bike running marathon car', 'daylight'),
      kind(
        'trail-run',
        'Trail run',
        'trail run fell mountain running cross country ultra',
        'daylight',
      ),
      kind('ski-slope', 'Ski turn', 'ski skiing slalom snow snowboard slope', 'daylight'),
      kind('climbing-wall', 'Climbing wall', 'climbing bouldering wall indoor'),
      kind('skate-hall', 'Skate hall', 'skate skateboard bmx scooter ramp hall indoor windows'),
      kind('skate-spot', 'Skate spot', 'skate skateboard bmx scooter ramp rail', 'daylight'),
    ],
  },
  {
    name: 'Wildlife',
    kinds: [
      kind('feeder-garden', 'Garden feeder', 'feeder garden birds tit finch robin window', 'dawn'),
      kind('river-hide', 'River or shore hide', 'hide blind kingfisher heron wader shore', 'dawn'),
      kind('reed-edge', 'Reed edge', 'reed heron bittern grebe water edge wader', 'dawn'),
      kind('singing-path', 'Singing bushes', 'wren warbler song bush path walk bird', 'dawn'),
      kind('animal-clearing', 'Large animal', 'deer stag elk moose boar hare clearing rut', 'dawn'),
      kind('singing-hedge', 'Singing bird', 'wren warbler song hedge bush path bird', 'dawn'),
      kind('forest-clearing', 'Forest clearing', 'forest wood tower bird fruit tree', 'dawn'),
      kind(
        'butterfly-meadow',
        'Butterflies',
        'butterfly dragonfly insect macro meadow flower',
        'dawn',
      ),
    ],
  },
  {
    name: 'Anything else',
    kinds: [
      kind('blank', 'Blank ground', 'walk portrait anything else other own empty', 'daylight'),
    ],
  },
];

export const GROUND_KINDS: readonly GroundKind[] = GROUND_GROUPS.flatMap(({ kinds }) => kinds);

/** @throws RangeError for an id there is none of */
export function kindOf(id: string): GroundKind {
  const found = GROUND_KINDS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`template ${id}: stands in no group of grounds`);
  return found;
}
