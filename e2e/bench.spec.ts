import { readFile } from 'node:fs/promises'
import type { Locator, Page } from '@playwright/test'
import {
  addMaterial,
  expect,
  field,
  glanceAt,
  opened,
  openGarden,
  PHONE,
  saved,
  startJob,
  station,
  tabTo,
  test,
} from './support'

const moves = (page: Page) => page.getByRole('region', { name: 'Next moves' }).getByRole('listitem')

test('looking at a plus moves the marks before anything is changed', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  const air = page.getByRole('region', { name: 'Air after draining' })
  await expect(air.locator('.would')).toHaveCount(0)
  await expect(air).toContainText('likely')
  const last = page.getByRole('region', { name: 'What the mix will do' }).getByText('Cost', { exact: true })
  const before = await last.boundingBox()
  await page.getByRole('button', { name: 'A whole part more Perlite, coarse' }).hover()
  await expect(air.locator('.would')).toHaveText(/→ \d+ %/)
  const percent = async (of: Locator) => Number(/\d+/.exec((await of.textContent())!)![0])
  const now = await percent(air.locator('.figure').first())
  const would = await percent(air.locator('.would'))
  expect(would).toBeGreaterThan(now)
  expect(await last.boundingBox()).toEqual(before)
  // The press makes it so, and what the next one would do takes its place.
  await page.getByRole('button', { name: 'A whole part more Perlite, coarse' }).click()
  await expect(air.locator('.figure').first()).toHaveText(`${would} %`)
  await expect.poll(() => percent(air.locator('.would'))).toBeGreaterThan(would)
  await expect(air.locator('.would')).toBeVisible()
  await page.mouse.move(5, 5)
  await expect(air.locator('.figure').first()).toHaveText(`${would} %`)
  await expect(air.locator('.would')).toHaveCount(0)
})

test(
  'the mix is painted in its section, and painted anew when it changes',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    const box = (await page.locator('.stage canvas').boundingBox())!
    // The middle of the mix: neither walls nor the strip beside it, which the page draws itself.
    const look = () =>
      page.screenshot({
        clip: { x: box.x + box.width / 2 - 110, y: box.y + box.height / 2 - 60, width: 120, height: 120 },
      })
    // Grains and pores make a large picture; a plain colour packs to a few hundred bytes.
    await expect.poll(async () => (await look()).length).toBeGreaterThan(4000)
    const before = await look()
    expect((await look()).equals(before)).toBe(true)
    await page.getByRole('button', { name: 'A whole part more Perlite, coarse' }).click()
    await expect.poll(async () => (await look()).equals(before)).toBe(false)
  },
)

test('a letter makes a next move, its figures come true, and undo gives it back', async ({ page }) => {
  await openGarden(page, '/demo/jobs/leeks/mix')
  const first = moves(page).first()
  await expect(first).toContainText(/Swap .* for/)
  const before = (await glanceAt(page, 'Air after draining').textContent())!
  const said = /air \d+ → (\d+) %/.exec((await first.textContent())!)![1]!
  await page.keyboard.press('a')
  const air = Number.parseInt((await glanceAt(page, 'Air after draining').textContent())!)
  expect(Math.abs(air - Number(said))).toBeLessThanOrEqual(1)
  await page.getByRole('button', { name: /^Undo swap/ }).click()
  await expect(glanceAt(page, 'Air after draining')).toHaveText(before)
  await page.getByRole('button', { name: 'from your shelf' }).click()
  await expect(page.getByRole('button', { name: 'from every material' })).toBeVisible()
  // Three different ways at least: each mends what is said in its own manner.
  await expect.poll(() => moves(page).count()).toBeGreaterThan(2)
  // By the keyboard: to the move, looked at, taken.
  await expect(page.getByRole('region', { name: 'Next moves' }).locator('[aria-busy=false]')).toBeVisible()
  await tabTo(page, moves(page).first().getByRole('button'))
  await expect(page.getByRole('region', { name: 'Air after draining' }).locator('.would')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(glanceAt(page, 'Air after draining')).not.toHaveText(before)
})

test(
  'what stands out is said with its numbers, answered with a reason, and said again',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/leeks/mix')
    const list = page.getByRole('region', { name: 'What stands out' })
    await expect(list).toContainText(
      'Too little air: 6 % after draining where 7 % is the least wanted, in 7.5 cm of depth.',
    )
    const foot = list.getByRole('listitem').filter({ hasText: 'Too little air' })
    await foot.getByRole('button', { name: /I know, because/ }).click()
    await page.keyboard.type('They stand on damp sand')
    await page.keyboard.press('Enter')
    await expect(list.getByText('Answered (1)')).toBeVisible()
    await saved(page)
    await page.reload()
    await list.getByText('Answered (1)').click()
    await expect(list).toContainText('You: They stand on damp sand')
    await list.getByRole('button', { name: 'Say it again' }).click()
    await expect(list.getByText('Answered')).toHaveCount(0)
  },
)

