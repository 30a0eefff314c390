import { defineConfig } from '@playwright/test'
import { chromiumPath } from './tests/support/chromium'

export default defineConfig({
  testDir: 'tests/browser',
  fullyParallel: true,
  // A test waits about as long as it works: three of them keep two cores busy.
  workers: 3,
  forbidOnly: Boolean(process.env.CI),
  // Guards against hanging, not limits: what may take how long is measured by the bench.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  globalSetup: './tests/browser/setup.ts',
  use: {
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: chromiumPath,
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
