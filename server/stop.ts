import type { Server, ServerResponse } from 'node:http';

/** Whoever asks within this time after the word to stop is still answered. */
const GRACE_MS = 300;
const CLOSE_WITHIN_MS = 3000;

/**
 * Stops a server so that no line which asked in time is cut: for a moment it goes on answering, telling
 * each to ask no more on that line; then it takes no more, and waits for what is under way.
 */
export function stopped(server: Server): Promise<void> {
  server.prependListener('request', (_request, response: ServerResponse) => {
    response.shouldKeepAlive = false;
  });
  return new Promise((resolve) => {
    setTimeout(() => {
      server.close(() => resolve());
      setTimeout(() => server.closeAllConnections(), CLOSE_WITHIN_MS).unref();
    }, GRACE_MS);
  });
}
