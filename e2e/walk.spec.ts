import { addMaterial, expect, glanceAt, openGarden, saved, startJob, station, tabTo, test } from './support'

test('from an empty garden to a recorded batch, and it is there tomorrow', async ({ page }) => {
  await openGarden(page)
  await expect(page.getByText('No current jobs.')).toBeVisible()
  await startJob(page, 'Fabric bag')

  // Containers
  await page.getByRole('combobox', { name: 'Crop', exact: true }).click()
  await page.getByPlaceholder('Search crops').fill('sweet pepper')
  await page.getByRole('option', { name: 'Sweet pepper' }).click()
  await page.getByLabel('How many', { exact: true }).fill('6')
  await expect(page.getByLabel('How much')).toContainText('in each of 6')
  await page.getByLabel('Name of this job').fill('Peppers')
  await page.getByRole('button', { name: 'Go to Mix' }).click()

  // Mix: the figures follow every press
  await addMaterial(page, 'peat medium')
  const alone = await glanceAt(page, 'Weight just after watering').textContent()
  await addMaterial(page, 'green-waste')
  await addMaterial(page, 'perlite coarse')
  await page.getByRole('button', { name: 'A whole part more Sphagnum peat, medium' }).click()
  await expect(page.getByRole('group', { name: 'Sphagnum peat, medium, 2 parts' })).toBeVisible()
  expect(await glanceAt(page, 'Weight just after watering').textContent()).not.toBe(alone)
  await expect(glanceAt(page, 'pH in six weeks')).toHaveText('6.4')
  await expect(page.getByRole('region', { name: 'pH in six weeks' })).toContainText('within')
  await page.getByText('½').first().click()
  await page.getByRole('button', { name: 'Half a part less Green-waste compost' }).click()
  await expect(page.getByRole('group', { name: 'Green-waste compost, ½ parts' })).toBeVisible()
  await expect(page.getByRole('img', { name: /Peppers, in section.*Air after draining/ })).toBeVisible()

  // Buy
  await page.getByRole('button', { name: 'Go to Buy' }).click()
  await expect(page.getByLabel('From the bucket to the bed')).toContainText('in place, watered in')
  const peat = page.getByRole('row', { name: /Sphagnum peat/ })
  await expect(peat).toContainText('pressed bale')
  await peat.getByRole('button', { name: /^Pack/ }).click()
  await page.getByLabel('Price of a pack').fill('30')
  await page.getByLabel('On hand, loose').fill('40')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(peat).toContainText('40 L from your shelf')
  await page.getByRole('button', { name: 'Go to Prepare' }).click()
  await page.getByRole('button', { name: 'Go to Make' }).click()

  // Make: tick every measure of every batch
  await expect(page.getByLabel('Before you open the bags').first()).toContainText('Legionella')
  for (let batch = 0; batch < 40; batch++) {
    for (const box of await page.locator('.batch').getByRole('checkbox').all()) await box.check()
    const onward = page.locator('.after').getByRole('button')
    const last = (await onward.textContent())?.includes('Write it down')
    await onward.click()
    if (last) break
  }

  // Record
  await page.getByLabel('Note').fill('Even and fluffy.')
  await expect(page.getByText('not ticked')).toBeHidden()
  // More went in than the shelf had: it is asked, not reckoned below nothing.
  await expect(page.getByText('First say what is left of Sphagnum peat, medium.')).toBeVisible()
  await page.getByRole('combobox', { name: /^Sphagnum peat, medium: .* more went in/ }).click()
  await page.getByRole('option', { name: /it was bought as listed/ }).click()
  await page.getByRole('button', { name: 'Record this mix' }).click()
  await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
  await saved(page)

  await page.reload()
  await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
  await page.getByRole('button', { name: 'See it in Records' }).click()
  await expect(page.getByRole('article', { name: 'Peppers' })).toContainText('Perlite, coarse')
  await expect(page.getByLabel('Note')).toHaveValue('Even and fluffy.')
})

