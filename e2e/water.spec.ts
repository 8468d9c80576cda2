import type { Page } from '@playwright/test'
import { expect, openGarden, PHONE, saved, startJob, station, test } from './support'

const WATER = '/demo/jobs/peppers-27/water'
const poured = (page: Page) => expect(page.getByRole('table', { name: 'What it comes to' })).toBeVisible()
async function beside(page: Page, name: string) {
  await page.getByLabel('Beside it').click()
  await page.getByRole('option', { name }).click()
  await expect(page.locator('.pictures').getByRole('img')).toHaveCount(2)
}
/** Figures of a row, one for each side. */
const row = async (page: Page, table: string, name: string) =>
  (
    await page
      .getByRole('table', { name: table })
      .getByRole('row', { name: new RegExp(`^${name}`) })
      .getByRole('cell')
      .allTextContents()
  ).map((text) => text.trim())

/** The heading that says how far it is. */
const moment = (page: Page) => page.locator('summary').filter({ hasText: 'Moment by moment' })

test(
  'a can on the mix, beside the same over gravel: less mix, and the foot no better for it',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, WATER)
    await poured(page)
    await page.getByLabel('Water each time').fill('12')
    await beside(page, 'This mix over 5 cm of gravel')
    await expect(page.getByText(/^Over 5 cm of gravel: |^The two hardly differ/)).toBeVisible()
    // Ranges follow.
    await expect(page.getByText('In brackets: the likely range.')).toBeVisible()
    await expect(page.getByRole('table', { name: 'What it comes to' })).toContainText(/\(\d+ % to \d+ %\)/)
    // The gravel holds hardly any water, the foot of the mix alone much.
    await page.getByLabel('Time since the start').fill('30.24')
    await expect(moment(page)).toContainText('1 day 6 h')
    const [plain, gravel] = await row(page, 'Figures of this moment', 'Drained away so far')
    expect(plain).toMatch(/ L$/)
    expect(gravel).not.toBe(plain)
    await expect(
      page
        .locator('.pictures')
        .getByRole('img', { name: /^Over 5 cm of gravel, after 1 day 6 h: \d+ % water/ }),
    ).toBeVisible()
  },
)

test('a saucer left full keeps water below and the foot short of air', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, WATER)
  await poured(page)
  await page.getByLabel('Water each time').fill('14')
  await beside(page, 'This mix in a full saucer')
  const read = () => row(page, 'What it comes to', 'Foot with less than 10 % air')
  const hours = (text = '') => (text.includes('days') ? 24 : 1) * parseFloat(text)
  await expect
    .poll(async () => {
      const [free, dish] = await read()
      return hours(dish) > hours(free)
    })
    .toBe(true)
  await page.getByLabel('Time since the start').fill('3')
  await expect(page.getByRole('row', { name: /^Stands in the saucer/ })).toContainText(
    /0 cm.*[1-3](\.\d)? cm/,
  )
})

test('plays, stops, steps and scrubs by keyboard', { tag: '@long' }, async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  await openGarden(page, WATER)
  await poured(page)
  const time = page.getByLabel('Time since the start')
  await page.getByRole('button', { name: 'Play' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  await expect.poll(async () => Number(await time.inputValue())).toBeGreaterThan(0.3)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible()
  const stopped = Number(await time.inputValue())
  await page.getByRole('button', { name: 'Forward one picture' }).press('Enter')
  expect(Number(await time.inputValue())).toBeGreaterThan(stopped)
  await page.getByRole('button', { name: 'Back one picture' }).press('Enter')
  await page.getByRole('button', { name: 'Back one picture' }).press('Enter')
  expect(Number(await time.inputValue())).toBeLessThan(stopped)
  await time.press('End')
  await expect(moment(page)).toContainText('3 days')
  await time.press('Home')
  await expect(moment(page)).toContainText(/\b0 min/)
  // What was chosen is there again when the page is.
  await page.getByLabel('Followed for').fill('2')
  await expect(page.getByRole('heading', { name: 'In 2 days' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'In 2 days' })).toBeVisible()
})

test(
  'nothing moves where motion is not wanted: still pictures instead',
  { tag: '@long' },
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await openGarden(page, WATER)
    await poured(page)
    await expect(page.getByRole('button', { name: 'Play' })).toHaveCount(0)
    await expect(page.getByRole('img', { name: /This mix, after/ })).toHaveCount(6)
  },
)

