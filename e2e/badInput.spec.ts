import type { Page } from '@playwright/test'
import { field, addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test('wrong sizes are reported in place, kept as typed, and mended without loss', async ({ page }) => {
  await openGarden(page)
  await startJob(page, 'Round pot')
  const cases: [label: string, typed: string, said: RegExp][] = [
    ['Height', '-3', /height is -3 cm.*more than 0/s],
    ['Height', '0', /height is 0 cm/],
    ['Height', '1000', /height is 1000 cm, larger than the maximum, 300 cm/],
    ['Width across the top', '99999', /larger than the maximum, 5000 cm/],
    ['Width across the base', 'wide', /“wide” is not a number/],
    ['Gap below the rim', '-1', /gap below the rim is -1 cm/],
    ['Gap below the rim', '40', /no room for mix/],
    ['How many', '2.5', /2.5 is not a number of containers/],
    ['How many', '0', /0 is not a number of containers/],
    ['How many', '', /Nothing typed here yet/],
  ]
  for (const [label, typed, said] of cases) {
    const input = page.getByLabel(label, { exact: true })
    const before = await input.inputValue()
    await input.fill(typed)
    await expect(field(page, label)).toContainText(said)
    await expect(input).toHaveValue(typed)
    await expect(input).toHaveAttribute('aria-invalid', 'true')
    await input.fill(before)
    await expect(input).toHaveAttribute('aria-invalid', 'false')
  }
  // A wrong size is a record like any other: it survives, with its sentence.
  await page.getByLabel('Height', { exact: true }).fill('-7')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('-7')
  await expect(field(page, 'Height')).toContainText('more than 0')
  await page.getByLabel('Height', { exact: true }).fill('28')
  await expect(page.getByLabel('How much')).toContainText('of mix in place')
})

test('side holes above the mix are reported beside the holes', { tag: '@long' }, async ({ page }) => {
  await openGarden(page)
  await startJob(page, 'Trough or box')
  await page.getByRole('combobox', { name: 'Where water leaves' }).click()
  await page.getByRole('option', { name: 'Holes up the side (reservoir)' }).click()
  await page.getByLabel('Height of the side holes').fill('17')
  await expect(field(page, 'Height of the side holes')).toContainText('above the mix')
  await page.getByLabel('Height of the side holes').fill('5')
  await expect(page.getByLabel('How much')).toContainText('stay wet through')
})

test('no parts: every later station says so and leads back', { tag: '@long' }, async ({ page }) => {
  await openGarden(page)
  await startJob(page, 'Fabric bag')
  for (const name of ['Buy', 'Make', 'Fill']) {
    await station(page, name)
    await expect(page.getByText('There is nothing in the mix yet.')).toBeVisible()
  }
  await station(page, 'Buy')
  await page.getByRole('link', { name: 'Back to the mix' }).click()
  await addMaterial(page, 'peat fine')
  await page.getByRole('button', { name: 'A whole part less Sphagnum peat, fine' }).click()
  await expect(page.getByText('Nothing in it yet.')).toBeVisible()
})

test('lime and tub beyond sense are reported beside their fields', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/peppers-27/mix')
  await page.getByLabel('pH wanted in six weeks').fill('12')
  await expect(field(page, 'pH wanted in six weeks')).toContainText('outside what lime can be worked out for')
  await page.getByLabel('pH wanted in six weeks').fill('7.9')
  await expect(field(page, 'pH wanted in six weeks')).toContainText('No sensible amount of lime')
  await page.getByLabel('pH wanted in six weeks').fill('6.4')
  await page.getByText('By weight').click()
  await page.getByLabel('Amount of lime').fill('-2 g/L')
  await expect(field(page, 'Amount of lime')).toContainText('It cannot be less than 0')
  await page.getByLabel('Amount of lime').fill('2 spoons per bucket')
  await expect(field(page, 'Amount of lime')).toContainText('Teaspoons or tablespoons?')
  await page.getByLabel('Amount of lime').fill('2 g/L')
  await station(page, 'Buy')
  for (const [label, typed, said] of [
    ['Tub, tarp or barrow', '0.5', 'too small'],
    ['Tub, tarp or barrow', '-3', 'more than 0'],
    // A million buckets to a barrow: refused, where it once kept the page busy for ever.
    ['Tub, tarp or barrow', '10000000', 'larger than the maximum'],
    ['Tub, tarp or barrow', '1,000', 'may mean 1000 or 1'],
    ['Bucket', '0', 'more than 0'],
    ['Scoop or jug', '-1', 'more than 0'],
    ['Allowance for settling', '-5', 'less than zero'],
    ['Allowance for settling', '90', 'larger than the maximum'],
  ] as const) {
    const before = await page.getByLabel(label, { exact: true }).inputValue()
    await page.getByLabel(label, { exact: true }).fill(typed)
    await expect(field(page, label)).toContainText(said)
    await page.getByLabel(label, { exact: true }).fill(before)
  }
  await expect(page.getByLabel('From the bucket to the bed')).toBeVisible()
})

