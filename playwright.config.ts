import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS } from './tests/chromiumFlags.mjs';

export default defineConfig({
  testDir: 'tests/browser',
  // Each worker has an application, a market and a database of its own.
  workers: 2,
  timeout: 240_000,
  // Generous: a test tells whether something happens, never how quickly; machines are noisy.
  expect: { timeout: 45_000 },
  outputDir: 'test-results',
  reporter: [
    ['line'],
    ['json', { outputFile: process.env.MOWING_BROWSER_REPORT ?? 'test-results/browser.json' }],
  ],
  use: {
    // Each worker keeps one browser's store of scripts; what a test leaves in cookies and storage is wiped before the next.
    reuseContext: true,
    baseURL: process.env[`MOWING_URL_${process.env.TEST_PARALLEL_INDEX ?? 0}`] ?? process.env.MOWING_URL,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.MOWING_CHROMIUM ?? '/usr/bin/chromium',
      args: CHROMIUM_FLAGS,
    },
  },
});
