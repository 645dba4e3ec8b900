import path from 'node:path';
import { createApp } from './app';
import { listenOnFreePort } from './listen';
import { readPlaces } from './places';
import { stopped } from './stop';

const DEFAULT_PORT = 8740;

const wanted = Number(process.env.PORT ?? DEFAULT_PORT);
if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65535) {
  console.error(`PORT ${process.env.PORT}: must be a whole number from 0 to 65535`);
  process.exit(2);
}

async function main(): Promise<void> {
  const root = path.resolve(__dirname, '..');
  const findPlaces = readPlaces(path.join(root, 'build/places'));
  const app = createApp(path.join(root, 'dist'), findPlaces);
  const { server, port } = await listenOnFreePort(app, wanted, console.log);
  console.log(`Bright Perch is at http://localhost:${port}`);

  const stop = () => {
    console.log('Stopping.');
    void stopped(server).then(() => process.exit(0));
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
