import type { Page } from '@playwright/test'
import { expect, openGarden, PHONE, saved, station, test } from './support'

const on = (page: Page, day: string) => page.clock.setFixedTime(new Date(`${day}T10:00:00`))
const heading = (page: Page, name: string) => page.getByRole('heading', { name, exact: true })

test.describe('on a phone', () => {
  test.use({ hasTouch: true, viewport: PHONE, alone: true })

  test(
    'a season lived through: mix, test, learn, correct, log, harvest, compare, freshen',
    { tag: '@long' },
    async ({ page }) => {
      test.setTimeout(120_000)
      await on(page, '2027-04-20')
      // Mixed and written down, filled and planted.
      await openGarden(page, '/demo/jobs/peppers-27/record')
      await page.getByLabel('Take what I used off my shelf').uncheck()
      // Two batches are ticked: that all of it was made is a press of its own.
      await expect(page.getByText(/\d of \d batches are ticked in Make/)).toBeVisible()
      await page.getByRole('button', { name: /^I made/ }).tap()
      await page.getByRole('button', { name: /^Record (all|this)/ }).tap()
      await page.getByRole('button', { name: 'Go to Fill' }).tap()
      await page.getByRole('button', { name: 'It is planted' }).tap()
      await station(page, 'Season')

      // Two weeks on, a test with two samples and a timer that goes on through a reload.
      await on(page, '2027-05-04')
      await page.getByRole('link', { name: 'Test the mix' }).tap()
      await page.getByRole('button', { name: 'Begin: pH and salts in a slurry' }).tap()
      await page.getByRole('button', { name: 'Time step 3: 30 minutes' }).tap()
      await page.getByLabel('pH', { exact: true }).fill('5.2')
      await page.getByRole('button', { name: 'Another sample' }).tap()
      await page.getByLabel('pH', { exact: true }).nth(1).fill('5.4')
      await saved(page)
      await page.reload()
      await expect(page.getByLabel('pH', { exact: true }).nth(1)).toHaveValue('5.4')
      await expect(page.getByRole('timer')).toHaveText(/^(30:00|29:\d\d)$/)
      const result = page.getByRole('table', { name: 'Result of pH and salts in a slurry' })
      await expect(result).toContainText('5.3 (2 readings, 0.2 apart)')
      await expect(page.getByText(/Below what is wanted/)).toBeVisible()
      await expect(page.getByText(/Give .* of ground limestone/)).toBeVisible()
      await page.getByRole('button', { name: 'Done', exact: true }).tap()

      // What it teaches is shown, then kept; the bench says where its range comes from.
      await page.getByRole('button', { name: 'Use this from now on' }).tap()
      await page.getByRole('link', { name: 'What readings taught' }).tap()
      await expect(heading(page, 'On the shelf')).toBeVisible()
      await expect(page.getByText('Every reading has been learned from.')).toBeVisible()
      await saved(page)
      await page.reload()
      await expect(heading(page, 'On the shelf')).toBeVisible()

      // What is due answers to it: lime now, and a look in two weeks.
      await page.goto('/demo/jobs/peppers-27/season')
      const lime = page.getByRole('listitem').filter({ hasText: 'Bring the pH right' })
      await expect(lime).toContainText('pH 5.3 was read')
      await lime.getByRole('checkbox').check()
      const again = page.getByRole('listitem').filter({ hasText: 'Test the pH again' })
      await expect(again.filter({ hasText: '18 May 2027' })).toBeVisible()

      // The log: two taps for a watering; a harvest; each kept beside the other.
      await page.getByRole('link', { name: 'Note something in the log' }).tap()
      await page.getByRole('button', { name: 'Watered', exact: true }).tap()
      await on(page, '2027-08-20')
      await page.reload()
      await page.getByRole('button', { name: 'Harvest' }).tap()
      await page.getByLabel('Weight', { exact: true }).fill('2.4 kg')
      await page.getByLabel('Number of pieces').fill('18')
      await page.getByRole('button', { name: 'Keep harvest' }).tap()
      await expect(page.getByText('So far: 2.4 kg and 18 pieces harvested, watered once.')).toBeVisible()
      await page.getByRole('button', { name: /^Change: Harvest/ }).tap()
      await page.getByLabel('Number of pieces').fill('19')
      await page.getByRole('button', { name: 'Keep harvest' }).tap()
      await expect(page.getByText(/19 pieces harvested/)).toBeVisible()
      await expect(page.getByRole('img', { name: /pH over the season/ })).toBeVisible()
      await saved(page)
      await page.reload()
      await expect(page.getByText(/19 pieces harvested/)).toBeVisible()

      // Something looks wrong: ranked by this mix and its log.
      await page.getByRole('link', { name: 'Something looks wrong' }).tap()
      await page.getByLabel('Sunken leathery patch').check()
      await expect(page.getByRole('heading', { name: /^1\. / })).toBeInViewport()

      // Beside last year's: one bed each cannot tell.
      await page.goto('/demo/seasons')
      const side = (bed: string, letter: string) =>
        page
          .getByRole('group', { name: new RegExp(`^Side of ${bed}`) })
          .getByRole('button', { name: letter, exact: true })
      await side('Peppers, south wall 2026', 'A').tap()
      await side('Peppers, south wall 2027', 'B').tap()
      await expect(page.getByText(/cannot tell/)).toBeVisible()

      // Next year: asked what must not be used again, freshened for the next crop.
      await on(page, '2027-10-20')
      await page.goto('/demo/jobs/peppers-27/next')
      await page.getByRole('button', { name: 'That is all' }).tap()
      await page.getByLabel(/as by a weedkiller/).check()
      await expect(page.getByText(/Do not use it again/)).toBeVisible()
      await page.getByLabel(/as by a weedkiller/).uncheck()
      await page.getByRole('button', { name: 'Work out what to add' }).tap()
      await page.getByRole('button', { name: 'Use this mix' }).first().tap({ timeout: 60_000 })
      await expect(page).toHaveURL(/\/mix$/)
      await expect(page.getByText('Old mix of Peppers, south wall 2027').first()).toBeVisible()
    },
  )
})

