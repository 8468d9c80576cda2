import { expect, test } from '@playwright/test'
import { openGarden } from './support'

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
