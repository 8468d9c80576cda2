import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to what is safe: sides of a bed, a report on its soil, beans against weedkiller with photos',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Raised bed')
    await page.getByRole('combobox', { name: 'Crop' }).click()
    await page.keyboard.type('carrot')
    await page.getByRole('option').first().click()

    // What its sides were is asked with the bed, and answered there, when it is prepared and when it is filled.
    await page.getByRole('combobox', { name: 'Its sides were' }).click()
    await page.getByRole('option', { name: /^railway sleepers/ }).click()
    await expect(page.getByText(/^Not for food: creosote seeps for decades/)).toBeVisible()
    await station(page, 'Mix')
    await addMaterial(page, 'loam')
    await addMaterial(page, 'green compost')
    await saved(page)
    for (const name of ['Prepare', 'Fill']) {
      await station(page, name)
      await expect(page.getByText(/railway sleepers or poles.*Not for food/).first()).toBeVisible()
      await expect(page.getByText(/environmental health office/).first()).toBeAttached()
    }

    // A report on the soil, read by its method: 140 mg/kg of phosphorus is high by Mehlich-3.
    const begin = async (name: string) => {
      await page.goto('/my/tests')
      await page.getByRole('combobox').first().click()
      await page.getByRole('option').first().click()
      await page.getByRole('button', { name: `Begin: ${name}` }).click()
    }
    await begin('Laboratory report on field soil')
    await page.getByLabel('Phosphorus', { exact: true }).fill('140')
    await page.getByLabel('Potassium', { exact: true }).fill('60')
    await expect(page.getByText(/^Phosphorus 140 mg\/kg is high/)).toBeVisible()
    await expect(page.getByText(/Give no compost, manure, bone meal/)).toBeVisible()
    await expect(page.getByText(/^Potassium 60 mg\/kg is (very )?low .*potassium sulfate/)).toBeVisible()
    await page.getByRole('button', { name: 'Done', exact: true }).click()
    await saved(page)

    // Beans: two twisted and no clean one, with a photo that stays.
    await begin('Beans against weedkiller')
    for (const [label, count] of [
      ['Pots with the stuff', '6'],
      ['Twisted with the stuff', '3'],
      ['Clean pots', '6'],
      ['Twisted in clean pots', '0'],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(count)
      await page.getByLabel(label, { exact: true }).blur()
    }
    await expect(page.getByText(/^3 of 6 are twisted and none of the clean ones: do not use/)).toBeVisible()
    const png = await page.screenshot({ clip: { x: 0, y: 0, width: 60, height: 40 } })
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'beans.png', mimeType: 'image/png', buffer: png })
    const photo = page.getByRole('img', { name: /^Photo of/ })
    await expect(photo).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(photo).toBeVisible()
    // Removed with its test, and back with it.
    await page.getByRole('button', { name: 'Remove the test' }).click()
    await page.getByRole('button', { name: /^Undo/ }).click()
    await page.goBack()
    await expect(photo).toBeVisible()
  },
)
