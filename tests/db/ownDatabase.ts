import { addressOf } from '../../bin/parts/databases.mjs';

// Tests that run beside one another work on databases of their own: copies, one a worker. A worker takes one file after the other, each
// with the settings that the worker began with.
const KEY = Symbol.for('tests.settings');
const keeper = globalThis as unknown as Record<symbol, NodeJS.ProcessEnv | undefined>;
const began = (keeper[KEY] ??= { ...process.env });
for (const name of Object.keys(process.env)) if (!(name in began)) delete process.env[name];
Object.assign(process.env, began);
const worker = process.env.VITEST_POOL_ID ?? '1';
process.env.DATABASE_URL = addressOf(process.env.DATABASE_URL!, `tests_${worker}`);
