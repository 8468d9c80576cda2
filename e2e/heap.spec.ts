import { expect, openGarden, saved, test } from './support'

test(
  'from an empty garden to compost on the shelf: loads, what it lacks, heat, ripeness, what it leaves',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/heap')
    await page.getByRole('button', { name: 'Begin a heap' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Corner heap')
    const add = async (what: string, barrows: string) => {
      await page.getByRole('combobox', { name: 'What' }).click()
      await page.getByRole('option', { name: what }).click()
      await page.getByLabel('Barrows').fill(barrows)
      await page.getByRole('button', { name: 'Add a load', exact: true }).click()
    }
    await add('grass clippings', '6')
    await expect(page.getByText(/^Too much green/)).toBeVisible()
    const wanted = /(\d+) L of autumn leaves/.exec(await page.getByText(/^Too much green/).innerText())![1]!
    // As much brown as it says: it is no longer too green, and not too brown.
    await add('autumn leaves, dry', String(Number(wanted) / 90))
    await expect(page.getByText(/^Too much green/)).toBeHidden()
    await expect(page.getByText(/^Too much brown/)).toBeHidden()
    await expect(page.getByText(/C:N (29|30|31),/)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText(/^Too much green/)).toBeVisible()
    await page.getByRole('button', { name: 'Redo' }).click()

    // Heat: three days hot is enough in a closed bin.
    for (const day of ['2027-04-02', '2027-04-06']) {
      await page.getByLabel('Built on').fill('2027-04-01')
      await page.getByLabel('Read on').fill(day)
      await page.getByLabel('Deep inside').fill('60')
      await page.getByRole('button', { name: 'Note it', exact: true }).click()
    }
    await expect(page.getByText(/4\.0 days at 55 °C and above/)).toBeVisible()
    await expect(page.getByText(/Hot for long enough in a closed bin/)).toBeVisible()
    await page.getByLabel('Rise in a vacuum flask').fill('25')
    await expect(page.getByText('Not ripe: turn it, and wait.')).toBeVisible()
    await page.getByLabel('Rise in a vacuum flask').fill('6')
    await expect(page.getByText('Ripe: fit for mixes.')).toBeVisible()

    await page.getByRole('button', { name: 'Put it on the shelf as a material' }).click()
    await expect(page.getByText(/^It is on the shelf/)).toBeVisible()
    await saved(page)
    await page.goto('/my/shelf')
    await expect(page.getByText('Corner heap').first()).toBeVisible()
  },
)