test(
  'a feed has its place: in the batches, in the top at filling, held back for the season',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/fig/mix')
    const add = async (search: string) => {
      await page.getByRole('combobox', { name: 'Add a feed or other dressing' }).click()
      await page.getByPlaceholder('Search dressings').fill(search)
      await page
        .getByRole('option', { name: new RegExp(search, 'i') })
        .first()
        .click()
    }
    const feed = page.getByRole('region', { name: 'Feed', exact: true }).locator('.figure').first()
    const before = await feed.textContent()
    await add('5-6 month')
    const coated = page.getByRole('group', { name: /Coated fertilizer 5-6 month/ })
    await expect(coated).toContainText(/g in all; .*level for 10 L/)
    await expect(feed).not.toHaveText(before!)
    await coated.getByRole('textbox', { name: /Amount of/ }).fill('-1')
    await expect(coated).toContainText('It cannot be less than 0.')
    await coated.getByRole('textbox', { name: /Amount of/ }).fill('4 g per litre')
    await add('bone meal')
    const bone = page.getByRole('group', { name: 'Bone meal, steamed' })
    await bone.getByRole('combobox', { name: /Where/ }).click()
    await page.getByRole('option', { name: 'In the top' }).click()
    await add('blood meal')
    await page.getByRole('group', { name: 'Blood meal' }).getByRole('combobox', { name: /Where/ }).click()
    await page.getByRole('option', { name: 'Held back' }).click()
    await station(page, 'Buy')
    await expect(page.getByRole('row', { name: /Bone meal/ })).toContainText('into the top at filling')
    await station(page, 'Make')
    await expect(page.getByRole('checkbox', { name: /Coated fertilizer 5-6 month/i })).toBeVisible()
    await expect(page.getByRole('checkbox', { name: /meal/i })).toHaveCount(0)
    await station(page, 'Fill')
    await expect(page.getByText(/g of bone meal, steamed in each/)).toBeVisible()
    await station(page, 'Season')
    await expect(page.locator('strong', { hasText: /blood meal: .* to each/i })).toBeVisible()
  },
)

test(
  'lime: offered where it lacks, in grams and spoons for the job and a bucketful',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    const lime = page.getByRole('region', { name: 'Lime', exact: true })
    await expect(lime).toContainText(/Ground limestone: \d+ g in all; .*spoons?.* for 10 L/)
    await lime.getByRole('button', { name: 'None' }).click()
    await expect(lime).not.toContainText('in all')
    // Compost brings lime of its own: without it the peat is too acid.
    const less = page.getByRole('button', { name: 'A whole part less Green-waste compost' })
    await less.click()
    await less.click()
    await expect(less).toHaveCount(0)
    await lime.getByRole('button', { name: /^Give [\d.]+ g\/L of lime$/ }).click()
    await expect(lime).toContainText(/Ground dolomite: \d+ g in all/)
    await expect(page.getByRole('region', { name: 'pH in six weeks' }).locator('.figure')).toHaveText('6.2')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(lime.getByRole('button', { name: /^Give/ })).toBeVisible()
  },
)

