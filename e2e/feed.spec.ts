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

    // Two stages of the feed: the stock is of the one in use, and the round gives the days of both.
    const tank = page.getByRole('region', { name: 'Tank A' }).getByRole('listitem')
    const stock = await tank.allInnerTexts()
    expect(stock.length).toBeGreaterThan(0)
    const dayOf = (label: string) => page.getByRole('dialog').getByLabel(label, { exact: true })
    await feed.getByRole('button', { name: /^Change / }).click()
    const begins = await dayOf('From').inputValue()
    const after = (days: number) =>
      new Date(Date.parse(`${begins}T12:00Z`) + days * 86_400_000).toISOString().slice(0, 10)
    const name = (await dayOf('Feed with').innerText()).trim()
    await dayOf('To').fill(after(14))
    await page.getByRole('button', { name: 'Keep this feed' }).click()
    await page.getByRole('button', { name: 'A feed of your choice' }).click()
    await dayOf('Feed with').click()
    await page.keyboard.type(name)
    await page.getByRole('option').first().click()
    await dayOf('From').fill(after(21))
    await page.getByRole('button', { name: 'Keep this feed' }).click()
    await expect(page.getByRole('button', { name: /^Change / })).toHaveCount(stock.length + 1)
    expect(await tank.allInnerTexts()).toEqual(stock)
    const round = page.getByRole('listitem').filter({ hasText: /Every \S+ from .*in 10 L of water/s })
    const stages = round.filter({ hasText: name }).filter({ hasNot: page.getByRole('button') })
    await expect(stages).toHaveCount(2)
    await expect(stages.filter({ hasText: / to \d/ })).toHaveCount(1)
    await expect(stages.filter({ hasText: 'as long as it grows' })).toHaveCount(1)

    // Season has it as a task of its own; done is noted in the log and asks again a week later.
    await saved(page)
    await page.getByRole('link', { name: 'Back to the season' }).click()
    await expect(page.getByText(/^Feed: /).first()).toBeVisible()
    await expect(page.getByText('Begin to feed')).toBeHidden()
  },
)
