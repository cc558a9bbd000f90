import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      { test: { name: 'unit', include: ['src/**/*.test.ts', 'tests/rooms.test.ts'], environment: 'node' } },
      {
        test: {
          name: 'component',
          include: ['src/**/*.test.tsx'],
          environment: 'happy-dom',
          setupFiles: ['tests/componentSetup.ts'],
        },
      },
      {
        test: {
          name: 'database',
          include: ['tests/db/**/*.test.ts'],
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 120_000,
          // A process each keeps their pools apart, and each worker has a database of its own.
          pool: 'forks',
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
