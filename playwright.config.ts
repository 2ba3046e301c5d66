import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  timeout: 300_000,
  expect: { timeout: 45_000 },
  // Files stand beside one another, the tests of one in their order. Four of them on two cores were no faster.
  workers: 2,
  fullyParallel: false,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: process.env.BRICOLE_URL ?? 'http://127.0.0.1:3000',
    viewport: { width: 1280, height: 800 },
    timezoneId: 'America/New_York',
    locale: 'en-US',
    screenshot: 'off',
    trace: 'off',
    launchOptions: {
      // Debian's Chromium without its windows: a sixth less work for two cores.
      executablePath: '/usr/bin/chromium-headless-shell',
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
});
