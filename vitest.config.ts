import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'unit', include: ['src/**/*.test.ts', 'tests/rooms.test.ts'], environment: 'node' } },
      {
        test: {
          name: 'database',
          include: ['tests/db/**/*.test.ts'],
          environment: 'node',
          testTimeout: 60_000,
          hookTimeout: 120_000,
          fileParallelism: false,
          // All of it talks to one PostgreSQL and one market; a process each keeps their pools apart.
          pool: 'forks',
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
