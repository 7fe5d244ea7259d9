import { defineConfig } from '@playwright/test';

const port = 4399;

/** Drives the built product in Debian's Chromium; `CHROME_BIN` names another one. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  // A busy machine takes its time; what never comes is found all the same.
  expect: { timeout: 10_000 },
  fullyParallel: true,
  // What passes at the second try is named at the end of `npm test`, so that it is mended and not forgotten.
  retries: 1,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    baseURL: `http://localhost:${port}`,
    // What is installed is tried in a test of its own; elsewhere it would be fetched for every page.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  webServer: {
    command: 'node dist/server/main.mjs',
    // The name by which a test reaches it as another device would.
    env: { PORT: String(port), ALLOW_HOST: 'tower.example' },
    url: `http://localhost:${port}`,
    reuseExistingServer: false,
  },
});
