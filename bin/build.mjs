import { ensureBuild } from './parts/build.mjs';
import { ensurePackages } from './parts/packages.mjs';
import { fail } from './parts/say.mjs';

ensurePackages().then(ensureBuild).catch(fail);
