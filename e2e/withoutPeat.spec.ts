import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to a mix without peat that behaves like one with it, side by side, with what changes',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('combobox', { name: 'Crop' }).click()
    await page.keyboard.type('sweet pepper')
    await page.getByRole('option').first().click()
    await station(page, 'Mix')
    await addMaterial(page, 'sphagnum peat medium')
    await addMaterial(page, 'perlite')
    await saved(page)
    await page.goto(page.url().replace(/mix$/, 'compare'))
    await page.getByRole('button', { name: 'Find one without peat' }).click()
    const table = page.getByRole('table').first()
    await expect(table).toContainText('Without peat', { timeout: 60_000 })
    await expect(table.getByRole('columnheader', { name: /^Without peat/ })).toHaveCount(1)
    await expect(page.getByRole('heading', { name: 'What changes without peat' })).toBeVisible()
    await expect(page.getByText(/The top dries pale while the core is wet/)).toBeVisible()
    // Its footprint stands beside the other's, each with its range, and is smaller.
    const row = page.getByRole('row').filter({ hasText: 'Carbon dioxide, to the gate' })
    await expect(row).toContainText(/ to /)
    const grams = (await row.getByRole('cell').allInnerTexts()).map((t) => Number(/([\d.]+) g/.exec(t)?.[1]))
    expect(grams[1]!).toBeLessThan(grams[0]!)
    // It is kept as a version, and can be put on the bench.
    await saved(page)
    await page.reload()
    await expect(page.getByRole('table').first()).toContainText('Without peat')
  },
)