test('the shelf is pressed or dragged onto the bench', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/pear/mix')
  const strip = page.getByRole('list', { name: 'On your shelf' })
  await expect(strip).toContainText('Green-waste compost')
  await expect(strip).toContainText('60 L left, 0.16/L')
  await strip.getByRole('button', { name: 'Add Loam topsoil' }).click()
  await expect(page.getByRole('group', { name: 'Loam topsoil, 1 part' })).toBeVisible()
  const from = (await strip.getByRole('button', { name: 'Add Pumice 2-8 mm' }).boundingBox())!
  const to = (await page.getByRole('img', { name: /Dwarf pear, in section/ }).boundingBox())!
  await page.mouse.move(from.x + 40, from.y + 15)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y + 10, { steps: 3 })
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 })
  await page.mouse.up()
  await expect(page.getByRole('group', { name: 'Pumice 2-8 mm, 1 part' })).toBeVisible()
})

test(
  'the finder: rules, progress, families, the bench, and what is in the way',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/finder')
    await page.getByRole('checkbox', { name: 'peat', exact: true }).check()
    await expect(page.getByRole('heading', { name: /ways? meet all of it|Nothing meets all/ })).toBeVisible()
    const rows = page.getByRole('table', { name: 'Recipes found, best first' }).getByRole('row')
    await expect(rows).toHaveCount(11)
    await page.getByRole('button', { name: /^Show 10 more of \d+/ }).click()
    await expect(rows).toHaveCount(21)
    for (const row of (await rows.all()).slice(1)) await expect(row).not.toContainText('peat')
    // What the bench would say of each is known before it is put there: what has nothing against it comes first, the
    // likeliest before the rest.
    const verdicts = await rows.locator('[data-label="Fit"]').allInnerTexts()
    expect(verdicts.length).toBeGreaterThan(5)
    expect(verdicts[0]).toMatch(/^(Good|It will do) for sweet pepper here/)
    const isSound = verdicts.map((t) => /^(Good|It will do)/.test(t))
    expect(isSound).toEqual([...isSound].sort((a, b) => Number(b) - Number(a)))
    const lots = await rows.locator('[data-label="Batches that meet every target"]').allInnerTexts()
    const likely = lots.slice(0, isSound.filter((s) => s).length).map((t) => Number.parseInt(t))
    expect(likely).toEqual([...likely].sort((a, b) => b - a))
    // The picture is in words too, and a point is picked with the keys.
    const chart = page.getByRole('radiogroup', { name: /Cost against fit/ })
    await expect(
      page.getByText(/^(Best: number 1,|Nothing found is both cheaper and better than number 1:)/),
    ).toBeVisible()
    await expect(chart.getByRole('radio', { checked: true })).toHaveAccessibleName(/^1: /)
    await chart.getByRole('radio', { checked: true }).focus()
    const points = await chart.getByRole('radio').count()
    expect(points).toBeGreaterThan(3)
    for (let i = 0; i < points; i++) await page.keyboard.press('ArrowLeft')
    await expect(chart.getByRole('radio').first()).toBeChecked()
    await expect(chart.getByRole('radio').first()).toBeFocused()
    // What was found belongs to what was asked: another wish is followed without a button.
    await page.getByRole('checkbox', { name: 'A litre may cost so much' }).check()
    await page.getByLabel('Most for a litre').fill('0.01')
    await expect(page.getByRole('heading', { name: 'No recipe keeps these rules' })).toBeVisible()
    await page.getByRole('checkbox', { name: 'A litre may cost so much' }).uncheck()
    await page.getByRole('checkbox', { name: 'Water no more often than' }).check()
    await page.getByLabel('Days between waterings').fill('30')
    await expect(page.getByRole('heading', { name: 'Nothing meets all of it' })).toBeVisible()
    await page.getByRole('button', { name: 'What is in the way?' }).click()
    await expect(page.getByText(/peat allowed|Only water is out of reach/)).toBeVisible()
    await page.getByRole('checkbox', { name: 'Water no more often than' }).uncheck()
    // Judged to the end: while it is running, chances are still open.
    await expect(page.getByRole('heading', { name: /ways? meet all of it/ })).toBeVisible()
    const button = rows.getByRole('button', { name: /^Use this mix/ }).first()
    const parts = (await button.getAttribute('aria-label'))!.replace('Use this mix: ', '')
    const chance = Number.parseInt(
      await rows.locator('[data-label="Batches that meet every target"]').first().innerText(),
    )
    await button.click()
    await expect(page).toHaveURL(/mix$/)
    // "6 coir + 1 fine bark": the last word of a short name is in the long one.
    const [, count, name] = /^(\S+) (?:\S+ )*?(\S+)(?: \+|$)/.exec(parts)!
    const added = page.getByRole('group', { name: new RegExp(`${name}.*, ${count} parts?`, 'i') })
    await expect(added.first()).toBeVisible()
    // The bench has the chance that the finder told.
    await expect(page.getByText(`Bags differ: about ${chance} in 10`)).toBeVisible()
    // What was on the bench is kept.
    await page.getByRole('button', { name: 'Versions (1)' }).click()
    await expect(page.getByRole('dialog')).toContainText('4 medium peat + ')
  },
)

