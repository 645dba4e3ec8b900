import type { CaptionedPress, Candidate } from '@/answers/captions';
import { useEdits } from '@/features/shoot/open-shoot';
import { whoSaid, withEvent, withPicked, withWho } from '@/records/edit-log';
import { whoKey, type Who } from '@/records/frames';
import type { Shoot } from '@/records/shoot';
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
  /** Who is on a press by the record as it then is: thumbs and keys are faster than what is drawn. */
  const whoOn = (shoot: Shoot, one: CaptionedPress): readonly Who[] =>
    whoSaid(shoot, one.press.frames[0]?.key ?? '') ?? one.named.who;
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
    toggle: (one: Candidate) => {
      if (!captioned) return;
      update((current) => {
        const now = whoOn(current, captioned);
        const others = now.filter((other) => whoKey(other) !== one.key);
        return withWho(current, keys, others.length < now.length ? others : [...now, one.who]);
      });
    },
    asBefore: () => {
      if (!before) return;
      update((current) => withWho(current, keys, whoOn(current, before)));
      goOn(1);
    },
    soItIs: () => {
      const eventId = captioned?.event?.id ?? null;
      // Where nobody is known yet, it is the event that is right.
      const isNamed = captioned?.named.by !== 'nothing';
      update((current) => {
        const put = withEvent(current, keys, eventId);
        const on = captioned ? whoOn(current, captioned) : [];
        return isNamed || on.length > 0 ? withWho(put, keys, on) : put;
      });
      goOn(1);
    },
    toEvent: (id: string | null) => update((current) => withEvent(current, keys, id)),
    keep: () => update((current) => withPicked(current, keys, !kept)),
  };
}
