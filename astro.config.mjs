import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

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
  vite: {
    worker: { format: 'es' },
    build: { assetsInlineLimit: 0 },
    optimizeDeps: { include: ['@emotion/react', '@emotion/styled', '@mui/material/styles'] },
  },
});
