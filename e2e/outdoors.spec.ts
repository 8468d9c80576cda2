import type { Page } from '@playwright/test'
import { addMaterial, expect, openGarden, PHONE, saved, startJob, station, test } from './support'

test.use({ hasTouch: true, viewport: PHONE, serviceWorkers: 'allow' })

const press = (page: Page) => page.locator('.press').tap()
const heading = (page: Page) => page.locator('#batch-title')

/** A job of three batches on the bench: peat, compost and perlite for a few large bags. */
async function threeBatches(page: Page) {
  await openGarden(page)
  await startJob(page, 'Fabric bag')
  await page.getByLabel('How many', { exact: true }).fill('4')
  await page.getByRole('button', { name: 'Go to Mix' }).tap()
  for (const name of ['peat medium', 'green waste compost', 'perlite coarse']) await addMaterial(page, name)
  // Peat enough that compost alone does not bring the pH up: lime goes in.
  const peat = page.getByRole('group', { name: /^Sphagnum peat, medium/ })
  for (const wanted of [2, 3]) {
    await peat.getByRole('button').last().tap()
    await expect(page.getByRole('group', { name: `Sphagnum peat, medium, ${wanted} parts` })).toBeVisible()
  }
  await page.getByRole('button', { name: 'Go to Buy' }).tap()
  await page.getByLabel('Tub, tarp or barrow').fill('80')
}

