import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { SCREENS } from './screens'
import { expect, openGarden, PHONE, test } from './support'

/** What another width or light can break; names and roles are the same as on the desk. */
const ON_A_PHONE = ['color-contrast', 'scrollable-region-focusable', 'target-size', 'nested-interactive']

/** Not serious to axe, but how people who hear the page find their way. */
const HEADINGS = ['heading-order', 'page-has-heading-one', 'empty-heading']

const serious = async (page: Page, rules?: string[]) => {
  // In the page itself, and what fails only: otherwise every look opens a page of its own to sum up all that passed.
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], preload: false, iframes: false })
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical' || HEADINGS.includes(v.id))
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}
/** Nothing fades any more: a half-faded text has too little contrast. */
const atRest = (page: Page) =>
  page.evaluate(() => Promise.all(document.getAnimations().map((a) => a.finished.catch(() => null))))

/** In another light, once nothing fades from the last into it. */
const paint = async (page: Page, theme: string) => {
  await page.evaluate((t) => {
    document.documentElement.dataset.theme = t
    return new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)))
  }, theme)
  await atRest(page)
}

/** WCAG 2.2, 1.4.10: no scrolling sideways at a width of 320 CSS pixels. */
const NARROWEST = 320
const sidewards = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)

/** So many screens to a page: opening the app and sowing the demo once for each would take most of the time. */
const TO_A_PAGE = 6
for (let from = 0; from < SCREENS.length; from += TO_A_PAGE) {
  const paths = SCREENS.slice(from, from + TO_A_PAGE)
  const what = 'axe finds nothing serious in three lights, on desk and phone, and nothing sticks out'
  test(`${what}: ${paths.join(' ')}`, { tag: '@long' }, async ({ page }) => {
    const desk = page.viewportSize()!
    for (const path of paths) {
      await page.setViewportSize(desk)
      await openGarden(page, path)
      // Its 47 rows are all alike; four say as much in a tenth of the time.
      if (path.endsWith('/shelf')) await page.getByLabel('Search the shelf').fill('perlite')
      // What is poured is worked out beside the page.
      if (path.includes('/jobs/') && path.endsWith('/water')) await page.getByRole('table').first().waitFor()
      if (path.endsWith('/plan')) await page.getByRole('list', { name: 'Waterings by month' }).waitFor()
      expect.soft(await serious(page), `${path} on the desk`).toEqual([])
      await page.setViewportSize(PHONE)
      await paint(page, 'dark')
      expect.soft(await serious(page, ON_A_PHONE), `${path} on a phone, dark`).toEqual([])
      await paint(page, 'contrast')
      expect.soft(await serious(page, ['color-contrast']), `${path} in bright sun`).toEqual([])
      for (const width of [PHONE.width, NARROWEST]) {
        await page.setViewportSize({ width, height: PHONE.height })
        // A chart follows the width of its page a moment later.
        await expect
          .poll(() => sidewards(page), { timeout: 3000 })
          .toBe(0)
          .catch(() => null)
        expect.soft(await sidewards(page), `${path} sticks out at ${width} px`).toBe(0)
      }
    }
  })
}

/** Where most of the work is done; every screen in every light has its turn in the long run. */
const MAIN = ['/my', '/demo/jobs/peppers-27/mix', '/demo/jobs/fig/fill']
test('axe finds nothing serious on the main screens, and nothing sticks out on a phone', async ({ page }) => {
  expect(SCREENS).toEqual(expect.arrayContaining(MAIN))
  const desk = page.viewportSize()!
  for (const path of MAIN) {
    await page.setViewportSize(desk)
    await openGarden(page, path)
    expect.soft(await serious(page), `${path} on the desk`).toEqual([])
    await page.setViewportSize({ width: NARROWEST, height: PHONE.height })
    await expect.poll(() => sidewards(page), { message: `${path} sticks out` }).toBe(0)
  }
})

/** A dialog that stands open, looked at and shut. */
async function check(page: Page, what: string) {
  await expect(page.getByRole('dialog')).toBeVisible()
  await atRest(page)
  expect((await serious(page)).map((found) => `${what}: ${found}`)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
}

test('axe finds nothing serious in the dialogs of the bench', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.keyboard.press('/')
  await expect(page.getByLabel('Search materials')).toBeFocused()
  await check(page, 'picker')
  await page.keyboard.press('?')
  await check(page, 'keys')
  for (const [button, what] of [
    ['Add a finished mix', 'finished mixes'],
    ['Mixes to begin from', 'starters'],
    ['Versions', 'versions'],
    ['Share', 'share'],
    ['By packs', 'by packs'],
    ['Remove this job', 'removing a job'],
  ] as const) {
    await page.getByRole('button', { name: button }).first().click()
    await check(page, what)
  }
  await page.getByRole('button', { name: 'Dose by label' }).click()
  await check(page, 'dose by label')
  await openGarden(page, '/demo/beds')
  await page.getByRole('button', { name: 'Many at once' }).click()
  await check(page, 'many beds at once')
})

test('every page of the app is among those looked at', () => {
  const looked = SCREENS.map((path) => path.replace(/^\/(my|demo)/, '').replace(/\?.*/, ''))
  const stations = [...readFileSync('src/stations/stations.ts', 'utf8').matchAll(/\bid: '(\w+)'/g)].map(
    (m) => m[1]!,
  )
  const places = [...readFileSync('src/app/router.ts', 'utf8').matchAll(/^ {2}\['(.*?)', '/gm)].map(
    (m) => m[1]!,
  )
  expect([stations.length, places.length]).toEqual([19, 19])
  for (const id of stations)
    expect(
      looked.some((path) => path.endsWith(`/${id}`)),
      id,
    ).toBe(true)
  for (const path of places) {
    const pattern = new RegExp(`^${path.replace('/:rest(.*)*', '/nowhere').replace(/:\w+/, '[^/]+')}$`)
    expect(
      looked.some((one) => pattern.test(one)),
      path,
    ).toBe(true)
  }
})

test('axe finds nothing serious in the dialogs of the shelf', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/shelf')
  await page.getByRole('button', { name: 'Bagged mixes' }).click()
  await page.getByRole('button', { name: 'Label of Potting mix in bags' }).click()
  await check(page, 'label of a bag')
  await page.getByRole('button', { name: 'Feeds and limes' }).click()
  await page.getByRole('button', { name: 'A feed or lime of your own' }).click()
  await check(page, 'own feed')
  await page.getByRole('button', { name: 'Pack, price and stock of Gypsum' }).click()
  await check(page, 'pack of a feed')
  await page.getByRole('button', { name: 'Materials', exact: true }).click()
  await page.getByRole('button', { name: 'A material of your own' }).click()
  await check(page, 'own material')
  await page.getByLabel('Search the shelf').fill('pumice')
  await page.getByRole('button', { name: 'Figures and sources of Pumice' }).click()
  await check(page, 'figures')
  await page.getByRole('button', { name: 'Pack, price and stock of Pumice' }).click()
  await check(page, 'pack')
})