test(
  'a plan for the month, a pot that keeps its water, and what helps',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/season')
    await page.getByRole('link', { name: 'Watering plan' }).click()
    const now = page.getByRole('heading', { name: /^In July: [\d.]+ L (every|twice|\d)/ })
    await expect(now).toBeVisible()
    await expect(
      page.getByRole('figure', { name: /^Lift it: \d+ kg when it has just drained, \d+ kg/ }),
    ).toBeVisible()
    // Drops by number and size; the same as a table behind them.
    const months = page.getByRole('list', { name: 'Waterings by month' }).getByRole('button')
    await expect(months).toHaveCount(4)
    await page.getByText('As a table').click()
    await expect(page.getByRole('table', { name: 'Waterings by month' }).getByRole('row')).toHaveCount(5)
    // Two days away are borne, a fortnight is not, whatever is changed.
    await page.getByLabel('Days away').fill('2')
    await expect(page.locator('.says', { hasText: 'lasts' }).first()).toBeVisible()
    await page.getByLabel('Days away').fill('14')
    await expect(page.getByText('thirsty before you are back').first()).toBeVisible()
    const free = await now.textContent()
    await page.getByLabel('Below').click()
    await page.getByRole('option', { name: 'Saucer, left full' }).click()
    await expect(page.getByText(/^Hardly anything drains away/)).toBeVisible()
    expect(await now.textContent()).not.toBe(free)
    await months.first().click()
    await expect(page.getByRole('heading', { name: /^In May/ })).toBeVisible()
  },
)

test.describe('on a phone', () => {
  test.use({ hasTouch: true, viewport: PHONE })
  test(
    'two lessons: a guess, what it comes to, a thing to do; kept when the page comes again',
    { tag: '@long' },
    async ({ page }) => {
      await openGarden(page, '/demo/jobs/peppers-27/mix')
      await page.getByRole('link', { name: 'Water it' }).tap()
      await page.getByRole('link', { name: 'Lessons' }).tap()
      await page.getByRole('button', { name: 'Gravel below' }).tap()
      await page.getByRole('button', { name: 'Over gravel: More litres of air here' }).tap()
      await expect(page.getByText('Not quite. On your mix: fewer litres of air than without.')).toBeVisible()
      await expect(page.getByRole('table', { name: 'On your mix' })).toContainText('Mix above gravel')
      await page.getByRole('button', { name: 'Next lesson' }).tap()
      await expect(page.getByRole('heading', { name: 'Sand in the mix' })).toBeFocused()
      await page.getByRole('button', { name: 'As it is: More air here' }).tap()
      await expect(page.getByText('So it is.')).toBeVisible()
      await saved(page)
      await page.reload()
      // It goes on with the first that was not seen.
      await expect(page.getByRole('heading', { name: 'Shallow tray and deep tub' })).toBeVisible()
      await expect(page.getByRole('button', { name: 'Gravel below, seen' })).toBeVisible()
      await page.getByRole('button', { name: 'Sand in the mix, seen' }).tap()
      await page.getByRole('button', { name: /^With sand: More air here/ }).tap()
      await page.getByRole('link', { name: /Open the mix with coarse grains/ }).tap()
      await expect(page).toHaveURL(/peppers-27\/mix$/)
    },
  )
})

test('a mix that is not there yet says what to do first', async ({ page }) => {
  await openGarden(page, '/my')
  await startJob(page, 'Round pot')
  await station(page, 'Mix')
  await page.getByRole('link', { name: 'Water it' }).click()
  await expect(page.getByText('Nothing is in the mix yet.')).toBeVisible()
  await page.getByRole('link', { name: 'Lessons' }).click()
  await expect(page.getByText('There is no mix to learn on yet.')).toBeVisible()
})