const file = (name: string, text: string) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(text),
})

test('broken files and files of the future are refused in a sentence; nothing is lost', async ({ page }) => {
  await openGarden(page, '/demo/settings')
  const bring = async (name: string, text: string) =>
    page.getByLabel('File to bring in').setInputFiles(file(name, text))
  const before = await page.getByText(/jobs and \d+ records/).textContent()
  await bring('half.json', '{"format":"open-bed-garden","formatVer')
  await expect(page.getByRole('status').filter({ hasText: 'The file cannot be read' })).toContainText(
    'Nothing was changed',
  )
  await bring('other.json', '{"format":"something else"}')
  await expect(page.getByRole('status').filter({ hasText: 'is not an Open Bed garden' })).toContainText(
    'trouble at “format”',
  )
  await bring('future.json', '{"format":"open-bed-garden","formatVersion":7}')
  await expect(page.getByText('made by a newer Open Bed (file version 7')).toBeVisible()
  expect(await page.getByText(/jobs and \d+ records/).textContent()).toBe(before)
})

test(
  'a garden goes out to a file and comes in again, with a look before',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/settings')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save everything to a file' }).click(),
    ])
    const stream = await download.createReadStream()
    let text = ''
    for await (const chunk of stream) text += String(chunk)

    await openGarden(page, '/my/settings')
    await page.getByLabel('File to bring in').setInputFiles(file('demo.json', text))
    await expect(page.getByLabel('What the file would change')).toContainText('New: job “Dwarf pear”')
    await page.getByRole('button', { name: /^Bring in \d+$/ }).click()
    await expect(page.getByText('brought in. Undo takes it back.')).toBeVisible()
    await expect(page.getByText('12 jobs and 8 records')).toBeVisible()
    await page.getByLabel('File to bring in').setInputFiles(file('demo.json', text))
    await expect(page.getByLabel('What the file would change')).toContainText('are here already')
    await page.getByRole('button', { name: /^Undo import/ }).click()
    await expect(page.getByText('0 jobs and 0 records')).toBeVisible()
    await page.getByRole('button', { name: /^Redo import/ }).click()
    await saved(page)
    await page.goto('/my')
    await expect(page.getByText('Dwarf pear').first()).toBeVisible()
  },
)

/** Writes straight into the page's database, as a fault or another version of the program would. */
const plant = (page: Page, garden: string, key: string, value: unknown) =>
  page.evaluate(
    ([name, k, v]) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open(`open-bed-${name}`)
        request.onerror = () => reject(new Error('cannot open'))
        request.onsuccess = () => {
          const transaction = request.result.transaction('records', 'readwrite')
          transaction.objectStore('records').put(v, k as string)
          transaction.oncomplete = () => resolve()
        }
      }),
    [garden, key, value] as const,
  )

test('stored records that cannot be read are set aside, named, and offered for download', async ({
  page,
}) => {
  await openGarden(page, '/my')
  await plant(page, 'my', 'job/broken', {
    kind: 'job',
    schemaVersion: 1,
    revision: 1,
    savedAt: '',
    data: { id: 'broken' },
  })
  await plant(page, 'my', 'job/future', {
    kind: 'job',
    schemaVersion: 999,
    revision: 1,
    savedAt: '',
    data: {},
  })
  await openGarden(page, '/my/settings')
  const aside = page.getByRole('region', { name: 'Set aside' })
  await expect(aside).toContainText('“job/broken” is damaged at version 1.vessel: it is missing.')
  await expect(aside).toContainText(
    '“job/future” was made by a newer Open Bed (version 999; this one reads up to 16)',
  )
  const row = aside.getByRole('listitem').filter({ hasText: 'job/future' })
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('button', { name: 'Download' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('job-future.json')
  await row.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText('It still cannot be read; it stays here.')).toBeVisible()
  await aside
    .getByRole('listitem')
    .filter({ hasText: 'job/broken' })
    .getByRole('button', { name: 'Let it go' })
    .click()
  await expect(aside).not.toContainText('job/broken')
  await page.reload()
  await expect(aside).toContainText('job/future')
  await expect(aside).not.toContainText('job/broken')
})

test('an address that leads nowhere says so', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/my/jobs/none/mix')
  await expect(page.getByText('This job is not in your garden')).toBeVisible()
  await openGarden(page, '/my/cellar')
  await expect(page.getByText('There is nothing here')).toBeVisible()
})
