import { addMaterial, expect, openGarden, saved, startJob, station, test } from './support'

test('another tab follows along, and two edits at once are reported, not lost', async ({ context, page }) => {
  await openGarden(page)
  await startJob(page, 'Round pot')
  await saved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByLabel('Name of this job')).toBeVisible()

  await page.getByLabel('Name of this job').fill('Fig')
  await expect(other.getByLabel('Name of this job')).toHaveValue('Fig')

  // Both at once: hold the writing lock until each tab has an edit waiting.
  await page.evaluate(
    () =>
      new Promise<void>((held) => {
        void navigator.locks.request('open-bed-my', () => {
          held()
          return new Promise((release) => ((window as unknown as { release: unknown }).release = release))
        })
      }),
  )
  await page.getByLabel('Name of this job').fill('Fig here')
  await other.getByLabel('Name of this job').fill('Fig there')
  await other.waitForTimeout(400)
  await page.evaluate(() => (window as unknown as { release: () => void }).release())

  const told = (p: typeof page) => p.getByText('was changed in another tab')
  await expect
    .poll(async () => Number(await told(page).isVisible()) + Number(await told(other).isVisible()))
    .toBe(1)
  const [later, earlier] = (await told(page).isVisible()) ? [page, other] : [other, page]
  const mine = await later.getByLabel('Name of this job').inputValue()
  await later.getByRole('button', { name: 'Keep mine' }).click()
  await expect(earlier.getByLabel('Name of this job')).toHaveValue(mine)
  await saved(later)
  await later.goto('/my/settings')
  await expect(later.getByRole('region', { name: 'Set aside' })).toContainText(
    'lost to a later edit in another tab',
  )
})

test(
  'K9: a job removed in one tab and edited in the other comes back with its log, or goes with it',
  { tag: '@long' },
  async ({ context, page }) => {
    await openGarden(page, '/demo/jobs/peppers-26/log')
    await saved(page)
    const other = await context.newPage()
    for (const answer of ['Keep mine', 'Use the other'] as const) {
      await openGarden(other, '/demo/jobs/peppers-26/log')
      const lines = other.getByRole('listitem').filter({ hasText: /Watered|Fed|Harvest/ })
      await expect(lines.first()).toBeVisible()
      const before = await lines.count()
      await page.goto('/demo/jobs/peppers-26/log')
      await page.evaluate(
        () =>
          new Promise<void>((held) => {
            void navigator.locks.request('open-bed-demo', () => {
              held()
              return new Promise((release) => Object.assign(window, { release }))
            })
          }),
      )
      await page.getByRole('button', { name: 'Remove this job' }).click()
      await page.getByRole('button', { name: 'Remove it' }).click()
      // The removal waits first in the line for the store.
      await page.waitForTimeout(300)
      await other.getByLabel('Name of this job').fill(`Edited: ${answer}`)
      await page.evaluate(() => (window as unknown as { release: () => void }).release())
      await other.getByRole('button', { name: answer }).click()
      await saved(other)
      await openGarden(page, '/demo/jobs/peppers-26/log')
      const there = page.getByRole('listitem').filter({ hasText: /Watered|Fed|Harvest/ })
      if (answer === 'Keep mine') await expect(there).toHaveCount(before)
      else await expect(page.getByText('This job is not in')).toBeVisible()
    }
  },
)

test(
  'a full disk is reported; the work stays in the page and goes out to a file',
  { tag: '@long' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const put = IDBObjectStore.prototype.put
      IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
        if ((window as unknown as { full?: boolean }).full)
          throw new DOMException('No room left', 'QuotaExceededError')
        return put.apply(this, args)
      }
    })
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await saved(page)
    await page.evaluate(() => ((window as unknown as { full: boolean }).full = true))
    await page.getByLabel('Name of this job').fill('Not on disk')
    await expect(page.getByRole('alert')).toContainText('The disk is full: your work is not being saved.')
    await station(page, 'Mix')
    await addMaterial(page, 'pumice')
    await expect(page.getByRole('group', { name: /Pumice/ })).toBeVisible()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('alert').getByRole('button', { name: 'Save everything to a file' }).click(),
    ])
    const stream = await download.createReadStream()
    let text = ''
    for await (const chunk of stream) text += String(chunk)
    expect(text).toContain('Not on disk')
    expect(text).toContain('pumice')
    // Room again: what waited is written by itself.
    await page.evaluate(() => ((window as unknown as { full: boolean }).full = false))
    await expect(page.getByRole('alert')).toBeHidden({ timeout: 8000 })
    await page.reload()
    await expect(page.getByLabel('Name of this job')).toHaveValue('Not on disk')
  },
)

test('a browser that refuses its database says so and works in memory', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError')
    }
  })
  await openGarden(page)
  await expect(page.getByRole('alert')).toContainText('This browser refuses to keep data')
  await startJob(page, 'Fabric bag')
  await station(page, 'Mix')
  await addMaterial(page, 'pumice')
  await expect(page.getByRole('group', { name: /Pumice/ })).toBeVisible()
})

test(
  'demo and own garden never mix, one press goes from one to the other',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo')
    await page
      .getByLabel('Current jobs')
      .getByRole('link', { name: /Fig, half-barrel/ })
      .click()
    await page.getByLabel('Name of this job').fill('Tried in the demo')
    await page.getByRole('button', { name: 'Go to my garden' }).click()
    await expect(page).toHaveURL(/\/my$/)
    await expect(page.getByText('No current jobs.')).toBeVisible()
    await startJob(page, 'Round pot')
    await page.getByLabel('Name of this job').fill('My own')
    await page.getByRole('button', { name: 'Look at the demo' }).click()
    await expect(page.getByLabel('Current jobs')).toContainText('Tried in the demo')
    await expect(page.getByLabel('Current jobs')).not.toContainText('My own')
    await page.goto('/demo/settings')
    await page.getByRole('button', { name: 'Start the demo afresh' }).click()
    await expect(page.getByText('The demo is reset.')).toBeVisible()
    await saved(page)
    await page.goto('/demo')
    await expect(page.getByLabel('Current jobs')).toContainText('Fig, half-barrel by the gate')
    await page.goto('/my')
    await expect(page.getByLabel('Current jobs')).toContainText('My own')
  },
)
