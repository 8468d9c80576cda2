import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to a sheet for who waters: days away, what each bed needs, and the sheet by its link',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('combobox', { name: 'Crop' }).click()
    await page.keyboard.type('cherry tomato')
    await page.getByRole('option').first().click()
    await station(page, 'Mix')
    await addMaterial(page, 'sphagnum peat medium')
    await addMaterial(page, 'perlite')
    await saved(page)

    await page.goto('/my/away')
    await expect(page.getByRole('main')).toContainText('Choose a climate at Place first')
    await page.getByRole('main').getByRole('link', { name: 'Place' }).click()
    await page.getByRole('combobox', { name: 'Climate like' }).click()
    await page.getByRole('option').first().click()
    await saved(page)
    await page.goto('/my/away')
    await expect(page.getByText('Nothing is planted yet')).toBeVisible()

    // Planted in May, away in July.
    await page.goto('/my')
    await page
      .getByRole('link', { name: /tomato/i })
      .first()
      .click()
    await station(page, 'Fill')
    await page.getByLabel('Planted or sown on').fill('2027-05-15')
    await page.getByRole('button', { name: 'It is planted' }).click()
    await saved(page)
    await page.getByRole('link', { name: 'Days away' }).click()
    await page.getByLabel('First day away').fill('2027-07-10')
    await page.getByLabel('Home again').fill('2027-07-24')
    const bed = page
      .getByRole('listitem')
      .filter({ hasText: /L (on|every|, morning)|Nothing:|It lasts about/ })
    await expect(bed.first()).toContainText(/kg after watering/, { timeout: 20_000 })
    await expect(page.getByText(/to water, .* to look at/)).toBeVisible()
    const does = (await bed.first().innerText()).split('\n').find((line) => / L |Nothing|lasts/.test(line))!

    // Days in the wrong order get a message, and nothing is lost.
    await page.getByLabel('Home again').fill('2027-07-01')
    await expect(page.getByText('It ends before it begins.')).toBeVisible()
    await page.getByLabel('Home again').fill('2027-07-24')

    // The link carries the sheet itself.
    const link = await page.getByLabel('Link to the sheet').inputValue()
    await page.goto(link)
    await expect(page.getByRole('heading', { name: /^Watering from 10 Jul to 24 Jul/ })).toBeVisible()
    await expect(page.getByRole('main')).toContainText(does)
    await expect(page.getByRole('main')).toContainText('Do not lift what is heavy')
    await page.goto(link.slice(0, -12))
    await page.reload()
    await expect(page.getByText('This link is broken')).toBeVisible()
  },
)