test(
  'the finder says at the wish when more is to be used up than the job takes',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/shelf')
    await page.getByLabel('Search the shelf').fill('coir pith')
    await page.getByRole('button', { name: 'Pack, price and stock of Coir pith' }).click()
    await page.getByLabel('On hand, loose').fill('500')
    await page.getByRole('button', { name: 'Keep' }).click()
    await saved(page)
    await openGarden(page, '/demo/jobs/peppers-27/finder')
    const wish = page.getByRole('combobox', { name: 'Use up what is left of' })
    await wish.focus()
    await page.keyboard.press('ArrowDown')
    await page.getByRole('option', { name: /^Coir pith .* 500 L$/ }).click()
    await page.keyboard.press('Escape')
    await expect(
      page.getByText(/500 L are left of these and the job takes .* they cannot all go in/),
    ).toBeVisible()
    await expect(page.getByRole('heading', { name: 'No recipe keeps these rules' })).toBeVisible()
  },
)

test('a long search can be stopped, and the page lives meanwhile', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/finder')
  await page.getByRole('button', { name: 'Every material' }).click()
  await expect(page.getByText(/Best so far/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop and show' }).click()
  await expect(page.getByRole('button', { name: 'Stop and show' })).toBeHidden()
  await expect(page.getByText(/Best so far/)).toHaveCount(0)
  // What was found by then is there to be used.
  await expect(page.getByText(/recipes looked at before you stopped it/)).toBeVisible()
  const rows = page.getByRole('table', { name: 'Recipes found, best first' }).getByRole('row')
  expect(await rows.count()).toBeGreaterThan(3)
})

test(
  'versions: kept, named, gone back to; nothing on the bench is lost',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/leeks/mix')
    await page.getByRole('button', { name: 'Versions' }).click()
    await page.getByLabel('Name for your mix as it is now').fill('As last year')
    await page.getByRole('button', { name: 'Keep this version' }).click()
    await expect(page.getByText('Your mix as it is now is kept as “As last year”.')).toBeVisible()
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Mixes to begin from' }).click()
    await page.getByRole('button', { name: 'Begin with Seeds and seedlings' }).click()
    await expect(page.getByRole('group', { name: 'Sphagnum peat, medium, 1 part' })).toBeVisible()
    await page.getByRole('button', { name: 'Versions (1)' }).click()
    await page.getByLabel('Note on As last year').fill('Soured in May')
    await page.getByRole('button', { name: 'Go on from As last year' }).click()
    await expect(page.getByRole('group', { name: 'Sphagnum peat, fine, 3 parts' })).toBeVisible()
    await page.getByRole('button', { name: 'Versions (2)' }).click()
    await expect(page.getByLabel('Name of Before going on from “As last year”')).toBeVisible()
    await saved(page)
    await page.reload()
    await page.getByRole('button', { name: 'Versions (2)' }).click()
    await expect(page.getByLabel('Note on As last year')).toHaveValue('Soured in May')
  },
)

