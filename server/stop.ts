import type { Server, ServerResponse } from 'node:http';

/** A line that asks before this many turns went by without a question is still answered. */
const QUIET_TURNS = 10;
const TURN_MS = 30;
const CLOSE_WITHIN_MS = 3000;

/**
 * Stops a server so that no line which asked in time is cut: until nobody has asked for a while it goes
 * on answering, telling each to ask no more on that line; then it takes no more, and waits for what is
 * under way. The quiet is counted in turns, not by the clock: a machine too busy to hear a question has
 * not been quiet.
 */
export function stopped(server: Server): Promise<void> {
  let quietTurns = 0;
  server.prependListener('request', (_request, response: ServerResponse) => {
    response.shouldKeepAlive = false;
    quietTurns = 0;
  });
  return new Promise((resolve) => {
    const until = Date.now() + CLOSE_WITHIN_MS;
    const turns = setInterval(() => {
      quietTurns += 1;
      if (quietTurns < QUIET_TURNS && Date.now() < until) return;
      clearInterval(turns);
      server.close(() => resolve());
      setTimeout(() => server.closeAllConnections(), CLOSE_WITHIN_MS).unref();
    }, TURN_MS);
  });
}
