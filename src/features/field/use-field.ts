import { withShot } from '@/answers/choose-shot';
import { evSaid } from '@/answers/heard';
import type { DayLine } from '@/features/shoot/day-lines';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { lookedInWords } from '@/features/shoot/words';
import { readingAt } from '@/features/shoot/use-readings';
import { memorySlots, type Slot } from '@/features/shoot/slots';
import {
  isLogFull,
  openWatch,
  watchBegun,
  watchedUntil,
  watchEnded,
  withLogged,
  withoutLogged,
} from '@/records/edit-log';
import type { LogEntry } from '@/records/log';
import { newId } from '@/records/new-id';
import { useShootActions } from '@/records/queries';
import { MOST_READINGS } from '@/records/reading';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, localSecondOf } from '@/records/times';
import { useToast } from '@/ui/Toast';
import { asPlanned } from './as-planned';
import { useFieldTime } from './use-field-time';

export type Seen = Extract<Plan['seen'], { ok: true }>;

/** Each kind's own part of an entry: when, where and for which shot it was made is added. */
type Told<K extends LogEntry['kind'] = LogEntry['kind']> = K extends unknown
  ? Omit<
      Extract<LogEntry, { kind: K }>,
      'id' | 'atLocal' | 'rehearsed' | 'markId' | 'positionId' | 'shotId'
    >
  : never;

/** The plan is not followed: one is somewhere else, or at something else. */
const elsewhere = (shoot: Shoot): Shoot => ({
  ...shoot,
  choice: { ...shoot.choice, elsewhere: true },
});

const planned = (shoot: Shoot): Shoot => {
  const { elsewhere: _away, ...choice } = shoot.choice;
  return { ...shoot, choice };
};

/** What stands in a memory slot at this view, or nothing when the shot's own settings count. */
export function slotOf(seen: Seen, choice: Shoot['choice']): Slot | undefined {
  if (!choice.slot) return undefined;
  return memorySlots(seen.view, choice, seen.answer.light).find(({ id }) => id === choice.slot);
}

/** All that one thumb does in the field. Each press is written before the next can come. */
export function useField() {
  const { shoot, atMs } = useShown('shoot', 'atMs');
  const { update } = useEdits();
  const { keepNow } = useShootActions();
  const { live } = useFieldTime();
  const tell = useToast();
  const say = (message: Parameters<typeof tell>[0]) => tell({ ...message, high: true });
  const { timeZone } = shoot.place;
  // In a rehearsal the minute looked at stands for the clock.
  const momentMs = () => (live ? Date.now() : atMs);

  const about = ({ choice }: Shoot, momentOf: number) => ({
    id: newId(),
    atLocal: localSecondOf(momentOf, timeZone),
    ...(live ? {} : { rehearsed: true as const }),
    markId: choice.markId,
    positionId: choice.positionId,
    ...(choice.shotId !== undefined && { shotId: choice.shotId }),
  });

  const change = (how: (current: Shoot) => Shoot) => {
    update(how);
    keepNow();
  };

  const log = (told: Told, words: string) => {
    if (isLogFull(shoot)) {
      say({ text: 'The log of this shoot is full. Export it from Log, then take entries away.' });
      return;
    }
    const at = momentMs();
    const entry = { ...about(shoot, at), ...told } as LogEntry;
    const minute = localMinuteOf(at, timeZone);
    change((current) => {
      const logged = withLogged(current, entry);
      return live && told.kind === 'sighting' ? watchedUntil(logged, minute) : logged;
    });
    say({
      text: words,
      action: { label: 'Undo', onPress: () => change((now) => withoutLogged(now, entry.id)) },
    });
  };

  /** A switch of what is worked on, or from where, is logged: pictures are told apart by it. */
  const stand = (how: (current: Shoot) => Shoot) =>
    change((current) => {
      const next = how(current);
      if (isLogFull(next)) return next;
      return withLogged(next, { ...about(next, momentMs()), kind: 'stand' });
    });

  return {
    log,
    takeShot: (id: string) =>
      stand((current) =>
        elsewhere(
          withShot(
            current,
            current.shots.find((shot) => shot.id === id),
          ),
        ),
      ),
    standAt: (positionId: string) =>
      stand((current) => elsewhere({ ...current, choice: { ...current.choice, positionId } })),
    /** Where the plan has one now: mark, shot and place are its own. */
    standAsPlanned: (line: DayLine) => stand((current) => asPlanned(current, line)),
    /** The lens that the plan has for where one is. */
    takeLens: (line: DayLine) => change((current) => asPlanned(current, line)),
    /** Not where the plan has one, or back to it. */
    setElsewhere: (away: boolean) =>
      change((current) => (away ? elsewhere(current) : planned(current))),
    takeSlot: (slot: Shoot['choice']['slot']) =>
      change((current) => {
        const { slot: _before, ...choice } = current.choice;
        return { ...current, choice: slot ? { ...choice, slot } : choice };
      }),
    /** A frame judged on the screen: it says how bright the light is. */
    looked: (seen: Seen, looksDarkStops: number) => {
      if (shoot.readings.length >= MOST_READINGS) {
        say({ text: `${MOST_READINGS} readings are kept at most: take old ones away in Light.` });
        return;
      }
      const {
        shutterS,
        aperture,
        iso,
        filterStops = 0,
      } = slotOf(seen, shoot.choice)?.settings ?? seen.answer.exposure.settings;
      const lostStops = filterStops + seen.view.lossStops;
      const { mark } = seen.view;
      const reading = readingAt(seen.view, mark.name, mark, localMinuteOf(momentMs(), timeZone), {
        by: 'frame',
        frame: {
          ...{ shutterS, aperture, iso, looksDarkStops },
          ...(lostStops > 0 && { lostStops }),
        },
        // Rehearsed, it is no reading of any light.
        simulated: !live,
      });
      change((current) => ({ ...current, readings: [...current.readings, reading] }));
      say({
        text: `Looked ${lookedInWords(looksDarkStops)}: EV ${evSaid(reading).toFixed(1)} on the face`,
        action: {
          label: 'Undo',
          onPress: () =>
            change((now) => ({
              ...now,
              readings: now.readings.filter(({ id }) => id !== reading.id),
            })),
        },
      });
    },
    watching: openWatch(shoot),
    watch: (markId: string) => {
      const minute = localMinuteOf(momentMs(), timeZone);
      change((current) => watchBegun(current, newId(), markId, minute));
    },
    endWatch: () => {
      const minute = localMinuteOf(momentMs(), timeZone);
      change((current) => watchEnded(current, minute));
      say({ text: 'The hours watched are in the log' });
    },
  };
}