test('a test with the keyboard alone, in US units; what is typed wrong is reported beside its field', async ({
  page,
}) => {
  await openGarden(page, '/demo/settings')
  await page.getByRole('button', { name: /US/ }).first().click()
  // A press that is not said to be saved may be lost with its page.
  await saved(page)
  await openGarden(page, '/demo/tests?of=material%20compost_green')
  await page.getByRole('button', { name: 'Begin: Air and water in a drained pot' }).focus()
  await page.keyboard.press('Enter')
  await expect(heading(page, 'Air and water in a drained pot')).toBeVisible()
  await expect(page.getByText('220 °F')).toBeVisible()
  await page.getByLabel('Volume to the line').focus()
  await page.keyboard.type('1')
  await page.keyboard.press('Tab')
  await page.keyboard.type('6')
  await page.keyboard.press('Tab')
  await page.keyboard.type('-5')
  await expect(page.getByText(/Water that ran out, mL: nobody reads that/)).toBeVisible()
  await page.getByLabel('Water that ran out, mL').fill('600')
  await expect(page.getByRole('table', { name: /^Result of/ })).toContainText('16 %')
  await page.getByRole('button', { name: 'Done', exact: true }).focus()
  await page.keyboard.press('Enter')
  await expect(heading(page, 'What it teaches')).toBeVisible()
})

test('readings from a sheet, a photo, and one step back', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/herbs-26/log')
  await page.getByRole('button', { name: 'Read a sheet' }).click()
  // What is to be written has the keyboard, not the cross.
  await expect(page.getByLabel('Rows')).toBeFocused()
  await page
    .getByLabel('Rows')
    .fill('date,what,value,unit\n2026-06-01,pH,6.2,\n2026-06-02,EC,900,uS/cm\n2026-06-03,colour,1,')
  await expect(page.getByText('2 lines can be added:')).toBeVisible()
  await expect(page.getByText(/Row 4.*“colour” under “what”/)).toBeVisible()
  await page.getByRole('button', { name: 'Add 2 lines' }).click()
  const salts = page.getByRole('listitem').filter({ hasText: '0.9 dS/m' })
  await expect(salts).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(salts).toBeHidden()
  const png = await page.screenshot({ clip: { x: 0, y: 0, width: 60, height: 40 } })
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'leaf.png', mimeType: 'image/png', buffer: png })
  await expect(page.getByRole('img', { name: /^Photo of/ })).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('img', { name: /^Photo of/ })).toBeVisible()
})
