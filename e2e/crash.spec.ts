import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect as plain, test as bare, type Page } from '@playwright/test'
import { kill, moments } from './kills'
import { addMaterial, expect, openGarden, saved, startJob, station } from './support'

/** Tabs killed: four in `npm test`, thirty in the long run; `npm run faults` kills a thousand. */
const KILLS = Number(process.env.KILLS ?? (process.env.LONG ? 30 : 4))
/** Tabs open at once, each on a job of its own. */
const TABS = KILLS < 10 ? 2 : 5
/** Whole browsers killed: one costs as much as ten tabs. */
const BROWSERS = KILLS > 30 ? 3 : 1

async function editAndRead(page: Page, i: number) {
  await page.getByLabel('Name of this job').fill(`edit ${i}`)
  await page.getByRole('button', { name: 'A whole part more Pumice' }).click()
  return { name: `edit ${i}`, parts: await page.locator('.stepper input').first().inputValue() }
}
const expectKept = async (page: Page, kept: { name: string; parts: string | null }) => {
  await plain(page.getByLabel('Name of this job')).toHaveValue(kept.name)
  await plain(page.locator('.stepper input').first()).toHaveValue(kept.parts!)
}

/** The name of a job as it lies in the database, read by a page that runs nothing of the app. */
const nameStored = (page: Page, jobId: string) =>
  page.evaluate(
    (id) =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('open-bed-my')
        opening.onerror = () => reject(new Error('cannot be opened'))
        opening.onsuccess = () => {
          const asked = opening.result.transaction('records').objectStore('records').get(`job/${id}`)
          asked.onerror = () => reject(new Error('cannot be read'))
          asked.onsuccess = () => {
            opening.result.close()
            resolve((asked.result as { data: { name: string } }).data.name)
          }
        }
      }),
    jobId,
  )

// Not the quiet test: a page that is shot down mid-sentence has reason to complain.
bare(
  `${KILLS} tabs killed in the middle of their work: what was said to be saved is`,
  async ({ context, page }) => {
    bare.setTimeout(120_000 + KILLS * 4_000)
    const next = moments(1)
    await openGarden(page)
    const jobs: string[] = []
    for (let t = 0; t < TABS; t++) {
      await page.goto('/my')
      await startJob(page, 'Fabric bag')
      jobs.push(/jobs\/([^/]+)/.exec(page.url())![1]!)
      await saved(page)
    }
    await page.goto('/health')
    let acknowledged = 0
    for (let killed = 0; killed < KILLS; killed += TABS) {
      const names = jobs.map((_, t) => `edit ${killed + t}`)
      const before = await Promise.all(jobs.map((id) => nameStored(page, id)))
      const said = await Promise.all(
        jobs.map(async (id, t) => {
          const tab = await context.newPage()
          await tab.goto(`/my/jobs/${id}/buy`)
          await tab.getByLabel('Name of this job').fill(names[t]!)
          // Four in five are waited for until the page says that they are saved; the others die at any moment.
          const waits = t !== killed % TABS
          if (waits) await saved(tab)
          else await tab.waitForTimeout(next(0, 60))
          await kill(tab)
          return waits
        }),
      )
      for (const [t, id] of jobs.entries()) {
        const stored = await nameStored(page, id)
        if (said[t]) {
          acknowledged++
          expect(stored, `edit ${killed + t} was said to be saved`).toBe(names[t])
        } else expect([before[t], names[t]], 'cut off: as before or as after, nothing else').toContain(stored)
      }
    }
    bare.info().annotations.push({
      type: 'fault',
      description: `tabs killed: ${KILLS} tried, ${acknowledged} said to be saved, 0 of them lost`,
    })
    await page.goto('/my/settings')
    await plain(page.getByText(`${TABS} jobs`)).toBeVisible()
    await plain(page.getByRole('region', { name: 'Set aside' })).toHaveCount(0)
  },
)

/** Tabs killed while a batch is counted, one after the other on one job. */
const COUNTED = Math.max(10, Math.round(KILLS / 10))

/** Where the count of a batch stands, as the page shows it. */
const countShown = async (page: Page) => {
  await plain(page.locator('.big')).toBeVisible()
  const measure = await page.locator('.big .where small').textContent()
  const tally = page.locator('.big .tally')
  return `${measure} ${(await tally.count()) ? await tally.getAttribute('aria-label') : ''}`
}

