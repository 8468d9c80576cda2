import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openGarden, PHONE, test } from './support'

const SCREENS = [
  '/my',
  '/demo',
  '/demo/jobs/fig/containers',
  '/demo/jobs/peppers-27/mix',
  '/demo/jobs/pear/mix',
  '/demo/jobs/peppers-27/finder',
  '/demo/jobs/peppers-27/compare',
  '/demo/recipe',
  '/demo/jobs/peppers-27/buy',
  '/demo/jobs/peppers-27/make',
  '/demo/jobs/fig/fill',
  '/demo/jobs/herbs-26/season',
  '/demo/jobs/fig/record',
  '/demo/jobs/peppers-26/record',
  '/demo/beds',
  '/demo/beds?id=bay-bed',
  '/demo/place',
  '/demo/shelf',
  '/demo/records',
  '/demo/method',
  '/demo/settings',
  '/demo/nowhere',
]

/** What another width or light can break; names and roles are the same as on the desk. */
const ON_A_PHONE = ['color-contrast', 'scrollable-region-focusable', 'target-size', 'nested-interactive']

const serious = async (page: Page, rules?: string[]) => {
  // In the page itself, and what fails only: otherwise every look opens a page of its own to sum up all that passed.
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], preload: false, iframes: false })
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}
const paint = (page: Page, theme: string) =>
  page.evaluate((t) => {
    document.documentElement.dataset.theme = t
    return new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)))
  }, theme)

/** So many screens to a page: opening the app and sowing the demo once for each would take most of the time. */
const TO_A_PAGE = 6
for (let from = 0; from < SCREENS.length; from += TO_A_PAGE) {
  const paths = SCREENS.slice(from, from + TO_A_PAGE)
  test(`axe finds nothing serious in three lights, on desk and phone, and nothing sticks out: ${paths.join(' ')}`, async ({
    page,
  }) => {
    const desk = page.viewportSize()!
    for (const path of paths) {
      await page.setViewportSize(desk)
      await openGarden(page, path)
      // Its 47 rows are all alike; four say as much in a tenth of the time.
      if (path.endsWith('/shelf')) await page.getByLabel('Search the shelf').fill('perlite')
      expect.soft(await serious(page), `${path} on the desk`).toEqual([])
      await page.setViewportSize(PHONE)
      await paint(page, 'dark')
      expect.soft(await serious(page, ON_A_PHONE), `${path} on a phone, dark`).toEqual([])
      await paint(page, 'contrast')
      expect.soft(await serious(page, ['color-contrast']), `${path} in bright sun`).toEqual([])
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      )
      expect.soft(wide, `${path} sticks out on a phone`).toBe(0)
    }
  })
}

/** A dialog that stands open, looked at and shut. */
async function check(page: Page, what: string) {
  await expect(page.getByRole('dialog')).toBeVisible()
  expect((await serious(page)).map((found) => `${what}: ${found}`)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
}

test('axe finds nothing serious in the dialogs of the bench', async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Search materials')).toBeFocused()
  await check(page, 'picker')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.waitForTimeout(400) // the dialog fades in, and a half-faded text has too little contrast
  await check(page, 'keys')
  await page.getByRole('button', { name: 'Add a finished mix' }).click()
  await check(page, 'finished mixes')
})

test('axe finds nothing serious in the dialogs of the shelf', async ({ page }) => {
  await openGarden(page, '/demo/shelf')
  await page.getByLabel('Search the shelf').fill('pumice')
  await page.getByRole('button', { name: 'Label of Potting mix in bags' }).click()
  await check(page, 'label of a bag')
  await page.getByRole('button', { name: 'Figures and sources of Pumice' }).click()
  await page.waitForTimeout(400)
  await check(page, 'figures')
  await page.getByRole('button', { name: 'Pack, price and stock of Pumice' }).click()
  await page.waitForTimeout(400)
  await check(page, 'pack')
})
