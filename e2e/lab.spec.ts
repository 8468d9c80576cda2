import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to what a laboratory report asks for: pasted, read, doses over all beds; and metals of a soil',
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
    await page.goto('/my/tests')
    await page.getByRole('combobox').first().click()
    await page.getByRole('option').first().click()
    await page.getByRole('button', { name: 'Begin: Laboratory report', exact: true }).click()

    // A report as it is printed; the line nobody can read is named, the others are taken.
    await page
      .getByLabel('Name, value and unit in each line')
      .fill('pH 6.1\nEC 180 µS/cm\nNO3-N 4 mg/L\nNH4-N 1 mg/L\nK 0.6 mmol/L\nMg 20 mg/L\nFluoride 1 mg/L')
    await expect(page.getByRole('alert').filter({ hasText: 'Line 7, “Fluoride”' })).toBeVisible()
    await page.getByRole('button', { name: 'Take 6 figures' }).click()
    await expect(page.getByLabel('Potassium')).toHaveValue(/^23\.4/)
    await page.getByRole('combobox', { name: 'Method of the report' }).click()
    await page.getByRole('option', { name: '1 to 2 by volume' }).click()

    // The same figures say something else by another method.
    const says = page.getByText(/^Read for hungry crops|^Read for most crops/)
    await expect(says).toBeVisible()
    await expect(page.getByText(/^Nitrogen is very low: 14 .* in a saturated extract/)).toBeVisible()
    await expect(page.getByText(/^Nitrogen: .* of calcium nitrate over all/)).toBeVisible()
    await page.getByRole('combobox', { name: 'Method of the report' }).click()
    await page.getByRole('option', { name: '1 to 5 by volume' }).click()
    await expect(page.getByText(/^Nitrogen is .*low: 31 /)).toBeVisible()
    await page.getByRole('button', { name: 'Done', exact: true }).click()
    await saved(page)

    // Metals: against published limits, each with its name and year.
    await page.goto('/my/tests')
    await page.getByRole('combobox').first().click()
    await page.getByRole('option').first().click()
    await page.getByRole('button', { name: 'Begin: Metals in soil or compost' }).click()
    await page.getByLabel('Lead', { exact: true }).fill('150')
    await expect(page.getByText(/^Lead 150 mg\/kg is above .*California OEHHA screening 2009/)).toBeVisible()
    await expect(page.getByText(/No leaf or root crops for small children/)).toBeVisible()
    await page.getByLabel('Lead', { exact: true }).fill('450')
    await expect(page.getByText(/Grow no food in it/)).toBeVisible()
    await expect(page.getByText(/ask your health department/)).toBeVisible()
  },
)