test(
  'a recipe goes by link and by file to another garden; a broken one is reported',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/fig/mix')
    await page.getByRole('button', { name: 'Share' }).click()
    await page.getByLabel('Note').fill('Stood two winters')
    const link = await page.getByLabel('A link that carries the whole recipe').inputValue()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save as a file' }).click()
    const file = await readFile((await (await download).path())!, 'utf8')
    expect(JSON.parse(file)).toMatchObject({ format: 'open-bed-recipe', note: 'Stood two winters' })

    await page.goto(link)
    const card = page.getByRole('article')
    await expect(card).toContainText('2 loam')
    await expect(card).toContainText('Stood two winters')
    await page.getByRole('button', { name: 'Begin a job with it' }).click()
    await expect(page).toHaveURL(/\/my\/jobs\/.*mix$/)
    await expect(page.getByRole('group', { name: /Pumice/ })).toBeVisible()

    await page.goto(`${link.slice(0, -12)}`)
    await expect(page.getByText('This is not a recipe of Open Bed.')).toBeVisible()
    await page.getByLabel('Recipe file', { exact: true }).setInputFiles({
      name: 'x.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file.replace('"twelfths": 24', '"twelfths": "two"')),
    })
    await expect(page.getByText(/damaged at “recipe.parts.\d.twelfths”/)).toBeVisible()
    await page
      .getByLabel('Recipe file', { exact: true })
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(file) })
    await expect(card).toContainText('2 loam')
  },
)

test(
  'mixes are held side by side, what differs first, with their season',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/compare')
    const add = async (name: string) => {
      await page.getByRole('combobox', { name: 'Add a mix' }).click()
      await page.getByPlaceholder('Search mixes').fill(name)
      await page
        .getByRole('option', { name: new RegExp(name) })
        .first()
        .click()
    }
    // It opens with the two that suit best beside the bench's own.
    const leave = page.getByRole('button', { name: /^Leave out (?!Your mix now)/ })
    await expect(leave).toHaveCount(2)
    await leave.first().click()
    await leave.first().click()
    await expect(page.getByText('Add one more')).toBeVisible()
    for (const name of [
      'Heavy mix for windy terraces',
      'Potting mix in bags',
      'Mineral mix for herbs and trees',
      'Peat-free mix for pots',
    ])
      await add(name)
    await expect(page.getByRole('columnheader')).toHaveCount(5)
    await expect(page.getByRole('combobox', { name: 'Add a mix' })).toHaveCount(0)
    const rows = page.locator('table.list').getByRole('rowheader')
    await expect(rows.first()).toHaveText('In short')
    await expect(rows.nth(3)).toHaveText('Weight just after watering')
    // The label leaves its shares open, and that is said; what it does say is not.
    await expect(page.getByRole('row', { name: /^Easy water/ })).toContainText(/label allows \d+ % to \d+ %/)
    await expect(page.getByRole('row', { name: /pH in six weeks/ })).not.toContainText('label allows')
    await page.getByRole('button', { name: 'Label of Potting mix in bags' }).click()
    await page.getByLabel('A bag costs').fill('25')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(page.getByRole('row', { name: /Cost/ })).toContainText('0.500')
    await page.getByRole('button', { name: 'pH', exact: true }).click()
    await expect(page.getByRole('img', { name: /pH over the season/ })).toBeVisible()
    await page.getByText('The same as a table').click()
    await expect(page.getByRole('row', { name: /week 6/ }).first()).toContainText('6.')
    await page.getByRole('button', { name: 'Leave out Potting mix in bags' }).click()
    await page.getByRole('button', { name: 'Use Heavy mix for windy terraces' }).click()
    await page.getByRole('link', { name: 'Back to Mix' }).click()
    await expect(page.getByRole('group', { name: /Loam topsoil, \d parts/ })).toBeVisible()
  },
)

