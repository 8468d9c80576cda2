import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to water that suits: a report, what it does to the mix, acid for the can, rain in a barrel',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('combobox', { name: 'Crop' }).click()
    await page.keyboard.type('blueberry')
    await page.getByRole('option').first().click()
    await station(page, 'Mix')
    await addMaterial(page, 'sphagnum peat medium')
    await addMaterial(page, 'pine bark fine')
    await saved(page)
    const mix = page.url()

    // Without a place nobody knows how much is watered.
    await page.goto('/my/water')
    await expect(page.getByRole('main')).toContainText('Choose a climate at Place first')
    await page.getByRole('main').getByRole('link', { name: 'Place' }).click()
    await page.getByRole('combobox', { name: 'Climate like' }).click()
    await page.getByRole('option').first().click()
    await page.getByRole('link', { name: 'Report, treatment and rain barrel' }).click()
    await expect(page.getByRole('heading', { name: 'Your water', exact: true })).toBeVisible()

    // 250 mg/L as calcium carbonate is 5 meq/L; the same in another unit reads otherwise and stays the same water.
    await page.getByLabel('Alkalinity', { exact: true }).fill('250')
    await expect(page.getByRole('main')).toContainText('alkalinity 5.0 meq/L (250 mg/L as calcium carbonate)')
    await page.getByRole('combobox', { name: 'Given in' }).click()
    await page.getByRole('option', { name: 'mg/L of bicarbonate' }).click()
    await expect(page.getByLabel('Alkalinity', { exact: true })).toHaveValue(/^304|^305/)
    await page.getByLabel('Conductivity', { exact: true }).fill('700')
    await expect(page.getByRole('main')).toContainText('salts 0.70 dS/m')
    await saved(page)

    // Mix says so, and leads back here.
    await page.goto(mix)
    const hard = page.getByRole('listitem').filter({ hasText: 'Your water lifts pH' })
    await hard.getByRole('link', { name: 'Compare what helps' }).click()
    await expect(page.getByRole('heading', { name: 'Your water', exact: true })).toBeVisible()

    // What it does to the mix, and what would do better; carried out, the mix gets what was offered.
    const job = page.getByRole('listitem').filter({ hasText: /Too hard for it/ })
    await expect(job).toContainText('5.0 meq/L, best 0.0 to 1.0 meq/L')
    const offer = job.getByRole('button', { name: /^Use .*rain water.* for / }).first()
    const name = /^Use (.*) for /.exec((await offer.getAttribute('aria-label'))!)![1]!
    const promised = /Better: [^.]*\. pH (?:goes from [\d.]+ to|stays at) ([\d.]+);/.exec(
      await job.innerText(),
    )![1]!
    await offer.click()
    const treated = page.getByRole('listitem').filter({ hasText: `Gets ${name}.` })
    await expect(treated).toContainText(new RegExp(`pH (goes from [\\d.]+ to|stays at) ${promised}`))
    // Mix follows it.
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(job.getByRole('button', { name: /^Use / }).first()).toBeVisible()
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(treated).toBeVisible()

    // Acid for a can: always with its caution; twice the tank takes twice as much.
    const tank = page.getByLabel('Tank', { exact: true })
    const amounts = page.getByRole('listitem').filter({ hasText: /^Tank, / })
    await expect(page.getByText('Pour the acid slowly into the water, never water into acid')).toBeVisible()
    const mL = async () => Number(/: ([\d.]+) mL/.exec(await amounts.innerText())![1])
    await tank.fill('100')
    await expect(amounts).toContainText('Tank, 100 L')
    const once = await mL()
    await tank.fill('200')
    await expect(amounts).toContainText('Tank, 200 L')
    expect(Math.abs((await mL()) - 2 * once)).toBeLessThanOrEqual(1)

    // Rain: a larger roof is never worse.
    await page.getByLabel('Roof, seen from above').fill('2')
    await page.getByLabel('Barrels together').fill('100')
    await expect(page.getByText(/days? without/).first()).toBeVisible()
    await page.getByLabel('Roof, seen from above').fill('200')
    await page.getByLabel('Barrels together').fill('5000')
    await expect(page.getByText('It lasts the whole year')).toBeVisible()
  },
)