test(
  'a job of three batches on a phone with no network: reloads, running short, a pH that asks for lime, the record',
  { tag: '@long' },
  async ({ page, context }) => {
    await page.goto('/my/settings')
    await expect(page.getByText('it starts and works with no network')).toBeVisible({ timeout: 30_000 })
    await context.setOffline(true)
    await threeBatches(page)

    // What is bought is ticked in the shop.
    const peat = page.getByRole('checkbox', { name: 'Sphagnum peat, medium is bought or at hand' })
    await peat.tap()
    await expect(peat).toBeChecked()
    await saved(page)
    await page.reload()
    await expect(peat).toBeChecked()
    await page.getByRole('button', { name: 'Go to Prepare' }).tap()

    // Soaking is timed, and goes on through a reload.
    const soak = page.getByRole('listitem').filter({ hasText: 'loosen and wet the peat' })
    await soak.getByRole('button', { name: /^Time it/ }).tap()
    await expect(page.getByRole('timer')).toHaveText(/^(12:00:00|11:59:\d\d)$/)
    await soak.getByRole('checkbox').check()
    await saved(page)
    await page.reload()
    await expect(page.getByRole('timer')).toHaveText(/^11:59:\d\d$/)
    await expect(soak.getByRole('checkbox')).toBeChecked()
    await page.getByRole('button', { name: 'Go to Make' }).tap()

    // Cautions are read once a day; dust and lime are never put away.
    await page.getByRole('button', { name: 'I have read this' }).tap()
    await expect(page.getByText(/^Read today: .*legionella/i)).toBeVisible()
    const cautions = page.getByRole('complementary', { name: 'Before you open the bags' })
    await expect(cautions.getByText('Ground limestone and dolomite are dusts')).toBeVisible()

    await expect(heading(page)).toContainText('Batch 1 of 3')
    await page.getByLabel('One big step at a time').check()
    await expect(heading(page)).toContainText('2 to go after it')
    const tally = page.getByRole('img', { name: /of \d+ in/ })
    await press(page)
    await expect(tally).toHaveAccessibleName(/^1 of/)
    await saved(page)
    await page.reload()
    await expect(tally).toHaveAccessibleName(/^1 of/)
    await page.getByRole('button', { name: 'Back' }).tap()
    await expect(tally).toHaveAccessibleName(/^0 of/)
    await page.getByLabel('Left hand').check()
    for (const size of await page
      .locator('.big button')
      .evaluateAll((all) => all.map((b) => b.getBoundingClientRect().height)))
      expect(size).toBeGreaterThanOrEqual(48)
    while (await page.locator('.press').isVisible()) await press(page)
    await expect(page.getByText('All in. Turn it until it is even.')).toBeVisible()

    // Batch 2: the perlite ends here. What goes in and what the rest is made of is worked out anew.
    await page.getByRole('button', { name: 'Next batch' }).tap()
    await expect(heading(page)).toContainText('Batch 2 of 3')
    await page.getByRole('button', { name: 'Ran short, or used something else' }).tap()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Which measure').click()
    await page.getByRole('option', { name: 'Perlite, coarse' }).click()
    await dialog.getByLabel('How much of it went in').fill('2')
    await expect(dialog.getByText(/^This batch: .* L of mix instead of .* L\./)).toBeVisible()
    await dialog.getByRole('button', { name: 'The same way' }).click()
    await dialog.getByRole('button', { name: 'Use that figure' }).tap()
    const changed = page.getByText(/^Batch 3: .* L of Perlite, coarse instead of/)
    await expect(changed).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(changed).toBeVisible()
    while (await page.locator('.press').isVisible()) await press(page)

    // A reading that is lower than the tables have it asks for lime, once.
    await page.getByText('Check what is in the tub').tap()
    await page.getByLabel('pH read', { exact: true }).fill('4.2')
    await page.getByRole('button', { name: 'Keep the reading' }).tap()
    await expect(page.getByText(/Stir in \d+ g of ground/)).toBeVisible()
    await page.locator('.checks').getByRole('button', { name: 'It is in' }).tap()
    await expect(page.getByText(/Put in: \d+ g of ground/)).toBeVisible()
    await expect(page.locator('.checks').getByRole('button', { name: 'It is in' })).toHaveCount(0)

    await page.getByRole('button', { name: 'Next batch' }).tap()
    while (await page.locator('.press').isVisible()) await press(page)
    await page.getByRole('button', { name: 'Write it down' }).first().tap()
    await page.getByLabel('Lot of Sphagnum peat, medium').fill('A-117')
    await expect(page.getByText('What is left on your shelf')).toBeVisible()
    await page.locator('input[type=file]').setInputFiles('docs/screenshots/mix.png')
    await expect(page.getByRole('img', { name: /^Photo of/ })).toBeVisible()
    await page.getByRole('button', { name: 'Record this mix' }).tap()
    await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
    await saved(page)
    await page.reload()
    await page.getByRole('button', { name: 'See it in Records' }).tap()
    await expect(
      page.getByText('Sphagnum peat, medium (0-10 mm, weakly decomposed), lot A-117'),
    ).toBeVisible()
    await expect(page.getByText(/^Batch 2: 2 L of Perlite, coarse instead of/)).toBeVisible()
    await expect(page.getByText('Batch 2: pH 4.2, just mixed.')).toBeVisible()
    await expect(page.getByRole('img', { name: /^Photo of/ })).toBeVisible()
    await page.getByRole('link', { name: 'How close were the predictions?' }).tap()
    await expect(
      page.getByText(/^pH: \d of 1 reading inside the likely range; on the mean \d\.\d lower/),
    ).toBeVisible({
      timeout: 30_000,
    })
    // The bale that was ticked is on the shelf, less what went in.
    await page.goto('/my/shelf')
    await expect(
      page
        .getByRole('listitem')
        .filter({ hasText: 'Sphagnum peat, medium' })
        .getByText(/On hand\d+/),
    ).toBeVisible()
  },
)

