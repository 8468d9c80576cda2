import { expect, field, openGarden, test } from './support'

test.describe('at the moments of work', { tag: '@long' }, () => {
  test('D1: where a dose goes never changes what was typed', async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    await page.getByRole('combobox', { name: 'Add a feed or other' }).click()
    await page.getByPlaceholder(/^Search/).fill('bone meal')
    await page
      .getByRole('option', { name: /Bone meal/ })
      .first()
      .click()
    const line = page.getByRole('group', { name: /Bone meal/ })
    const amount = line.getByRole('textbox', { name: /Amount of/ })
    for (const typed of ['0.25 cups per plant', '3 tablespoons in all']) {
      await amount.fill(typed)
      const all = /([\d.]+ g) in all|^.*?([\d.]+ g)/
      await expect(line).toContainText(all)
      for (const place of ['In the top', 'In the planting hole', 'Held back', 'All through']) {
        await line.getByRole('combobox', { name: /Where/ }).click()
        await page.getByRole('option', { name: place }).click()
        await expect(amount).toHaveValue(typed)
      }
    }
  })
  test('D9: a part is typed, and what cannot be read goes back', async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    const parts = page.getByRole('textbox', { name: 'Parts of Perlite, coarse' })
    await parts.fill('9')
    await parts.press('Enter')
    await expect(page.getByRole('group', { name: 'Perlite, coarse, 9 parts' })).toBeVisible()
    await parts.fill('lots')
    await parts.press('Enter')
    await expect(parts).toHaveValue('9')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('group', { name: 'Perlite, coarse, 2 parts' })).toBeVisible()
  })
  test('B5: many batches have a counter, and paper has a box for each of them', async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/buy')
    await field(page, 'Tub, tarp or barrow').getByRole('textbox').fill('16')
    await page.keyboard.press('Tab')
    await page.goto('/demo/jobs/peppers-27/make')
    const counter = page.getByRole('group', { name: 'Batches' })
    await expect(counter).toContainText(/^Batch 1 of \d\d/)
    await expect(counter).toContainText('0 done')
    await counter.getByRole('button', { name: 'The next one' }).click()
    await expect(page.getByRole('heading', { name: /^Batch 2 of/ })).toBeVisible()
    const of = Number(/of (\d+)$/.exec(await counter.getByText(/^Batch/).innerText())![1])
    await page.emulateMedia({ media: 'print' })
    const peat = page.getByRole('paragraph').filter({ hasText: /Sphagnum peat, medium.*☐/ })
    const boxes = (await peat.allTextContents()).join('').split('☐').length - 1
    expect(boxes).toBe(of)
  })
  test.describe('by another clock', () => {
    test.use({ alone: true })
    test('T5: a record is dated by its press, though the page was open over midnight', async ({ page }) => {
      await page.clock.install({ time: new Date('2027-04-20T23:58:00') })
      await openGarden(page, '/demo/jobs/peppers-27/record')
      await page.clock.setFixedTime(new Date('2027-04-21T00:03:00'))
      await page.getByLabel('Take what I used off my shelf').uncheck()
      await page.getByRole('button', { name: /^I made/ }).click()
      await page.getByRole('button', { name: /^Record/ }).click()
      await expect(page.getByText(/21 Apr 2027/)).toBeVisible()
    })
  })
  test('T11: the table behind the section lies on nothing else', async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 })
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    await page.getByText('As a table').click()
    const table = await page.locator('.cutaway table').boundingBox()
    const moves = await page.getByRole('heading', { name: 'Next moves' }).boundingBox()
    expect(table!.y + table!.height).toBeLessThanOrEqual(moves!.y)
    const picture = await page.locator('.cutaway .stage').boundingBox()
    expect(picture!.height).toBeGreaterThan(300)
  })
  test('T12: a list of long choices is no wider than a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await openGarden(page, '/demo/jobs/peppers-27/prepare')
    await page.getByRole('combobox', { name: 'Another step' }).click()
    await expect(page.getByRole('option').first()).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    const option = await page.getByRole('option').first().boundingBox()
    expect(option!.x + option!.width).toBeLessThanOrEqual(390)
  })
  test('T21: labels made on this machine ask once for an address phones can open', async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/labels')
    const label = 'Address others reach this app by'
    await page.getByLabel(label).fill('localhost')
    await expect(field(page, label)).toContainText('No phone can open that')
    await page.getByLabel(label).fill('http://192.168.1.20:4311')
    await expect(field(page, label)).not.toContainText('No phone can open that')
  })
  test('a record is printed as it is read, and made again with nothing ticked', async ({ page }) => {
    await openGarden(page, '/demo/records')
    const sheet = page.getByRole('article').first()
    await page.emulateMedia({ media: 'print' })
    await expect(sheet).toContainText('What went in')
    await expect(page.getByRole('button', { name: 'Make it again' })).toBeHidden()
    await page.emulateMedia({ media: 'screen' })
    await page.getByRole('button', { name: 'Make it again' }).click()
    await expect(page).toHaveURL(/\/jobs\/[^/]+\//)
    await expect(page.getByRole('navigation', { name: 'Stations of this job' })).toBeVisible()
  })
})
