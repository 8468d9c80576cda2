import { expect, test, type Locator, type Page } from '@playwright/test'
import { openGarden, saved, startJob } from './support'

// The browser itself complains of files that are not there; these tests look at what the page makes of it.

test(
  'a worker that cannot be fetched: the finder and the ranges say so, and work again once it is there',
  { tag: '@long' },
  async ({ page }) => {
    await page.route('**/core.worker*', (route) => route.abort())
    await page.goto('/demo/jobs/peppers-27/mix')
    const lost = page.getByText('could not be started')
    await expect(lost.first()).toBeVisible()
    // The figures under the hand need no worker.
    await expect(page.getByRole('region', { name: 'Air after draining' }).locator('.figure')).toHaveText(/\d/)

    await page.goto('/demo/jobs/peppers-27/finder')
    await expect(lost.first()).toBeVisible()
    await expect(page.getByRole('progressbar')).toBeHidden()

    await page.unroute('**/core.worker*')
    await page.getByRole('button', { name: 'Try again' }).click()
    await expect(page.getByRole('heading', { name: /ways? meet all of it|Nothing meets all/ })).toBeVisible()
    await expect(lost).toHaveCount(0)
  },
)

test(
  'a page that is gone after a new version: it says so, keeps the work, and reloading brings it',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo')
    await page.route('**/assets/RecordsView*', (route) => route.fulfill({ status: 404, body: '' }))
    await page.getByRole('link', { name: 'Records' }).click()
    const alarm = page.getByRole('alert').filter({ hasText: 'could not be fetched' })
    await expect(alarm).toBeVisible()
    // What was on the page is still there, and other pages open.
    await expect(page.locator('main h1').first()).toBeVisible()
    await page.unroute('**/assets/RecordsView*')
    await alarm.getByRole('button', { name: 'Reload the page' }).click()
    await expect(alarm).toHaveCount(0)
    await page.getByRole('link', { name: 'Records' }).click()
    await expect(page).toHaveURL(/records/)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  },
)

/** Places where a worker works, and what shows that it has answered. */
const AT_WORK: { path: string; answered: (page: Page) => Locator }[] = [
  { path: '/demo/jobs/peppers-27/mix', answered: (page) => page.getByText(/^Bags differ: about/) },
  {
    path: '/demo/jobs/peppers-27/finder',
    answered: (page) => page.getByRole('heading', { name: /ways? meet all of it|Nothing meets all/ }),
  },
  { path: '/demo/jobs/peppers-27/plan', answered: (page) => page.locator('#plan-now') },
  { path: '/demo/predictions', answered: (page) => page.getByRole('region', { name: 'Every reading' }) },
]
for (const { path, answered } of AT_WORK)
  test(`a worker that dies at work says so and works again: ${path}`, { tag: '@long' }, async ({ page }) => {
    // Struck down as a task reaches it, for as long as the page says so.
    await page.addInitScript(() => {
      const post = Worker.prototype.postMessage
      Worker.prototype.postMessage = function (this: Worker, ...given: unknown[]) {
        Reflect.apply(post, this, given)
        if (sessionStorage.getItem('strike') !== 'yes') return
        this.terminate()
        setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'struck down' })))
      }
    })
    await openGarden(page, '/demo')
    await page.evaluate(() => sessionStorage.setItem('strike', 'yes'))
    await page.goto(path)
    const said = page.getByText('it broke off')
    await expect(said.first()).toBeVisible({ timeout: 20_000 })
    await page.evaluate(() => sessionStorage.setItem('strike', 'no'))
    // Each place that asks is asked again; one press may serve several.
    await expect(async () => {
      const again = page.getByRole('button', { name: 'Try again' })
      if ((await again.count()) > 0) await again.first().click({ timeout: 1000 })
      expect(await again.count()).toBe(0)
    }).toPass({ timeout: 30_000 })
    await expect(said).toHaveCount(0, { timeout: 20_000 })
    await expect(answered(page)).toBeVisible({ timeout: 30_000 })
    test
      .info()
      .annotations.push({ type: 'fault', description: `worker killed at ${path}: said, works again` })
  })

test(
  'a worker that falls silent is given up after a while, with a sentence',
  { tag: '@long' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const post = Worker.prototype.postMessage
      Worker.prototype.postMessage = function (this: Worker, ...given: unknown[]) {
        if (sessionStorage.getItem('silent') !== 'yes') Reflect.apply(post, this, given)
      }
    })
    await openGarden(page, '/demo')
    await page.evaluate(() => sessionStorage.setItem('silent', 'yes'))
    await page.goto('/demo/predictions')
    const said = page.getByText('Nothing was heard from this calculation for a while')
    await expect(said).toBeVisible({ timeout: 40_000 })
    await page.evaluate(() => sessionStorage.setItem('silent', 'no'))
    await page.getByRole('button', { name: 'Try again' }).click()
    await expect(page.getByRole('region', { name: 'Every reading' })).toBeVisible({ timeout: 30_000 })
    await expect(said).toHaveCount(0)
  },
)

test(
  'back and forward as fast as it goes, with edits between: every page opens and every edit is there',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    for (const link of ['Beds', 'Shelf', 'Records', 'Method']) {
      await page.getByRole('link', { name: link, exact: true }).click()
      await expect(page).toHaveURL(new RegExp(`${link.toLowerCase()}$`))
    }
    for (let i = 0; i < 60; i++) {
      await page.evaluate((back) => (back ? history.back() : history.forward()), i % 4 < 2)
      await page.waitForTimeout(30)
    }
    await expect(page.locator('main h1, main h2').first()).toBeVisible()
    await page.goto('/my')
    await page.locator('main a[href*="/jobs/"]').first().click()
    const name = page.getByLabel('Name of this job')
    for (let i = 0; i < 10; i++) {
      await name.fill(`Storm ${i}`)
      await page.goBack()
      await page.goForward()
    }
    await expect(name).toHaveValue('Storm 9')
    await saved(page)
    await page.reload()
    await expect(name).toHaveValue('Storm 9')
    test.info().annotations.push({ type: 'fault', description: 'back and forward storms: nothing lost' })
  },
)

test(
  'a browser short of memory: the page goes on, and what was done is there',
  { tag: '@long' },
  async ({ page, context }) => {
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    const devtools = await context.newCDPSession(page)
    await page.getByLabel('Name of this job').fill('Under pressure')
    for (let i = 0; i < 5; i++) {
      await devtools.send('Memory.simulatePressureNotification', { level: 'critical' })
      await page.getByLabel('Name of this job').fill(`Under pressure ${i}`)
    }
    await saved(page)
    await page.reload()
    await expect(page.getByLabel('Name of this job')).toHaveValue('Under pressure 4')
    test.info().annotations.push({ type: 'fault', description: 'memory pressure: nothing lost' })
  },
)