test(
  'a bag is described from its label, wrong labels are reported, and it becomes a part of the mix',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await station(page, 'Mix')
    await page.getByRole('button', { name: 'Add a finished mix' }).click()
    await page.getByRole('button', { name: 'Describe a bagged mix' }).click()
    const dialog = page.getByRole('dialog')
    const list = async (name: string) => {
      await dialog.getByRole('combobox', { name: 'Add an ingredient' }).click()
      await page.getByPlaceholder('Search materials').fill(name)
      await page.getByRole('option', { name }).first().click()
    }
    await expect(dialog.getByRole('button', { name: 'Keep' })).toBeDisabled()
    await dialog.getByLabel('What you call it').fill('Corner shop mix')
    for (const name of ['Coir pith', 'Green-waste compost', 'Perlite, medium']) await list(name)
    await expect(dialog.getByRole('status')).toContainText(
      '61 % Coir pith, 28 % Green-waste compost, 11 % Perlite',
    )
    await dialog.getByLabel('Share of Coir pith').fill('95')
    await dialog.getByLabel('Share of Perlite, medium').fill('5')
    await expect(dialog.getByRole('status')).toContainText('nothing is left for the one without')
    await dialog.getByLabel('Share of Coir pith').fill('60')
    await dialog.getByLabel('Share of Perlite, medium').fill('10')
    await expect(dialog.getByRole('status')).toContainText('30 % Green-waste compost')
    for (const [label, typed, said] of [
      ['A bag holds', '-4', 'more than 0'],
      ['A bag costs', '-1', 'less than zero'],
      ['pH on the label', '12', 'outside what lime can be worked out for'],
    ] as const) {
      await dialog.getByLabel(label).fill(typed)
      await expect(dialog.locator('.field').filter({ has: page.getByLabel(label) })).toContainText(said)
      await expect(dialog.getByRole('button', { name: 'Keep' })).toBeDisabled()
      await dialog.getByLabel(label).fill(label === 'A bag holds' ? '40' : '')
    }
    await dialog.getByLabel('A bag costs').fill('8')
    await dialog.getByRole('button', { name: 'Perlite, medium earlier' }).click()
    await dialog.getByRole('button', { name: 'Keep' }).click()
    // Back to the list of finished mixes, with the bag in it.
    await page.getByRole('button', { name: /^Corner shop mix/ }).click()
    const part = page.getByRole('group', { name: 'Corner shop mix, 1 part' })
    await expect(part).toContainText('60 % Coir pith')
    await addMaterial(page, 'pumice')
    await page.getByRole('button', { name: 'A whole part more Corner shop mix' }).click()
    await station(page, 'Buy')
    await expect(page.getByRole('row', { name: /Corner shop mix/ })).toContainText(/1 × 40 L bag.*8\.00/s)
    await station(page, 'Mix')
    await page.getByRole('button', { name: 'Undo' }).click()
    await saved(page)
    await page.reload()
    await expect(page.getByRole('group', { name: 'Corner shop mix, 1 part' })).toBeVisible()
    await page.getByRole('group', { name: /Corner shop mix/ }).press('Delete')
    await expect(page.getByRole('group', { name: /Corner shop mix/ })).toHaveCount(0)
  },
)