test(
  'labels: one for each pot, each with a code, as a picture too; its code opens the record here',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo')
    await page.goto('/demo/jobs/peppers-26/labels')
    const labels = page.getByRole('img', { name: /^Sweet pepper/ })
    await expect(labels).toHaveCount(3)
    await expect(labels.first().locator('path')).toHaveAttribute('d', /^M\d+ \d+h1v1h-1z/)
    const [picture] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save one as a picture' }).tap(),
    ])
    expect(picture.suggestedFilename()).toMatch(/ label\.png$/)
    await page
      .getByRole('button', { name: 'One for each bed' })
      .or(page.getByText('One for each bed'))
      .first()
      .tap()
    await expect(labels).toHaveCount(1)
    // As a camera would: the address of the code on the device that has the record, and on one that has not.
    await page.goto('/demo/recipe?record=made-peppers-26')
    await expect(page).toHaveURL(/\/records\?id=made-peppers-26$/)
  },
)

test(
  'the shelf: several packs of one material, a sheet out and in, and none of it below zero',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await page.goto('/my/shelf')
    await page.getByLabel('Search the shelf').fill('pumice')
    await page.getByRole('button', { name: /^Pack, price and stock of Pumice/ }).tap()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Price of a pack').fill('11')
    await dialog.getByRole('button', { name: 'It is sold in another pack too' }).tap()
    await dialog.getByLabel('How it is sold').click()
    await page.getByRole('option', { name: 'In bulk, delivered' }).click()
    await dialog.getByLabel('Sold by the').fill('0.5')
    await dialog.getByLabel('Price of that amount').fill('60')
    await dialog.getByLabel('Delivery').fill('-2')
    await expect(dialog.getByText('It cannot be less than 0.')).toBeVisible()
    await expect(dialog.getByRole('button', { name: 'Keep' })).toBeDisabled()
    await dialog.getByLabel('Delivery').fill('25')
    await dialog.getByLabel('On hand, loose').fill('5')
    await dialog.getByRole('button', { name: 'Keep' }).tap()
    await expect(page.getByText('20 L bag, 11.00')).toBeVisible()
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the shelf as CSV' }).tap(),
    ])
    const { readFileSync } = await import('node:fs')
    const text = readFileSync((await file.path())!, 'utf8')
    expect(text).toContain(',bulk,500,,60,25')
    await page.getByRole('button', { name: 'Read a sheet' }).tap()
    await dialog
      .getByLabel('Rows')
      .fill('material,sold as,size,price,on hand\nPumice,bag,25,12,7\nStardust,bag,1,1,1')
    await expect(dialog.getByText('Row 3 (Stardust): “Stardust” under “material”')).toBeVisible()
    await dialog.getByRole('button', { name: 'Set the shelf like this' }).tap()
    await expect(page.getByText('25 L bag, 12.00')).toBeVisible()
    await page.getByRole('button', { name: /^Undo/ }).tap()
    await expect(page.getByText('20 L bag, 11.00')).toBeVisible()
  },
)

test(
  'one list for two jobs, a substitute where something cannot be bought, against bags',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo')
    await page.goto('/demo/jobs/peppers-27/buy')
    await expect(page.getByText(/(cheaper|dearer) than bags\./)).toBeVisible()
    const measure = page
      .getByRole('row', { name: /Sphagnum peat, medium/ })
      .locator('[data-label="Measure out"]')
    const alone = parseFloat((await measure.textContent())!)
    await page.locator('.p-multiselect').click()
    await page.getByRole('option').first().click()
    await page.keyboard.press('Escape')
    await expect.poll(async () => parseFloat((await measure.textContent())!)).toBeGreaterThanOrEqual(alone)
    // A phone keeps what can be done with a line until it is asked for.
    await page.getByRole('button', { name: 'More of Perlite, coarse' }).tap()
    await page.getByRole('button', { name: 'Perlite, coarse cannot be bought: find another' }).tap()
    await expect(page).toHaveURL(/\/finder$/)
    await expect(page.getByText(/recipes/).first()).toBeVisible()
    await station(page, 'Prepare')
    await page.getByLabel('Mixing day').fill('2020-01-01')
    await expect(page.getByText(/had to begin on 31 Dec 2019/).first()).toBeVisible()
  },
)
