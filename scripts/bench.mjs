/**
 * How fast the core answers, and how much script a drag costs in the real browser. Ratios are
 * within this run, so that they mean the same on another machine. Figures: docs/performance.md.
 */
import { ensureBuild, ensurePackages, run } from './prepare.mjs';

ensurePackages();
ensureBuild();
run(process.execPath, ['--import', 'tsx', 'scripts/bench.ts', ...process.argv.slice(2)]);