test(
  'a mix of one’s own goes into another: made first, bought for, or on hand',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/leeks/mix')
    await page.getByRole('button', { name: 'Add a finished mix' }).click()
    await page.getByLabel('Search mixes').fill('light peat')
    await page.getByLabel('Search mixes').press('Enter')
    await expect(page.getByRole('group', { name: 'Light peat mix for pots, 1 part' })).toBeVisible()
    await station(page, 'Make')
    await expect(page.getByRole('heading', { name: /Light peat mix for pots, batch 1 of 1/ })).toBeVisible()
    await page.getByRole('checkbox', { name: /Sphagnum peat, medium/ }).check()
    await page.getByRole('button', { name: 'Batch 1', exact: true }).click()
    await expect(page.getByRole('checkbox', { name: /Light peat mix for pots/ })).toBeVisible()
    await expect(page.getByRole('checkbox', { name: /Sphagnum peat, medium/ })).toHaveCount(0)
    await station(page, 'Buy')
    await expect(page.getByRole('row', { name: /^Sphagnum peat, medium/ })).toBeVisible()
    await page.getByRole('button', { name: 'I have Light peat mix for pots ready' }).click()
    await expect(page.getByRole('row', { name: /^Sphagnum peat, medium/ })).toHaveCount(0)
    await expect(page.getByRole('row', { name: /^Light peat mix for pots/ })).toContainText(
      'on hand, ready made',
    )
    await station(page, 'Make')
    await expect(page.getByRole('heading', { name: /Light peat mix for pots, batch/ })).toHaveCount(0)
  },
)

test(
  'the bench by keyboard alone, on a phone: starter, finder, compare',
  { tag: '@long' },
  async ({ page }) => {
    await page.setViewportSize(PHONE)
    await openGarden(page)
    await startJob(page, 'Round pot')
    await station(page, 'Mix')
    // The tools are one step of Tab, with arrow keys along them.
    const [find, starters] = [
      page.getByRole('link', { name: 'Find a mix' }),
      page.getByRole('button', { name: 'Mixes to begin from' }),
    ]
    await tabTo(page, find)
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
    await expect(starters).toBeFocused()
    await page.keyboard.press('Enter')
    await tabTo(page, page.getByRole('button', { name: 'Begin with Peat-free mix for pots' }))
    await page.keyboard.press('Enter')
    await expect(page.getByRole('group', { name: /Coir pith, \d parts?/ })).toBeVisible()
    await tabTo(page, starters, 'Shift+Tab')
    await page.keyboard.press('Home')
    await expect(find).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/finder$/)
    // Every material of the tables is tried in an empty garden.
    await expect(page.getByRole('heading', { name: /meet all of it|Nothing meets/ })).toBeVisible({
      timeout: 60_000,
    })
    await tabTo(page, page.getByRole('link', { name: 'Back to Mix' }), 'Shift+Tab')
    await page.keyboard.press('Enter')
    await tabTo(page, find)
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Compare mixes', exact: true })).toBeVisible()
  },
)

test('the printed recipe says what goes in and what it will do', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.emulateMedia({ media: 'print' })
  const card = page.locator('article.card')
  await expect(card).toBeVisible()
  await expect(card).toContainText('Perlite, coarse')
  await expect(card).toContainText(/Air after draining \d+ %/)
  await expect(page.getByRole('navigation', { name: 'Tools for the mix' })).toBeHidden()
})

test(
  'an empty bench offers three mixes for this crop and bed, and one press begins with one',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await page.getByRole('combobox', { name: 'Crop', exact: true }).click()
    // By any everyday name, the exact one first.
    await page.getByPlaceholder('Search crops').fill('aubergine')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('combobox', { name: 'Crop', exact: true })).toContainText(
      /Aubergine|Eggplant/,
    )
    await station(page, 'Mix')
    const offers = page.getByRole('region', { name: /^Mixes for / }).getByRole('listitem')
    await expect(offers).toHaveCount(3, { timeout: 45_000 })
    await expect(offers.first()).toContainText(/\d+ of 10 batches meet the targets/)
    const verdict = (await offers.first().locator('.says').innerText()).replace(/ Also:.*/, '')
    await offers
      .first()
      .getByRole('button', { name: /^Begin with/ })
      .click()
    await expect(page.getByRole('region', { name: 'Air after draining' }).locator('.figure')).toHaveText(/\d/)
    await expect(offers).toHaveCount(0)
    // The bench says of it what the offer said.
    await expect(page.locator('.bench-verdict')).toHaveText(verdict)
  },
)

