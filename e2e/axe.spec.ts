import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openGarden, PHONE, test } from './support'

const SCREENS = [
  '/my',
  '/demo',
  '/demo/jobs/fig/fill',
  '/demo/jobs/peppers-27/mix',
  '/demo/jobs/pear/mix',
  '/demo/jobs/peppers-27/buy',
  '/demo/jobs/peppers-27/make',
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

const serious = async (page: Page, rules?: string[]) => {
  const axe = new AxeBuilder({ page })
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}
const paint = async (page: Page, theme: string) => {
  await page.evaluate((t) => {
    document.documentElement.dataset.theme = t
  }, theme)
  await page.waitForTimeout(500) // colours of controls glide to the new theme
}

for (const path of SCREENS)
  test(`axe finds nothing serious at ${path}, in three lights, on desk and phone; nothing sticks out`, async ({
    page,
  }) => {
    await openGarden(page, path)
    // Its 47 rows are all alike; four say as much in a tenth of the time.
    if (path.endsWith('/shelf')) await page.getByLabel('Search the shelf').fill('perlite')
    expect(await serious(page)).toEqual([])
    await page.setViewportSize(PHONE)
    await paint(page, 'dark')
    expect(await serious(page)).toEqual([])
    await paint(page, 'contrast')
    expect(await serious(page, ['color-contrast'])).toEqual([])
    const wide = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    )
    expect(wide).toBe(0)
  })

test('axe finds nothing serious in the dialogs', async ({ page }) => {
  const check = async (what: string) => {
    expect((await serious(page)).map((found) => `${what}: ${found}`)).toEqual([])
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toBeHidden()
  }
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Search materials')).toBeFocused()
  await check('picker')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.waitForTimeout(400) // the dialog fades in, and a half-faded text has too little contrast
  await check('keys')
  await openGarden(page, '/demo/shelf')
  await page.getByLabel('Search the shelf').fill('pumice')
  await page.getByRole('button', { name: 'Figures and sources of Pumice' }).click()
  await page.waitForTimeout(400)
  await check('figures')
  await page.getByRole('button', { name: 'Pack, price and stock of Pumice' }).click()
  await page.waitForTimeout(400)
  await check('pack')
})
