import type { Locator, Page } from '@playwright/test'
import { expect, openGarden, saved, startJob, test } from './support'

const amount = (page: Page) => page.locator('.sum .big .figure')
const slider = (page: Page, name: string) => page.getByRole('slider', { name })
const chooseShape = (page: Page, name: string) => page.getByRole('radio', { name }).check({ force: true })

/** Drags a handle by its grip, up by so many pixels. */
async function drag(page: Page, handle: Locator, up: number, rest = 0) {
  const grip = handle.locator('circle')
  await grip.scrollIntoViewIfNeeded()
  const box = (await grip.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, y - up / 2, { steps: 4 })
  await page.waitForTimeout(rest)
  await page.mouse.move(x, y - up, { steps: 4 })
  await page.mouse.up()
}

test(
  'one of each shape, by typing: each is drawn, holds what geometry says, and is there after a reload',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/beds')
    await expect(page.getByText('No beds yet.')).toBeVisible()
    const shapes: [shape: string, fields: [label: string, value: string][], litres: RegExp][] = [
      [
        'Round pot',
        [
          ['Width across the top', '30'],
          ['Width across the base', '22'],
          ['Height', '28'],
          ['Gap below the rim', '3'],
        ],
        /^12\.9 L$/,
      ],
      [
        'Trough or box',
        [
          ['Length', '80'],
          ['Width', '20'],
          ['Length at the base', '80'],
          ['Width at the base', '20'],
          ['Height', '20'],
          ['Gap below the rim', '2.5'],
        ],
        /^28 L$/,
      ],
      [
        'Raised bed',
        [
          ['Length', '240'],
          ['Width', '120'],
          ['Height', '30'],
          ['Gap below the rim', '5'],
        ],
        /^720 L$/,
      ],
      [
        'Fabric bag',
        [
          ['Width', '40'],
          ['Height', '30'],
          ['Bulge', '0'],
          ['Gap below the rim', '0'],
        ],
        /^37\.7 L$/,
      ],
      [
        'Oval tub',
        [
          ['Length', '60'],
          ['Width', '40'],
          ['Length at the base', '60'],
          ['Width at the base', '40'],
          ['Height', '30'],
          ['Gap below the rim', '0'],
        ],
        /^56\.5 L$/,
      ],
      [
        'Gutter or split barrel',
        [
          ['Length', '100'],
          ['Width', '20'],
          ['Gap below the rim', '0'],
        ],
        /^15\.7 L$/,
      ],
      [
        'Bed of any outline',
        [
          ['Height', '30'],
          ['Gap below the rim', '0'],
        ],
        /^1\.14 m³$/,
      ],
      [
        'Heaped bed',
        [
          ['Length', '200'],
          ['Width', '80'],
          ['Height', '20'],
          ['Heaped above the rim', '10'],
        ],
        /^400 L$/,
      ],
    ]
    for (const [shape, fields, litres] of shapes) {
      await page.getByRole('button', { name: 'New bed', exact: true }).click()
      await chooseShape(page, shape)
      await page.getByLabel('Name', { exact: true }).fill(`My ${shape.toLowerCase()}`)
      for (const [label, value] of fields) await page.getByLabel(label, { exact: true }).fill(value)
      await expect(amount(page)).toHaveText(litres)
      await expect(slider(page, 'Fill line')).toBeVisible()
      // Dragged down on the drawing there is less in it, whatever its shape; undone, as much as before, though the lip
      // was typed just before.
      await drag(page, slider(page, 'Fill line'), -25)
      await expect(amount(page)).not.toHaveText(litres)
      await page.getByRole('button', { name: /^Undo/ }).click()
      await expect(amount(page)).toHaveText(litres)
    }
    await saved(page)
    await page.reload()
    const rows = page.getByRole('region', { name: 'All beds' }).getByRole('button')
    await expect(rows).toHaveCount(8)
    await page.getByRole('button', { name: /My gutter/ }).click()
    await expect(page.getByLabel('Length', { exact: true })).toHaveValue('100')
    // In the yard all stand side by side.
    await page.getByRole('button', { name: 'Yard' }).click()
    await expect(page.getByRole('button', { name: /^My / })).toHaveCount(8)
    await expect(page.getByText('your bucket, 10 L')).toBeVisible()
  },
)

