import { defineConfig } from '@playwright/test'

/** Debian's Chromium on the PATH, without its calls to the outside. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.story.ts',
  outputDir: 'test-results',
  globalSetup: './e2e/support/make-demo.ts',
  fullyParallel: true,
  workers: 2,
  // Generous, since machines differ: a story that works ends long before, a broken one fails by its assertion.
  timeout: 240_000,
  expect: { timeout: 25_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    colorScheme: 'light',
    reducedMotion: 'reduce',
    launchOptions: {
      executablePath: process.env['SELIGO_CHROMIUM'] ?? '/usr/bin/chromium',
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
})
