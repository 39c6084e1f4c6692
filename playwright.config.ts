import { defineConfig } from '@playwright/test';

const PORT = 4391;

export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '*.e2e.ts',
  workers: 2,
  // Long enough for a busy machine to stall: waiting is not what is tested.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  outputDir: 'test-results/browser',
  use: {
    baseURL: `http://localhost:${String(PORT)}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node server.mjs',
    env: { PORT: String(PORT) },
    url: `http://localhost:${String(PORT)}/`,
    reuseExistingServer: false,
  },
});