test(
  'own material and own feed: told in a minute, in the mix, kept, and dosed as people say it',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/mix')
    await page.keyboard.press('/')
    await page.getByRole('button', { name: 'A material of your own' }).click()
    const dialog = page.getByRole('dialog').last()
    await opened(dialog.getByLabel('What you call it'))
    await dialog.getByLabel('What you call it').fill('Heap by the shed')
    await dialog.getByLabel('A bucketful weighs').fill('13 lb 4 oz')
    await expect(dialog).toContainText('= 6.01 kg')
    await dialog.getByLabel('pH', { exact: true }).fill('14')
    await expect(field(page, 'pH')).toContainText('is what we accept')
    await dialog.getByLabel('pH', { exact: true }).fill('7.4')
    await dialog.getByRole('button', { name: 'Keep' }).click()
    await expect(page.getByRole('group', { name: /^Heap by the shed, / })).toBeVisible()
    await page.getByRole('button', { name: 'A feed or lime of your own' }).click()
    await opened(dialog.getByLabel('What you call it'))
    await dialog.getByLabel('What you call it').fill('All-round 4-4-4')
    await dialog.getByRole('button', { name: 'Keep' }).click()
    const line = page.getByRole('group', { name: 'All-round 4-4-4' })
    const amount = line.getByRole('textbox', { name: /Amount of/ })
    await amount.fill('2 spoons per bucket')
    await expect(line).toContainText('Teaspoons or tablespoons?')
    await amount.fill('2 tbsp per bucket')
    await expect(line).toContainText(/2 tablespoons for each of \d+(\.\d)? buckets: .*, .* g in all; .* g\/L/)
    await page.getByRole('button', { name: 'Dose by label' }).click()
    await opened(dialog.getByLabel('The feed in the recipe is'))
    await dialog.getByLabel('The feed in the recipe is').fill('5-5-5')
    await dialog.getByLabel('The recipe says').fill('30 g per bucket')
    await dialog.getByRole('combobox', { name: 'Mine is' }).click()
    await page.getByPlaceholder('Search feeds').fill('blood')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(dialog).toContainText(/less phosphate, no potash/)
    await dialog.getByRole('button', { name: 'Give it' }).click()
    await expect(page.getByRole('group', { name: 'Blood meal' })).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(page.getByRole('group', { name: /^Heap by the shed, / })).toBeVisible()
    await expect(amount).toHaveValue('2 tablespoons per bucket')
    await page.goto('/demo/shelf')
    await page.getByLabel('Search the shelf').fill('shed')
    await page.getByRole('button', { name: 'Change Heap by the shed' }).click()
    await dialog.getByRole('button', { name: 'Do not offer it again' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'Heap by the shed' })).toContainText(
      'no longer offered',
    )
  },
)

test(
  'a set amount is made whatever the containers take, by the mark if wanted',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/peppers-27/containers')
    await page.getByRole('button', { name: 'A set amount' }).click()
    await page.getByLabel('Mix to make, loose').fill('0')
    await expect(field(page, 'Mix to make, loose')).toContainText('more than 0')
    await page.getByLabel('Mix to make, loose').fill('1.5 cu ft')
    await expect(field(page, 'Mix to make, loose')).toContainText('= 42.5 L')
    await page.getByLabel('Mix to make, loose').fill('40')
    await station(page, 'Buy')
    await page.getByRole('combobox', { name: 'Round to whole buckets' }).click()
    await page.getByRole('option', { name: 'Exactly, by the mark' }).click()
    await expect(page.getByText('40 L', { exact: true }).first()).toBeVisible()
    await station(page, 'Make')
    await expect(page.getByText(/L by the mark/).first()).toBeVisible()
  },
)
