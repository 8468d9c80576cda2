import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test(
  'from an empty garden to a can of feed: what lacks, a feed judged on the mix, how much, when, and the next one',
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

    await station(page, 'Season')
    await page.getByText('What to feed').first().click()
    await expect(page.getByRole('heading', { name: 'Liquid feed', exact: true })).toBeVisible()
    await expect(page.getByText(/runs short from week \d+, about/)).toBeVisible()
    const offer = page.getByRole('listitem').filter({ hasText: 'Feeds the crop to' }).first()
    await expect(offer).toContainText(/(mL|g) \(.*\) in 10 L of water: [\d.]+ L each, every/)
    // Carried out, it comes to what was said.
    const promised = /to (\d+) % of enough/.exec(await offer.innerText())![1]
    await offer.getByRole('button', { name: /^Feed with/ }).click()
    const feed = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: /^Change / }) })
      .first()
    await expect(feed).toContainText(/It adds [\d.]+ dS\/m/)
    const lead = page.getByText(/With these feeds the crop gets|runs short from week/)
    await expect(lead).toBeVisible()
    if (Number(promised) >= 95) await expect(lead).toContainText(`gets ${promised} % of enough`)

    // Half as strong is half as much in the can.
    const amount = async () => Number(/([\d.]+) (?:mL|g) \(/.exec(await feed.innerText())![1])
    const before = await amount()
    await feed.getByRole('button', { name: /^Change / }).click()
    const strength = page.getByLabel('In a litre of water')
    await strength.fill(String(Number(await strength.inputValue()) / 2))
    await page.getByRole('button', { name: 'Keep this feed' }).click()
    await expect.poll(amount).toBeLessThan(before * 0.6)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(amount).toBe(before)

    // Stock: a hundred times as strong, and a meter that says how strong it comes out.
    await expect(page.getByText('Makes 505 L of feed.')).toBeVisible()
    await page.getByLabel('The meter reads, dS/m').fill('0.1')
    await expect(page.getByText(/of the strength meant/)).toBeVisible()

    // Season has it as a task of its own; done is noted in the log and asks again a week later.
    await saved(page)
    await page.getByRole('link', { name: 'Back to the season' }).click()
    await expect(page.getByText(/^Feed: /).first()).toBeVisible()
    await expect(page.getByText('Begin to feed')).toBeHidden()
  },
)