bare(
  `${COUNTED} tabs killed while a batch is counted: every filling that was said to be kept is`,
  { tag: '@long' },
  async ({ context, page }) => {
    bare.setTimeout(60_000 + COUNTED * 6_000)
    const next = moments(3)
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await station(page, 'Mix')
    for (const name of ['peat medium', 'perlite coarse']) await addMaterial(page, name)
    await station(page, 'Make')
    await page.getByLabel('One big step at a time').check()
    await saved(page)
    const address = page.url()
    let stood = await countShown(page)
    await page.goto('/health')
    for (let i = 0; i < COUNTED; i++) {
      const tab = await context.newPage()
      await tab.goto(address)
      plain(await countShown(tab), `before kill ${i}`).toBe(stood)
      await tab.locator('.press').click()
      const isAllIn = !(await tab.locator('.press').isVisible())
      if (isAllIn) await tab.getByRole('button', { name: 'Clear all ticks' }).click()
      const now = await countShown(tab)
      const waits = i % 5 !== 4 || isAllIn
      if (waits) await saved(tab)
      else await tab.waitForTimeout(next(0, 60))
      await kill(tab)
      const again = await context.newPage()
      await again.goto(address)
      const found = await countShown(again)
      if (waits) plain(found, `kill ${i} was said to be saved`).toBe(now)
      else plain([stood, now], 'cut off: as before or as after').toContain(found)
      stood = found
      await again.close()
    }
    bare
      .info()
      .annotations.push({ type: 'fault', description: `tabs killed while counting: ${COUNTED}, 0 lost` })
  },
)

/** Lines of logs as they lie in the database of the demo. */
const entriesStored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('open-bed-demo')
        opening.onerror = () => reject(new Error('cannot be opened'))
        opening.onsuccess = () => {
          const keys = opening.result.transaction('records').objectStore('records').getAllKeys()
          keys.onsuccess = () => {
            opening.result.close()
            resolve(keys.result.filter((key) => String(key).startsWith('entry/')).length)
          }
        }
      }),
  )

bare(
  `${COUNTED} tabs killed while readings are noted: every one that was said to be kept is`,
  { tag: '@long' },
  async ({ context, page }) => {
    bare.setTimeout(60_000 + COUNTED * 6_000)
    const next = moments(4)
    const address = '/demo/jobs/herbs-26/log'
    await openGarden(page, address)
    await saved(page)
    await page.goto('/health')
    let stood = 0
    const before = await entriesStored(page)
    const linesOf = async (tab: Page) => (await entriesStored(tab)) - before
    for (let i = 0; i < COUNTED; i++) {
      const tab = await context.newPage()
      await tab.goto(address)
      await plain(tab.getByRole('heading', { name: 'What was noted' })).toBeVisible()
      plain(await linesOf(tab), `before kill ${i}`).toBe(stood)
      await tab.getByRole('button', { name: 'pH read', exact: true }).click()
      await tab.getByLabel('pH', { exact: true }).fill(`6.${i % 10}`)
      await tab.getByRole('button', { name: 'Keep pH read' }).click()
      const waits = i % 5 !== 4
      if (waits) await saved(tab)
      else await tab.waitForTimeout(next(0, 60))
      await kill(tab)
      const again = await context.newPage()
      await again.goto(address)
      await plain(again.getByRole('heading', { name: 'What was noted' })).toBeVisible()
      const found = await linesOf(again)
      if (waits) plain(found, `kill ${i} was said to be saved`).toBe(stood + 1)
      else plain([stood, stood + 1], 'cut off: as before or as after').toContain(found)
      stood = found
      await again.close()
    }
    bare
      .info()
      .annotations.push({ type: 'fault', description: `tabs killed while reading: ${COUNTED}, 0 lost` })
  },
)

bare(
  `the whole browser killed, ${BROWSERS} in a row, loses nothing`,
  { tag: '@long' },
  async ({ baseURL }, testInfo) => {
    bare.setTimeout(120_000)
    const profile = mkdtempSync(join(tmpdir(), 'open-bed-profile-'))
    const { executablePath, args = [] } = testInfo.project.use.launchOptions!
    const next = moments(2)
    let url = ''
    let kept: { name: string; parts: string | null } | null = null
    let alive: number | undefined
    try {
      for (let i = 0; i <= BROWSERS; i++) {
        const browser = spawn(
          executablePath!,
          [
            ...args,
            '--headless=new',
            '--remote-debugging-port=0',
            `--user-data-dir=${profile}`,
            'about:blank',
          ],
          { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
        )
        alive = browser.pid
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
        // What is not there in half a minute is not coming: it is said which.
        page.setDefaultTimeout(30_000)
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
        // Only what the page says is saved is promised.
        await saved(page)
        await page.waitForTimeout(next(310, 810))
        const gone = new Promise((resolve) => browser.once('exit', resolve))
        process.kill(-browser.pid!, 'SIGKILL')
        await gone
        alive = undefined
        await connected.close().catch(() => undefined)
      }
    } finally {
      if (alive !== undefined) process.kill(-alive, 'SIGKILL')
      rmSync(profile, { recursive: true, force: true, maxRetries: 5 })
    }
    expect(kept).not.toBeNull()
  },
)
