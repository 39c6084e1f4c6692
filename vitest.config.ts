import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['tests/**/*.test.ts'],
    exclude: ['tests/e2e/**', 'node_modules/**'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // An ES module that does not call itself one.
    alias: { '@kanru/rage-wasm': '@kanru/rage-wasm/dist/index.js' },
    server: { deps: { inline: ['@kanru/rage-wasm'] } },
  },
});