test(
  'the drawing moves with the hand: fill line, holes and layers, dragged and by keys, each undone',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/beds')
    await page.getByRole('button', { name: 'New bed' }).click()
    await expect(amount(page)).toHaveText('12.9 L')
    const lip = page.getByLabel('Gap below the rim', { exact: true })

    // A slow hand: it rests for longer than typing may, and its drag is one step all the same.
    await drag(page, slider(page, 'Fill line'), -60, 1200)
    const dragged = Number(await lip.inputValue())
    expect(dragged).toBeGreaterThan(5)
    await expect(amount(page)).not.toHaveText('12.9 L')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(lip).toHaveValue('3')

    await slider(page, 'Fill line').focus()
    await page.keyboard.press('ArrowDown')
    await expect(lip).toHaveValue('3.5')
    await page.keyboard.press('PageDown')
    await expect(lip).toHaveValue('8.5')
    await page.keyboard.press('End')
    await expect(lip).toHaveValue('0')

    await page.getByRole('combobox', { name: 'Where water leaves' }).click()
    await page.getByRole('option', { name: 'Holes up the side (reservoir)' }).click()
    await drag(page, slider(page, 'Side holes'), 40)
    expect(Number(await page.getByLabel('Height of the side holes').inputValue())).toBeGreaterThan(4)

    await page.getByRole('button', { name: 'Add a layer' }).click()
    const thickness = page.getByLabel('Thickness of layer 1')
    await expect(thickness).toHaveValue('3')
    await drag(page, slider(page, 'Top of the gravel'), 50)
    const thick = Number(await thickness.inputValue())
    expect(thick).toBeGreaterThan(4)
    await slider(page, 'Top of the gravel').focus()
    await page.keyboard.press('ArrowUp')
    await expect(thickness).toHaveValue(String(thick + 0.5))
    await page.getByRole('combobox', { name: 'Layer 1' }).click()
    await page.getByPlaceholder('Search layers').fill('clay balls')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('combobox', { name: 'Layer 1' })).toContainText('clay')
    await page.getByRole('combobox', { name: 'Stands on' }).click()
    await page.getByRole('option', { name: 'A railing' }).click()
    await expect(page.getByText('Hooks, brackets and rails bear all of that')).toBeVisible()
    await page.getByRole('button', { name: 'Take out layer 1' }).click()
    await expect(thickness).toBeHidden()
  },
)

test(
  'forty containers pasted from a spreadsheet become forty beds; wrong rows are reported and the rest is kept',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my/beds')
    await page.getByRole('button', { name: 'Many at once' }).click()
    const rows = Array.from(
      { length: 40 },
      (_, i) => `Pot ${String(i + 1).padStart(2, '0')}\tpot\t1\t${20 + i}\t20`,
    )
    const sheet = page.getByRole('textbox', { name: 'Rows' })
    await sheet.fill(
      ['name\tshape\tcount\tlength\theight', ...rows, 'Bad\tpot\t1\twide\t20', 'Deep\tpot\t1\t30\t1000'].join(
        '\n',
      ),
    )
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('40 beds can be added')
    await expect(dialog).toContainText('Row 42 (Bad): “wide” under “length”; wanted: a number.')
    await expect(dialog).toContainText('Row 43 (Deep): The height is 1000 cm')
    await page.getByRole('button', { name: 'Add 40 beds' }).click()
    await page.getByLabel('Search beds').fill('pot 40')
    await expect(page.getByRole('button', { name: /Pot 40/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /Pot 39/ })).toBeHidden()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as CSV' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('open-bed beds.csv')
    await page.getByRole('button', { name: /^Undo 40 new beds/ }).click()
    await expect(page.getByText('No beds yet.')).toBeVisible()
  },
)

