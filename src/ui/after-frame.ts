/**
 * Does something when the next frame has been drawn.
 * @returns what leaves it undone
 */
export function afterFrame(deed: () => void): () => void {
  const { port1, port2 } = new MessageChannel();
  const frame = requestAnimationFrame(() => port2.postMessage(undefined));
  const end = () => {
    cancelAnimationFrame(frame);
    port1.close();
  };
  port1.onmessage = () => {
    end();
    deed();
  };
  return end;
}
