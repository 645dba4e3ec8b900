import { ensureBuild, ensurePackages } from './prepare.mjs';

ensurePackages();
ensureBuild();
