import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { createHash } from 'node:crypto';
import { scriptsAhead } from './bin/parts/scriptsAhead.mjs';
import { THEME_SCRIPT } from './src/layouts/themeScript.ts';
import { WORKER_SCRIPT } from './src/views/shared/worker/workerScript.ts';

const hashOf = (script) => `sha256-${createHash('sha256').update(script).digest('base64')}`;

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  // Signed-in state is never kept in the framework's session store.
  session: { driver: 'memory' },
  // Our own middleware checks Host and Origin on every request, JSON and file uploads included.
  security: { checkOrigin: false, allowedDomains: [{ hostname: '127.0.0.1' }, { hostname: 'localhost' }] },
  // The guide's pictures are served as they are.
  image: { service: { entrypoint: './src/layouts/plainImages.ts' } },
  devToolbar: { enabled: false },
  // Hashes of the scripts that this build writes into pages; the middleware takes the policy for scripts from here.
  experimental: {
    csp: { algorithm: 'SHA-256', scriptDirective: { hashes: [hashOf(THEME_SCRIPT), hashOf(WORKER_SCRIPT)] } },
  },
  vite: {
    plugins: [scriptsAhead()],
    worker: { format: 'es' },
    build: { assetsInlineLimit: 0 },
    optimizeDeps: { include: ['@emotion/react', '@emotion/styled', '@mui/material/styles'] },
  },
});
