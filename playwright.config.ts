import { defineConfig } from '@playwright/test'

const port = Number(process.env.E2E_PORT ?? 4179)

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/browser',
  fullyParallel: true,
  // A third would be quicker where nothing else runs, and late for what it waits for where something does.
  workers: 2,
  timeout: 150_000,
  // For a state, however long a busy machine takes to come to it.
  expect: { timeout: 45_000 },
  forbidOnly: true,
  // What needs a second try is a fault of the app or of the test.
  retries: 0,
  // Tests marked @long belong to `npm run test:long`.
  grepInvert: process.env.LONG ? undefined : /@long/,
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    // Kept files would outlive what a test says of the network; e2e/offline.spec.ts is about them.
    serviceWorkers: 'block',
    // Nothing glides: a colour half way to another is no colour of the app, and waiting for it is time lost.
    // Units, dates and money follow the browser; e2e/walk.spec.ts begins in another country.
    contextOptions: { reducedMotion: 'reduce', locale: 'en-GB' },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
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
    command: 'node dist-server/main.js',
    url: `http://localhost:${port}/my`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
})
