/** TypeScript over the whole tree, with the route types a fresh clone lacks written first. */
import { run } from './prepare.mjs';

run('npx', ['expo', 'customize', 'tsconfig.json'], { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' });
run('npx', ['tsc', '--noEmit', '-p', '.']);
