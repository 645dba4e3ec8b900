import type { Express } from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';

const MOST_TRIES = 20;

function listenOn(app: Express, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port);
    server.once('listening', () => resolve(server));
    server.once('error', reject);
  });
}

const isTaken = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'code' in error && error.code === 'EADDRINUSE';

/**
 * Listens on a port, or on the next free one after it; `say` is told of each that is taken.
 * @throws the system's error for anything but a taken port, or after twenty taken ones
 */
export async function listenOnFreePort(
  app: Express,
  firstPort: number,
  say: (message: string) => void,
): Promise<{ readonly server: Server; readonly port: number }> {
  for (let port = firstPort; ; port += 1) {
    try {
      const server = await listenOn(app, port);
      return { server, port: (server.address() as AddressInfo).port };
    } catch (error) {
      if (!isTaken(error) || port - firstPort >= MOST_TRIES) throw error;
      say(`Port ${port} is taken by another program; trying ${port + 1}.`);
    }
  }
}