test(
  'several beds in one job, one of them topped up, one open to the soil, one on a balcony',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/fig/containers')
    await expect(amount(page)).toBeVisible()
    await page.getByRole('combobox', { name: 'Add one of your beds' }).click()
    await page.getByRole('option', { name: 'Clay corner bed' }).click()
    await expect(page.getByRole('heading', { name: 'Clay corner bed in this job' })).toBeVisible()
    await expect(page.getByLabel('The bed in section')).toContainText('open to the soil')
    await page.getByLabel('Old mix stays in it: top up').check()
    await page.getByLabel('It has sunk by').fill('8')
    // 2.4 by 1.2 m, 8 cm: 230.4 L, and the fig's barrel beside it.
    await expect(page.getByRole('button', { name: /Clay corner bed.*topping up/s })).toContainText('230 L')
    await page.getByLabel('It has sunk by').fill('99')
    await expect(page.locator('.field').filter({ hasText: 'It has sunk by' })).toContainText(
      'larger than the maximum',
    )
    await expect(page.getByLabel('How much')).toContainText('not counted')
    await page.getByLabel('It has sunk by').fill('8')
    await slider(page, 'Surface of the old mix').focus()
    await page.keyboard.press('ArrowDown')
    await expect(page.getByLabel('It has sunk by')).toHaveValue('8.5')

    await page.getByRole('combobox', { name: 'Add one of your beds' }).click()
    await page.getByRole('option', { name: 'Landing window boxes' }).click()
    await expect(page.getByText('It stands on a balcony or deck')).toBeVisible()
    await expect(page.getByText('a structural engineer').first()).toBeVisible()
    await expect(page.getByText(/Soaked, each weighs .* kg\/m² on what it stands on/)).toBeVisible()
    await page.getByRole('button', { name: 'Leave out Landing window boxes' }).click()
    await expect(page.getByText('It stands on a balcony or deck')).toBeHidden()
    // What is filled goes through to the quantities.
    const whole = await amount(page).innerText()
    await page.getByRole('link', { name: /^Buy/ }).click()
    await expect(page.getByLabel('From the bucket to the bed')).toContainText(whole)
  },
)

test('acid berries and brassicas in one mix are told apart', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/fig/containers')
  await page.getByRole('combobox', { name: 'Crop', exact: true }).click()
  await page.getByPlaceholder('Search crops').fill('blueberry')
  await page.getByRole('option', { name: 'Blueberry' }).click()
  // The list of crops goes away before the next one, of the same words, is asked for.
  await expect(page.getByPlaceholder('Search crops')).toHaveCount(0)
  await page.locator('.p-multiselect').click()
  await page.getByPlaceholder('Search crops').fill('cabbage')
  await page.getByRole('option', { name: 'Cabbage' }).first().click()
  await page.keyboard.press('Escape')
  await expect(
    page.getByLabel('What is filled').getByText(/Blueberry.*wants pH .* at most, Cabbage/),
  ).toBeVisible()
})

test('wrong sizes of a bed are reported in place and kept as typed', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/my/beds')
  await page.getByRole('button', { name: 'New bed' }).click()
  const field = (label: string) =>
    page.locator('.field').filter({ has: page.getByLabel(label, { exact: true }) })
  const cases: [label: string, typed: string, said: RegExp][] = [
    ['Height', '-3', /height is -3 cm/],
    ['Height', '1000', /larger than the maximum, 300 cm/],
    ['Width across the top', 'wide', /“wide” is not a number/],
    ['Gap below the rim', '40', /no room for mix/],
    ['How many do you have?', '2.5', /2.5 is not a number of containers/],
    ['Root balls planted in it', '99', /volume of root balls is 99 L/],
  ]
  for (const [label, typed, said] of cases) {
    const input = page.getByLabel(label, { exact: true })
    const before = await input.inputValue()
    await input.fill(typed)
    await expect(field(label)).toContainText(said)
    await expect(input).toHaveValue(typed)
    await input.fill(before)
  }
  await page.getByRole('button', { name: 'Add a layer' }).click()
  await page.getByLabel('Thickness of layer 1').fill('30')
  await expect(field('Thickness of layer 1')).toContainText('leave no room for mix')
  await page.getByRole('button', { name: 'Take out layer 1' }).click()
  await page.getByRole('button', { name: 'Add a cover' }).click()
  await page.getByLabel('Thickness of the cover').fill('-2')
  await expect(field('Thickness of the cover')).toContainText('less than zero')
  await page.getByLabel('Thickness of the cover').fill('two fingers')
  await expect(field('Thickness of the cover')).toContainText(/not a number|number/)
  await page.getByRole('button', { name: 'Take off the cover' }).click()
  await chooseShape(page, 'Bed of any outline')
  await page.getByLabel('2 across').fill('-400')
  await expect(page.getByLabel('Outline of the bed')).toContainText('crosses itself')
})

