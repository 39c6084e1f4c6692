import { defineConfig, passthroughImageService } from 'astro/config';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { finishBuild } from './scripts/finishBuild.mjs';

export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), finishBuild()],
  trailingSlash: 'never',
  build: { inlineStylesheets: 'never' },
  image: { service: passthroughImageService() },
  devToolbar: { enabled: false },
  // The endpoints take JSON only and answer without credentials; see src/server.
  security: { checkOrigin: false },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: 'es' },
    build: {
      rollupOptions: {
        output: {
          // The helper of lazy imports stands alone: it would carry the poses to every page.
          manualChunks: (id) => (id.includes('vite/preload-helper') ? 'preload' : undefined),
        },
      },
    },
  },
});
