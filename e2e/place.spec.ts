import { expect, openGarden, saved, startJob, test } from './support'

test(
  'a place makes the mix say how often it wants water, and a dry one more often',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    const drying = page.getByRole('region', { name: /^Waterings in/ })
    const every = async () => Number((await drying.locator('.figure').innerText()).match(/[\d.]+/)?.[0] ?? 1)
    const cool = await every()
    await openGarden(page, '/demo/place')
    await page.getByRole('combobox', { name: 'Climate like' }).click()
    await page.getByRole('option', { name: 'High and dry' }).click()
    await expect(page.getByText(/A lawn would use .* mm a day/)).toBeVisible()
    await page.getByLabel('Days between waterings you can keep').fill('4')
    await saved(page)
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    expect(await every()).toBeLessThan(cool / 1.4)
    await expect(drying).toContainText('below')
    await expect(drying).toContainText('dries sooner than you can water')
    await page.getByRole('link', { name: 'Containers' }).click()
    await page.getByText('What the mix has to meet').click()
    await expect(page.getByText('you can water every 4 days')).toBeVisible()
  },
)

test(
  'a climate comes in from a file, or the page says why not; figures beyond any place are reported in place',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/place')
    await page.getByRole('combobox', { name: 'Climate like' }).click()
    await page.getByRole('option', { name: 'Inland, cold winters' }).click()
    const file = (text: string) => ({ name: 'climate.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
    const picker = page.getByLabel('CSV file of a climate')
    await picker.setInputFiles(file('tmin,tmax,rain\n1,2,3'))
    await expect(page.getByRole('alert')).toContainText('The file was not taken.')
    await expect(page.getByLabel('January, nights')).toHaveValue('-6')
    const rows = Array.from({ length: 12 }, (_, i) => `${i},${i + 9},${40 + i}`).join('\n')
    await picker.setInputFiles(file(`tmin,tmax,rain\n${rows}`))
    await expect(page.getByRole('alert')).toBeHidden()
    await expect(page.getByLabel('December, days')).toHaveValue('20')
    await expect(page.getByRole('combobox', { name: 'Climate like' })).toContainText('My own figures')
    await page.getByLabel('Latitude, degrees').fill('91')
    await expect(page.locator('.field').filter({ hasText: 'Latitude' })).toContainText('between -70 and 70')
    await page.getByLabel('May, nights').fill('50')
    await expect(page.locator('.field').filter({ hasText: 'May, nights' })).toContainText(
      'larger than the maximum',
    )
    // The night, the latitude, and the file: each a step of its own.
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(page.getByLabel('January, nights')).toHaveValue('-6')
    await expect(page.getByRole('combobox', { name: 'Climate like' })).toContainText('Inland')
  },
)

test('bands say why, can be moved, and be left to the crop again', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/containers')
  await page.getByText('What the mix has to meet').click()
  await expect(page.getByText('what sweet pepper likes').first()).toBeVisible()
  await page.getByLabel('Air after draining, from').fill('35')
  await expect(page.locator('.field').filter({ hasText: 'Air after draining, from' })).toContainText(
    'More than the upper end',
  )
  await page.getByLabel('Air after draining, to').fill('45')
  await expect(page.getByText('moved by you').first()).toBeVisible()
  await page.getByRole('link', { name: 'Mix', exact: false }).first().click()
  await expect(page.getByRole('region', { name: 'Air after draining' })).toContainText('below')
  await page.getByRole('link', { name: 'Containers' }).click()
  await page.getByText('What the mix has to meet').click()
  await page.getByRole('button', { name: 'Use the range for the crop' }).first().click()
  await expect(page.getByText('moved by you')).toBeHidden()
})

test('a job is put away, taken up, and begun again for another year', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/my')
  await startJob(page, 'Round pot')
  await page.getByLabel('Name of this job').fill('Fig 2026')
  await page.getByRole('button', { name: 'Put this job away' }).click()
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
  await expect(page.getByText('No current jobs.')).toBeVisible()
  await page.getByText('Done and put away (1)').click()
  await page.getByRole('button', { name: 'Begin Fig 2026 again for another year' }).click()
  await expect(page.getByLabel('Name of this job')).toHaveValue('Fig 2027')
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
  await page.getByText('Done and put away (1)').click()
  await page.getByRole('button', { name: 'Take up Fig 2026 again' }).click()
  await expect(page.getByLabel('Current jobs').getByRole('link')).toHaveCount(2)
})

test('one mix in two beds of different depth is judged in either', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/containers')
  await page.getByRole('combobox', { name: 'Add one of your beds' }).click()
  await page.getByRole('option', { name: /^Transplant pots/ }).click()
  await page.getByRole('link', { name: /^Mix/ }).click()
  const air = page.getByRole('region', { name: 'Air after draining' }).locator('.figure')
  const deep = parseFloat(await air.innerText())
  await page.getByRole('button', { name: /Transplant pots: \d+ % air/ }).click()
  await expect(air).not.toHaveText(`${deep} %`)
  expect(parseFloat(await air.innerText())).toBeLessThan(deep)
})