test('the same walk with the keyboard alone', { tag: '@long' }, async ({ page }) => {
  const key = (k: string) => page.keyboard.press(k)
  const type = (text: string) => page.keyboard.type(text)
  await openGarden(page)
  await tabTo(page, page.getByRole('button', { name: 'Round pot' }))
  await key('Enter')
  await expect(page).toHaveURL(/containers$/)

  await tabTo(page, page.getByRole('combobox', { name: 'Crop', exact: true }))
  await key('Enter')
  await expect(page.getByPlaceholder('Search crops')).toBeFocused()
  await type('basil')
  await key('ArrowDown')
  await key('Enter')
  await expect(page.getByRole('combobox', { name: 'Crop', exact: true })).toHaveText('Basil')
  await tabTo(page, page.getByLabel('How many', { exact: true }))
  await key('Control+a')
  await type('2')
  await tabTo(page, page.getByRole('button', { name: 'Go to Mix' }))
  await key('Enter')

  await expect(page.getByRole('heading', { name: 'Parts' })).toBeVisible()
  for (const search of ['coir pith', 'perlite medium', 'vermicompost']) {
    await key('/')
    await expect(page.getByLabel('Search materials')).toBeFocused()
    await type(search)
    await key('Enter')
    await expect(page.getByRole('dialog')).toBeHidden()
  }
  const row = (name: RegExp) => page.getByRole('group', { name })
  await tabTo(page, row(/Coir pith/), 'Shift+Tab')
  await key('+')
  await key('+')
  await expect(row(/Coir pith.*3 parts/)).toBeFocused()
  await key('ArrowDown')
  await key('ArrowDown')
  await expect(row(/Vermicompost/)).toBeFocused()
  await key('-')
  await expect(row(/Vermicompost/)).toHaveCount(0)
  await key('Control+z')
  await expect(row(/Vermicompost.*1 part/)).toBeVisible()
  await key('?')
  await expect(page.getByRole('dialog', { name: 'Keys and words' })).toBeVisible()
  await key('Escape')

  await tabTo(page, page.getByRole('button', { name: 'Go to Buy' }))
  await key('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Go to Prepare' }))
  await page.keyboard.press('Enter')
  await tabTo(page, page.getByRole('button', { name: 'Go to Make' }))
  await key('Enter')
  await expect(page.getByRole('heading', { name: /Batch 1 of 1/ })).toBeVisible()
  const boxes = page.locator('.batch').getByRole('checkbox')
  const count = await boxes.count()
  for (let i = 0; i < count; i++) {
    await tabTo(page, boxes.nth(i))
    await key('Space')
    await expect(boxes.nth(i)).toBeChecked()
  }
  await tabTo(page, page.getByRole('button', { name: 'Write it down' }))
  await key('Enter')
  await tabTo(page, page.getByLabel('Note'))
  await type('By keyboard.')
  await tabTo(page, page.getByRole('button', { name: 'Record this mix' }))
  await key('Enter')
  await expect(page.getByRole('heading', { name: 'Recorded' })).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByText('By keyboard.')).toBeVisible()
})

test('undo goes back to the beginning and redo to the end', { tag: '@long' }, async ({ page }) => {
  await openGarden(page)
  await startJob(page, 'Trough or box')
  await station(page, 'Mix')
  await addMaterial(page, 'leaf mould')
  await addMaterial(page, 'sharp')
  await page.getByRole('button', { name: 'A whole part more Leaf mould' }).click()
  const undo = page.getByRole('button', { name: /^Undo/ })
  const redo = page.getByRole('button', { name: /^Redo/ })
  await expect(undo).toHaveAccessibleName('Undo +1 Leaf mould')
  await undo.click()
  await undo.click()
  await expect(page.getByRole('group', { name: /sand/i })).toHaveCount(0)
  await undo.click()
  await expect(page.getByText('Nothing in it yet.')).toBeVisible()
  await undo.click()
  await expect(page.getByText('This job is not in your garden')).toBeVisible()
  await expect(undo).toBeDisabled()
  for (let i = 0; i < 4; i++) await redo.click()
  await expect(page.getByRole('group', { name: 'Leaf mould, 2 parts' })).toBeVisible()
  await expect(redo).toBeDisabled()
  await saved(page)
  await page.reload()
  await expect(page.getByRole('group', { name: 'Leaf mould, 2 parts' })).toBeVisible()
})

