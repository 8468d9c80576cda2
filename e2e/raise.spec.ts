import { expect, openGarden, saved, startJob, test } from './support'

test(
  'from an empty garden to seed trays: days worked back by warmth, litres for each stage, and a judged mix for seed',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('combobox', { name: 'Crop' }).click()
    await page.keyboard.type('cherry tomato')
    await page.getByRole('option').first().click()
    await page.getByRole('link', { name: 'Raise the plants yourself' }).click()
    await expect(page.getByRole('heading', { name: 'Raise the plants', exact: true })).toBeVisible()
    const lead = page.getByRole('status').filter({ hasText: 'sow' })
    await expect(lead).toContainText(/^For \d+ plants? on .*: sow \d+ seeds? between/)
    const day = async (step: string) =>
      Date.parse(
        `${
          /^(\d+ \w+)/.exec(
            await page
              .getByRole('listitem')
              .filter({ hasText: `: ${step}` })
              .innerText(),
          )![1]
        } 2027`,
      )
    const sowing = await day('Sow')
    // Cooler is earlier; too cold says so beside the field, and nothing is lost.
    await page.getByLabel('Warmth after that').fill('14')
    await expect.poll(() => day('Sow')).toBeLessThan(sowing)
    await page.getByLabel('Warmth until it is up').fill('8')
    await expect(page.getByText('Its seed does not come up below 10 °C.').first()).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(lead).toBeVisible()
    // Larger cells take more mix.
    const stage = page.getByRole('listitem').filter({ hasText: 'of mix' }).first()
    const litres = async () => Number(/([\d.]+) L of mix/.exec(await stage.innerText())![1])
    const before = await litres()
    await page.getByRole('combobox', { name: 'Sown in' }).click()
    await page.getByRole('option', { name: '1 L pots' }).click()
    await expect.poll(litres).toBeGreaterThan(before)
    // Its mix is a job of its own, judged for seed.
    await saved(page)
    await stage.getByRole('button', { name: /^Make a job of the mix for/ }).click()
    await expect(page).toHaveURL(/mix$/)
    await expect(page.getByRole('heading', { name: /sowing/ })).toBeVisible()
  },
)
