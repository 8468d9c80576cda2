import { readFileSync } from 'node:fs'
import { expect, openGarden, PHONE, saved, station, tabTo, test } from './support'

test('a recorded mix is filled in lifts, planted, followed and looked back on; all of it can be undone and is there tomorrow', async ({
  page,
}) => {
  await openGarden(page, '/demo/jobs/peppers-27/fill')
  const steps = page.getByRole('checkbox')
  await expect(page.getByText(/Lift 1 of 3: .* loose, .* in each/)).toBeVisible()
  const count = await steps.count()
  expect(count).toBeGreaterThan(6)
  // A lift that is ticked is in the picture, to the mark that its line says.
  const picture = page.getByRole('img', { name: /^The container in section: 0 of 3 parts are in/ })
  const first = page.getByRole('listitem').filter({ hasText: /Lift 1 of 3/ })
  const [, mark] = /Level it (\d.*? below the rim)/.exec((await first.textContent())!)!
  await expect(picture).toHaveAccessibleName(new RegExp(`to ${mark}`))
  await first.getByRole('checkbox').check()
  await expect(page.getByRole('img', { name: /1 of 3 parts are in/ })).toBeVisible()
  await first.getByRole('checkbox').uncheck()
  for (const box of await steps.all()) await box.check()
  await expect(page.getByText('Some steps are not ticked.')).toBeHidden()
  await page.getByRole('button', { name: 'Undo ticking a step' }).click()
  await expect(page.getByText('Some steps are not ticked.')).toBeVisible()
  await page.getByLabel('Planted or sown on').fill('2027-05-22')
  await page.getByRole('button', { name: 'It is planted' }).click()

  await expect(page).toHaveURL(/season$/)
  await expect(page.getByText('Planted on 22 May 2027.')).toBeVisible()
  await expect(page.getByRole('group', { name: /^The season on a line of time/ })).toBeVisible()
  const nav = page.getByRole('navigation', { name: 'Stations of this job' })
  await expect(nav.getByRole('link')).toHaveText([
    /Containers/,
    /Mix/,
    /Buy/,
    /Prepare/,
    /Make/,
    /Fill.*done/,
    /Season.*next/,
  ])
  const due = page.getByRole('listitem').filter({ hasText: 'Shade and shelter' })
  await expect(due).toContainText('22 May to 29 May 2027')
  // Moved along the line by keys and by hand, the list says so; moved back by the list.
  const bar = page.getByRole('slider', { name: 'Shade and shelter' })
  await bar.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('PageUp')
  await expect(due).toContainText('30 May to 6 Jun 2027')
  await expect(due).toContainText('moved from 22 May')
  await expect(bar).toBeFocused()
  const at = (await bar.locator('.bar').boundingBox())!
  await page.mouse.move(at.x + 4, at.y + 5)
  await page.mouse.down()
  await page.mouse.move(at.x + 60, at.y + 9, { steps: 4 })
  await page.mouse.up()
  await expect(due).not.toContainText('30 May')
  await page.getByRole('combobox', { name: 'Move a task' }).click()
  await page.getByRole('option', { name: 'Shade and shelter' }).click()
  await page.getByRole('button', { name: 'Back to 22 May' }).click()
  await expect(due).toContainText('22 May to 29 May 2027')
  // pH, salts, food and level lie on the same days.
  await expect(page.getByRole('img', { name: /^pH\. Expected \d/ })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save to your calendar' }).click()
  const file = readFileSync(await (await download).path(), 'utf8').replaceAll('\r\n ', '')
  expect((await download).suggestedFilename()).toBe('Peppers, south wall 2027.ics')
  expect(file).toContain('SUMMARY:Peppers\\, south wall 2027: Shade and shelter')
  expect(file).toContain('DTSTART;VALUE=DATE:20270522')
  await due.getByRole('checkbox').check()
  await saved(page)
  await page.reload()
  await expect(due.getByRole('checkbox')).toBeChecked()
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
  const line = page.getByRole('link', { name: /Peppers, south wall 2027/ })
  await expect(line).toContainText('Season')
  await expect(line).toContainText('Test the pH: 5 Jun')
  await line.click()
  await page.getByRole('listitem').filter({ hasText: 'Look back' }).getByRole('checkbox').check()
  await page.getByRole('button', { name: 'Begin it again for another year' }).click()
  await expect(page.getByLabel('Name of this job')).toHaveValue('Peppers, south wall 2028')
})

test(
  'months, winter and room follow the place and the crop; the number of plants is the grower’s',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/fig/containers')
    const form = page.getByLabel('What is filled')
    await expect(form).toContainText(
      /In a pot the roots of fig survive down to about .* short: take it in for the winter/,
    )
    await page.getByLabel('Plants in each').fill('4')
    await expect(page.getByLabel('How much')).toContainText('4 in each is more than have room')
    await page.getByLabel('Plants in each').fill('none')
    await expect(form).toContainText('“none” is not a number')
    await page.getByRole('button', { name: 'As many as have room' }).click()
    await expect(page.getByLabel('How much')).toContainText('Room for 1 plant in each')
    await form.getByRole('link', { name: 'Cool coast' }).click()
    await page.getByLabel('Coldest night of most winters').fill('-3')
    await expect(page.getByText('your figure; zone 9b')).toBeVisible()
    await page.goBack()
    await expect(form).toContainText(/near −3 °C \(zone 9b\)/)
    await page.getByRole('combobox', { name: 'Crop', exact: true }).click()
    await page.getByPlaceholder('Search crops').fill('bush bean')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await page.getByRole('combobox', { name: 'Planted in' }).click()
    await page.getByRole('option', { name: 'March' }).click()
    await expect(form).toContainText('Planted in March it would want shelter; outside from')
    await expect(form.getByRole('listitem', { name: '' }).filter({ hasText: 'June' }).first()).toContainText(
      'can be planted',
    )
  },
)