test(
  'every number of every shape: text, nothing, below zero and too much are reported in place, and nothing is lost',
  { tag: '@long' },
  async ({ page }) => {
    /** What may be 0: leaving nothing free, bulging by nothing, planting no root balls. */
    const mayBeNothing = new Set([
      'Gap below the rim',
      'Bulge',
      'Root balls planted in it',
      'Heaped above the rim',
      'Height of the side holes',
    ])
    const deep = new Set(['Height', 'Heaped above the rim', 'Gap below the rim', 'Height of the side holes'])
    const shapes: Record<string, string[]> = {
      'Round pot': ['Width across the top', 'Width across the base', 'Height'],
      'Trough or box': ['Length', 'Width', 'Length at the base', 'Width at the base', 'Height'],
      'Raised bed': ['Length', 'Width', 'Height'],
      'Fabric bag': ['Width', 'Height', 'Bulge'],
      'Oval tub': ['Length', 'Width', 'Length at the base', 'Width at the base', 'Height'],
      'Gutter or split barrel': ['Length', 'Width'],
      'Bed of any outline': ['Height'],
      'Heaped bed': ['Length', 'Width', 'Height', 'Heaped above the rim'],
    }
    await openGarden(page, '/my/beds')
    await page.getByRole('button', { name: 'New bed' }).click()
    const tried = new Set<string>()
    for (const [shape, sizes] of Object.entries(shapes)) {
      await chooseShape(page, shape)
      const labels = [...sizes, 'Gap below the rim', 'How many do you have?', 'Root balls planted in it']
      if (shape === 'Round pot') {
        await page.getByRole('combobox', { name: 'Where water leaves' }).click()
        await page.getByRole('option', { name: 'Holes up the side (reservoir)' }).click()
        labels.push('Height of the side holes')
      }
      for (const label of labels) {
        const input = page.getByLabel(label, { exact: true })
        const said = page.locator('.field').filter({ has: input }).locator('.said.wrong')
        const before = await input.inputValue()
        const wrong = [
          'deep',
          '',
          '-5',
          ...(mayBeNothing.has(label) ? [] : ['0']),
          ...(deep.has(label) ? ['1000'] : []),
        ]
        // Each field is tried in every shape; each wrong entry once in each field of the same name.
        const fresh = wrong.filter((typed) => !tried.has(`${label} ${typed}`))
        for (const typed of fresh.length > 0 ? fresh : ['-5']) {
          tried.add(`${label} ${typed}`)
          await input.fill(typed)
          await expect(said, `${shape}, ${label}: “${typed}”`).toBeVisible()
          expect(await input.inputValue()).toBe(typed)
        }
        await input.fill(before)
        await expect(said, `${shape}, ${label} mended`).toHaveCount(0)
      }
    }
    await saved(page)
  },
)

test(
  'a job keeps its bed when the list loses it, and can put one back',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/my')
    await startJob(page, 'Oval tub')
    await page.getByLabel('Name', { exact: true }).fill('Old bath')
    await page.getByRole('link', { name: 'Beds' }).click()
    await expect(page.getByRole('button', { name: /Old bath/ })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'What it was filled with' })).toBeVisible()
    await page.getByRole('button', { name: 'Remove' }).click()
    await expect(page.getByText('No beds yet.')).toBeVisible()
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click()
    await page.getByRole('link', { name: /Old bath/ }).click()
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Old bath')
  },
)
