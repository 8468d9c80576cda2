/** The built app with the demo garden, on a free port, and a browser to look at it with. */
import { spawn } from 'node:child_process'
import { ensureBuilt, ensureChromium, ensureInstalled, freePort } from './setup.mjs'

/** Sets up what is missing, starts both and answers when they are ready; ends the process where there is no browser. */
export async function demoServer() {
  ensureInstalled()
  ensureBuilt()
  const executablePath = ensureChromium()
  if (!executablePath) process.exit(1)
  const { chromium } = await import('@playwright/test')
  const port = freePort()
  const server = spawn(process.execPath, ['dist-server/main.js', '--demo'], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((ready) => server.stdout.once('data', ready))
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
  return { server, browser, port }
}

/** Pages of a context with every heading open, as on the device of whoever opened them all. */
export const unfolded = (context) =>
  context.addInitScript(() => localStorage.setItem('open-bed-folds', JSON.stringify({ '*': true })))