test('removing a part with the keyboard keeps the hand in the list', async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.getByRole('group', { name: /Perlite, coarse/ }).focus()
  await page.keyboard.press('Delete')
  await expect(page.getByRole('group', { name: /Aged pine bark/ })).toBeFocused()
})

test('US units everywhere, and nothing moves for it', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/settings')
  await page.getByText('US', { exact: true }).click()
  await saved(page)
  await page.goto('/demo/jobs/fig/containers')
  await expect(page.getByLabel('Width across the top')).toHaveValue('24.41')
  await expect(page.getByLabel('How much')).toContainText('gal')
  await station(page, 'Mix')
  await expect(page.getByLabel('What the mix will do')).toContainText(/\d+ lb/)
  for (const name of ['Mix', 'Buy', 'Make']) {
    await station(page, name)
    await expect(page.locator('main')).toContainText(/gal|in |lb/)
    await expect(page.locator('main')).not.toContainText(/\d (L|kg|cm|g)\b/)
  }
  await page.goto('/demo/settings')
  await page.getByText('Metric', { exact: true }).click()
  await saved(page)
  await page.goto('/demo/jobs/fig/containers')
  await expect(page.getByLabel('Width across the top')).toHaveValue('62')
})

test('each page is named in the window, a digit leads to a station, and Back shuts what is open', async ({
  page,
}) => {
  await openGarden(page, '/demo/jobs/peppers-27/make')
  await expect(page).toHaveTitle('Make · Peppers, south wall 2027 · Open Bed')
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/\/mix$/)
  await expect(page).toHaveTitle('Mix · Peppers, south wall 2027 · Open Bed')
  // The keyboard is where the page's own part begins: tools, steps, the first part.
  await expect(page.locator('[data-begin]')).toBeFocused()
  for (let i = 0; i < 3; i++) await page.keyboard.press('Tab')
  await expect(page.locator('[data-part]').first().and(page.locator(':focus'))).toHaveCount(1)
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('dialog')).toBeHidden()
  await expect(page).toHaveURL(/\/mix$/)
  await page.goBack()
  await expect(page).toHaveURL(/\/make$/)
  // Tools in a row are one step of Tab; arrow keys go along it.
  const batches = page.getByRole('toolbar', { name: 'Batches' }).getByRole('button')
  await batches.nth(2).focus()
  await page.keyboard.press('ArrowRight')
  await expect(batches.nth(3)).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /Batch 4/ })).toBeVisible()
})

test.describe('a browser in the United States', () => {
  test.use({
    contextOptions: { reducedMotion: 'reduce', locale: 'en-US', timezoneId: 'America/Los_Angeles' },
  })
  test(
    'a new garden begins in its units, money, dates and climate; a switch leaves nothing odd',
    { tag: '@long' },
    async ({ page }) => {
      await openGarden(page)
      await expect(page.getByRole('link', { name: 'Sizes in inches and US gallons' })).toBeVisible()
      await startJob(page, 'Round pot')
      await page.getByRole('combobox', { name: 'Crop' }).click()
      await page.keyboard.type('basil')
      await page.getByRole('option').first().click()
      await page.keyboard.press('Escape')
      await station(page, 'Mix')
      await addMaterial(page, 'peat')
      await page.getByRole('button', { name: 'Use Mild, dry summers' }).click()
      await expect(page.getByText(/^Waterings in /)).toBeVisible()
      await openGarden(page, '/my/settings')
      await expect(page.getByLabel('Sign for money')).toHaveValue('$')
      await page.getByRole('button', { name: /^Metric/ }).click()
      await page.getByRole('button', { name: /^Undo units/ }).click()
      await expect(page.getByRole('button', { name: 'US', exact: true })).toHaveAttribute(
        'aria-pressed',
        'true',
      )
      await page.getByRole('button', { name: /^Redo units/ }).click()
      await saved(page)
      await page.goBack()
      await station(page, 'Containers')
      await expect(page.getByText(/ L\b/).first()).toBeVisible()
      // As it begins in centimetres: not 30.48.
      await expect(page.getByLabel('Width across the top')).toBeVisible()
      const sizes = await page.getByLabel(/across|^Height/).all()
      expect(sizes.length).toBeGreaterThan(1)
      for (const size of sizes) expect(await size.inputValue()).toMatch(/^\d+$/)
    },
  )
})
