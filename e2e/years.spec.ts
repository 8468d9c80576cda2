import { expect, openGarden, saved, test } from './support'

test(
  'from an empty garden to three years of crops: what grew, what comes next, what compost has left',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/years')
    await expect(page.getByText(/^No bed that keeps its soil/)).toBeVisible()
    await page.getByRole('link', { name: 'To the beds' }).click()
    for (const name of ['North bed', 'South bed']) {
      await page.getByRole('button', { name: 'New bed', exact: true }).click()
      await page.getByRole('radio', { name: 'Raised bed' }).check({ force: true })
      await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name)
      await page.getByRole('textbox', { name: 'Name', exact: true }).blur()
    }
    await saved(page)
    await page.getByRole('link', { name: 'Over the years' }).click()
    const thisYear = new Date().getFullYear()
    const say = async (bed: string, year: number, crop: string) => {
      await page.getByRole('button', { name: bed }).click()
      await page.getByRole('combobox', { name: `Crop in ${year}` }).click()
      await page.keyboard.type(crop)
      await page
        .getByRole('option', { name: new RegExp(crop, 'i') })
        .first()
        .click()
    }
    await say('North bed', thisYear, 'kale')
    await say('South bed', thisYear, 'garlic')
    // They change places next year: the yard says so, and no family is too soon.
    await expect(page.getByRole('button', { name: /garlic.*North bed/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /kale.*South bed/ })).toBeVisible()
    // A crop put where its family has just been says so at once.
    await say('North bed', thisYear + 1, 'rocket')
    await expect(page.getByText(/^Too soon: the cabbage family grew here last year/)).toBeVisible()
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(page.getByText(/^Too soon: the cabbage family grew here last year/)).toBeHidden()
    // Compost adds up.
    await page.getByRole('button', { name: String(thisYear), exact: true }).click()
    await page.getByLabel(/^Compost or manure spread in/).fill('5')
    await page.getByLabel(/^Compost or manure spread in/).blur()
    await expect(page.getByText(/needs none for (\d+ years|10 years and more)/)).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(page.getByRole('button', { name: /North bed/ })).toBeVisible()
  },
)
