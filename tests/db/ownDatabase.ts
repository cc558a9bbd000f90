import { addressOf } from '../../bin/parts/databases.mjs';

// Tests that run beside one another work on databases of their own: copies, one a worker.
const worker = process.env.VITEST_POOL_ID ?? '1';
process.env.DATABASE_URL = addressOf(process.env.DATABASE_URL!, `tests_${worker}`);