test('filling and the season by keyboard alone, on a phone', { tag: '@long' }, async ({ page }) => {
  await page.setViewportSize(PHONE)
  await openGarden(page, '/demo/jobs/fig/fill')
  const first = page.getByRole('checkbox').first()
  await tabTo(page, first)
  await page.keyboard.press('Space')
  await expect(first).toBeChecked()
  await tabTo(page, page.getByRole('button', { name: 'It is planted' }))
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/season$/)
  const shade = page.getByLabel(/Shade and shelter/)
  await tabTo(page, shade)
  await page.keyboard.press('Space')
  await expect(shade).toBeChecked()
  await station(page, 'Containers')
  await expect(page).toHaveURL(/containers$/)
})

test('the log: a watering in two taps, a pH beside what was expected, a harvest; searched, undone, there tomorrow', async ({
  page,
}) => {
  await page.setViewportSize(PHONE)
  await openGarden(page, '/demo')
  await page.goto('/demo/jobs/herbs-26/season')
  await page.getByRole('link', { name: 'Note something in the log' }).click()
  await page.getByRole('button', { name: 'Watered', exact: true }).click()
  const lines = page.locator('.entry')
  await expect(lines).toHaveCount(1)
  // It is said at once, where the thumb is, and can be taken back there.
  const noted = page.getByRole('status').filter({ hasText: 'noted' })
  await expect(noted).toContainText('Watered, noted.')
  await noted.getByRole('button', { name: 'Undo' }).click()
  await expect(lines).toHaveCount(0)
  await page.getByRole('button', { name: 'Watered', exact: true }).click()
  await page.getByRole('button', { name: 'pH read' }).click()
  await page.getByLabel('pH', { exact: true }).fill('12')
  await expect(page.getByText('No meter reads that in a mix: 2.5 to 9.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep pH read' })).toBeDisabled()
  await page.getByLabel('pH', { exact: true }).fill('5.8')
  await page.getByRole('button', { name: 'Keep pH read' }).click()
  await expect(lines.first()).toContainText(/pH read\s*5\.8, \d\.\d expected/)
  await page.getByRole('button', { name: 'Harvest' }).click()
  await page.getByLabel('Weight').fill('0.4')
  await page.getByRole('button', { name: 'Keep harvest' }).click()
  await expect(page.getByText(/^So far: 0\.40? kg harvested, watered once\.$/)).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(lines).toHaveCount(3)
  await page
    .getByRole('button', { name: /^Change: Watered/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Remove this line' }).click()
  await expect(lines).toHaveCount(2)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(lines).toHaveCount(3)
  await page.goto('/demo/records')
  await expect(page.getByRole('link', { name: 'How close were the predictions?' })).toBeVisible()
})
