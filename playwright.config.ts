import { defineConfig } from '@playwright/test'

/** Debian's Chromium on the PATH, without its calls to the outside. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.story.ts',
  outputDir: 'test-results',
  globalSetup: './e2e/support/make-demo.ts',
  fullyParallel: true,
  workers: 2,
  // A wait ends after 30 seconds, a story after 180: a busy machine is no fault of the product.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: {
    actionTimeout: 30_000,
    navigationTimeout: 30_000,
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
