/** A ladder of rungs, easy to hard, climbed by tries: down it when a rung is sure, back when it is not. */

/** A rung is sure with this many of the last good, and too hard with this many or fewer. No source. */
const LAST = 5;
const SURE = 4;
const TOO_HARD = 1;

/**
 * The rung to try next.
 * @param tries which rung each was on, and whether it came out; in order
 * @param rungs how many there are, the easiest being 0
 */
export function rungAfter(
  tries: readonly { readonly rung: number; readonly good: boolean }[],
  rungs: number,
): number {
  let at = 0;
  let here: boolean[] = [];
  for (const { rung, good } of tries) {
    if (rung !== at) {
      // Another was chosen by hand: from there on.
      at = rung;
      here = [];
    }
    here.push(good);
    const last = here.slice(-LAST);
    const goods = last.filter(Boolean).length;
    if (last.length < LAST) continue;
    if (goods >= SURE && at < rungs - 1) [at, here] = [at + 1, []];
    else if (goods <= TOO_HARD && at > 0) [at, here] = [at - 1, []];
  }
  return at;
}
