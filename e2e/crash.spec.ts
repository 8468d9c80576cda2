import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect as plain, test as bare, type Page } from '@playwright/test'
import { addMaterial, expect, openGarden, saved, startJob, station } from './support'

/** Pages killed: each takes some seconds, so the usual run makes do with a few. KILLS=45 gives them all. */
const KILLS = Number(process.env.KILLS ?? 6)

/** A repeatable source of moments. */
function moments(seed: number) {
  let a = seed
  return () => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0
    return 310 + (a / 2 ** 32) * 500
  }
}

async function editAndRead(page: Page, i: number) {
  await page.getByLabel('Name of this job').fill(`edit ${i}`)
  await page.getByRole('button', { name: 'A whole part more Pumice' }).click()
  return { name: `edit ${i}`, parts: await page.locator('.stepper output').first().textContent() }
}
const expectKept = async (page: Page, kept: { name: string; parts: string | null }) => {
  await plain(page.getByLabel('Name of this job')).toHaveValue(kept.name)
  await plain(page.locator('.stepper output').first()).toHaveText(kept.parts!)
}

// Not the quiet test: a page that is shot down mid-sentence has reason to complain.
bare(
  `a page killed ${KILLS} times, a third of a second or more after an edit, loses nothing`,
  async ({ context, page: first }) => {
    bare.setTimeout(60_000 + KILLS * 6_000)
    await openGarden(first)
    await startJob(first, 'Fabric bag')
    await station(first, 'Mix')
    await addMaterial(first, 'pumice')
    await saved(first)
    const url = first.url()
    const next = moments(1)
    let page = first
    for (let i = 0; i < KILLS; i++) {
      const kept = await editAndRead(page, i)
      await page.waitForTimeout(next())
      if (i % 3 !== 0) await page.close({ runBeforeUnload: false })
      else {
        // The renderer dies on the spot: no handler of the page runs.
        const session = await context.newCDPSession(page)
        const dead = page.waitForEvent('crash')
        void session.send('Page.crash').catch(() => undefined)
        await dead
        await page.close()
      }
      page = await context.newPage()
      await page.goto(url)
      await expectKept(page, kept)
    }
  },
)

bare('the whole browser killed 3 times after an edit loses nothing', async ({ baseURL }, testInfo) => {
  bare.setTimeout(120_000)
  const profile = mkdtempSync(join(tmpdir(), 'open-bed-profile-'))
  const { executablePath, args = [] } = testInfo.project.use.launchOptions!
  const next = moments(2)
  let url = ''
  let kept: { name: string; parts: string | null } | null = null
  try {
    for (let i = 0; i <= 3; i++) {
      const browser = spawn(
        executablePath!,
        [...args, '--headless=new', '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'],
        { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
      )
      const endpoint = await new Promise<string>((resolve, reject) => {
        let said = ''
        browser.stderr.on('data', (chunk) => {
          said += String(chunk)
          const found = /DevTools listening on (ws:\/\/\S+)/.exec(said)
          if (found) resolve(found[1]!)
        })
        browser.on('exit', () => reject(new Error(said)))
      })
      const connected = await chromium.connectOverCDP(endpoint)
      const page = await connected.contexts()[0]!.newPage()
      if (i === 0) {
        await page.goto(`${baseURL}/my`)
        await startJob(page, 'Fabric bag')
        await station(page, 'Mix')
        await addMaterial(page, 'pumice')
        await saved(page)
        url = page.url()
      } else await page.goto(url)
      if (kept) await expectKept(page, kept)
      kept = await editAndRead(page, i)
      await page.waitForTimeout(next())
      const gone = new Promise((resolve) => browser.once('exit', resolve))
      process.kill(-browser.pid!, 'SIGKILL')
      await gone
      await connected.close().catch(() => undefined)
    }
  } finally {
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 })
  }
  expect(kept).not.toBeNull()
})
