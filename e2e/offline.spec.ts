import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { spawn, type ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { addMaterial, openGarden, PHONE, saved, startJob } from './support'

test.use({ serviceWorkers: 'allow' })

const settled = async (page: Page) => {
  await page.goto('/my/settings')
  await expect(page.getByText('it starts and works with no network')).toBeVisible({ timeout: 30_000 })
}
const pathOf = (page: Page) => new URL(page.url()).pathname
/** A part of the mix on the bench, by its name. */
const part = (page: Page, name: RegExp) => page.getByRole('group', { name })

test(
  'once loaded it needs no network: a job from the first tile to the record, reloads between, all is there',
  { tag: '@long' },
  async ({ page, context }) => {
    await page.setViewportSize(PHONE)
    await settled(page)
    await context.setOffline(true)

    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('button', { name: 'Go to Mix' }).click()
    await addMaterial(page, 'peat medium')
    await addMaterial(page, 'perlite coarse')
    await saved(page)
    await page.reload()
    await expect(part(page, /^Perlite, coarse/)).toBeVisible()
    // The worker that draws the ranges starts without a network too.
    await expect(page.locator('.likely', { hasText: /likely/ }).first()).toBeVisible()
    await page.getByRole('button', { name: 'Go to Buy' }).click()
    await page.getByRole('button', { name: 'Go to Prepare' }).click()
    await page.getByRole('button', { name: 'Go to Make' }).click()
    const batch = page.getByRole('heading', { name: 'Batch 1 of 1' })
    await expect(batch).toBeVisible()
    for (const box of await page.locator('.batch').getByRole('checkbox').all()) await box.check()
    await saved(page)
    await page.reload()
    await expect(batch).toBeVisible()
    for (const box of await page.locator('.batch').getByRole('checkbox').all())
      await expect(box).toBeChecked()
    await page.getByRole('button', { name: 'Write it down' }).click()
    await page.getByRole('button', { name: 'Record this mix' }).click()
    await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
    for (const place of ['beds', 'shelf', 'records', 'method', 'place', '']) {
      await page.goto(`/my/${place}`)
      await expect(page.locator('main h1').first()).toBeAttached()
    }
  },
)

const freePort = () =>
  new Promise<number>((done) => {
    const server = createServer().listen(0, () => {
      const { port } = server.address() as { port: number }
      server.close(() => done(port))
    })
  })

/** The built app served from a folder of its own, so that a newer version can be put in its place. */
async function served(): Promise<{ address: string; dist: string; stop: () => void }> {
  const root = mkdtempSync(join(tmpdir(), 'open-bed-'))
  cpSync('dist', join(root, 'dist'), { recursive: true })
  const port = await freePort()
  const child: ChildProcess = spawn(process.execPath, [resolve('dist-server/main.js')], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((ready) => child.stdout!.once('data', ready))
  return {
    address: `http://localhost:${port}`,
    dist: join(root, 'dist'),
    stop: () => {
      child.kill()
      rmSync(root, { recursive: true, force: true })
    },
  }
}

test(
  'a newer version waits, says so, and takes over on a word: a half-ticked batch is as it was',
  { tag: '@long' },
  async ({ page }) => {
    const { address, dist, stop } = await served()
    try {
      await page.goto(`${address}/my/settings`)
      await expect(page.getByText('it starts and works with no network')).toBeVisible({ timeout: 30_000 })
      await page.goto(`${address}/my`)
      await startJob(page, 'Round pot')
      await page.getByRole('button', { name: 'Go to Mix' }).click()
      await addMaterial(page, 'coir pith')
      await addMaterial(page, 'perlite coarse')
      await page.getByRole('button', { name: 'Go to Buy' }).click()
      await page.getByRole('button', { name: 'Go to Prepare' }).click()
      await page.getByRole('button', { name: 'Go to Make' }).click()
      await page.locator('.batch').getByRole('checkbox').first().check()
      await saved(page)
      const path = pathOf(page)

      // A newer page: other words in it, so another revision in the list of what is kept.
      const html = join(dist, 'index.html')
      writeFileSync(
        html,
        readFileSync(html, 'utf8').replace('Opening the garden', 'Opening the newer garden'),
      )
      const sw = join(dist, 'sw.js')
      writeFileSync(sw, readFileSync(sw, 'utf8').replace(/(url:"\/my",revision:")[^"]*/, '$1newer'))
      await page.reload()
      const bar = page.getByRole('status').filter({ hasText: 'A newer Open Bed is here' })
      await expect(bar).toBeVisible({ timeout: 30_000 })
      // Nothing is changed before the word: the kept page is the old one.
      expect(await (await page.request.get(`${address}/my`)).text()).toContain('garden')
      await expect(page.locator('.batch').getByRole('checkbox').first()).toBeChecked()
      await page.locator('.batch').getByRole('checkbox').nth(1).check()
      await bar.getByRole('button', { name: 'Use it now' }).click()
      await expect(bar).toBeHidden({ timeout: 30_000 })
      await expect(page.locator('.batch').getByRole('checkbox').nth(1)).toBeChecked()
      expect(pathOf(page)).toBe(path)
    } finally {
      stop()
    }
  },
)

test(
  'the browser finds it fit to be installed: manifest, icons, and a page that starts offline',
  { tag: '@long' },
  async ({ page, context }) => {
    await settled(page)
    const cdp = await context.newCDPSession(page)
    const { errors, url } = await cdp.send('Page.getAppManifest')
    expect(errors).toEqual([])
    expect(url).toContain('manifest.webmanifest')
    const { installabilityErrors } = await cdp.send('Page.getInstallabilityErrors')
    // Browsers of tests run in a private window, where nothing is installed.
    expect(installabilityErrors.map((e) => e.errorId).filter((e) => e !== 'in-incognito')).toEqual([])
    for (const icon of ['icon-192.png', 'icon-512.png', 'icon-maskable-512.png'])
      expect((await page.request.get(`/${icon}`)).headers()['content-type']).toBe('image/png')
  },
)

test('the demo is only looked at: nothing of it is kept', async ({ page }) => {
  await openGarden(page, '/demo')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  expect(await page.evaluate(async () => (await navigator.serviceWorker.getRegistrations()).length)).toBe(0)
})
