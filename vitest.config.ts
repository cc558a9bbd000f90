import { defineConfig } from 'vitest/config';
import { SlowFirst } from './tests/slowFirst';

export default defineConfig({
  test: {
    maxWorkers: 2,
    sequence: { sequencer: SlowFirst },
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/rooms.test.ts'],
          environment: 'node',
          testTimeout: 90_000,
          // What is tested alone keeps nothing: each worker takes its modules in once, not once a file.
          isolate: false,
        },
      },
      {
        test: {
          name: 'component',
          include: ['src/**/*.test.tsx'],
          environment: 'happy-dom',
          // A machine that is busy with other things may take its time.
          testTimeout: 90_000,
          setupFiles: ['tests/componentSetup.ts'],
          isolate: false,
        },
      },
      {
        test: {
          name: 'database',
          include: ['tests/db/**/*.test.ts'],
          environment: 'node',
          // A limit ends what hangs; it says nothing of how quick a thing is. Machines are busy with other things.
          testTimeout: 180_000,
          hookTimeout: 240_000,
          // A process each keeps their pools apart, and each worker has a database of its own. What is taken in stays: the server's modules
          // take longer to come than most files to run.
          pool: 'forks',
          isolate: false,
          setupFiles: ['tests/db/ownDatabase.ts'],
        },
      },
      {
        test: {
          name: 'start',
          include: ['tests/start/**/*.test.ts'],
          environment: 'node',
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
