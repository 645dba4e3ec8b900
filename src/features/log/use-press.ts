import type { Candidate } from '@/answers/captions';
import { useEdits } from '@/features/shoot/open-shoot';
import { withEvent, withPicked, withWho } from '@/records/edit-log';
import { whoKey, type Who } from '@/records/frames';
import type { Names } from './use-names';

/** What can be said of the press looked at; it holds for all presses taken together with it. */
export function usePress(names: Names) {
  const { update } = useEdits();
  const { captioned: all, at, from, to, go, together, isTogether } = names;
  const captioned = all[at];
  const frames = captioned?.press.frames ?? [];
  const who = captioned?.named.who ?? [];
  const taken = all.slice(from, to + 1).flatMap((one) => one.press.frames);
  const keys = new Set(taken.map(({ key }) => key));
  const kept = frames.every((frame) => frame.kept);
  const before = all[from - 1];
  const say = (next: readonly Who[]) => update((current) => withWho(current, keys, next));
  const isOn = ({ key }: Candidate) => who.some((one) => whoKey(one) === key);
  /** On or back: of presses taken together, past them. */
  const goOn = (by: 1 | -1) => {
    together(false);
    go(by > 0 ? to + 1 : from - 1);
  };
  return {
    ...{ captioned, before, taken, kept, isOn, say, goOn },
    step: (by: 1 | -1) => (isTogether ? go(at + by) : goOn(by)),
    toggle: (one: Candidate) =>
      say(isOn(one) ? who.filter((other) => whoKey(other) !== one.key) : [...who, one.who]),
    asBefore: () => {
      if (!before) return;
      say(before.named.who);
      goOn(1);
    },
    soItIs: () => {
      const eventId = captioned?.event?.id ?? null;
      // Where nobody is known yet, it is the event that is right.
      const isNamed = captioned?.named.by !== 'nothing';
      update((current) => {
        const put = withEvent(current, keys, eventId);
        return isNamed ? withWho(put, keys, who) : put;
      });
      goOn(1);
    },
    toEvent: (id: string | null) => update((current) => withEvent(current, keys, id)),
    keep: () => update((current) => withPicked(current, keys, !kept)),
  };
}
