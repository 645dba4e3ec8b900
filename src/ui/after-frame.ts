/**
 * Does something when the next frame has been drawn.
 * @returns what does it at once if it is not done yet, and what leaves it undone
 */
export function afterFrame(deed: () => void): {
  readonly now: () => void;
  readonly not: () => void;
} {
  const { port1, port2 } = new MessageChannel();
  const frame = requestAnimationFrame(() => port2.postMessage(undefined));
  let waits = true;
  const not = () => {
    waits = false;
    cancelAnimationFrame(frame);
    port1.close();
  };
  const now = () => {
    if (!waits) return;
    not();
    deed();
  };
  port1.onmessage = now;
  return { now, not };
}
