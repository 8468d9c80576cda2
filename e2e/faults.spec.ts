import { expect as plain, test as bare, type Page } from '@playwright/test'
import { expect, openGarden, saved, startJob } from './support'

// Faults of the browser's database, one mode each: what the page says meanwhile, and what is left afterwards.
// Not the quiet test: the browser itself complains of some of them.

declare global {
  interface Window {
    fault: string
  }
}

/** Breaks the page's database in the way that `fault` names, from then on and over reloads. */
const breakable = (page: Page) =>
  page.addInitScript(() => {
    window.fault = sessionStorage.getItem('fault') ?? ''
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
      if (window.fault === 'put throws') throw new DOMException('broken', 'DataError')
      if (window.fault === 'disk full') throw new DOMException('No room left', 'QuotaExceededError')
      return put.apply(this, args)
    }
    const transaction = IDBDatabase.prototype.transaction
    IDBDatabase.prototype.transaction = function (...args: Parameters<typeof transaction>) {
      if (window.fault === 'transaction throws' && args[1] === 'readwrite')
        throw new DOMException('closing', 'InvalidStateError')
      const begun = transaction.apply(this, args)
      if (window.fault === 'transaction aborts' && args[1] === 'readwrite') setTimeout(() => begun.abort())
      return begun
    }
    const getAll = IDBObjectStore.prototype.getAll
    IDBObjectStore.prototype.getAll = function (...args: Parameters<typeof getAll>) {
      if (window.fault === 'read throws') throw new DOMException('The index is broken', 'UnknownError')
      return getAll.apply(this, args)
    }
    const open = IDBFactory.prototype.open
    IDBFactory.prototype.open = function (...args: Parameters<typeof open>) {
      // A request that is never answered, as of a database that waits for another to be closed.
      if (window.fault === 'open hangs') return {} as IDBOpenDBRequest
      return open.apply(this, args)
    }
  })
const fault = (page: Page, mode: string) =>
  page.evaluate((m) => {
    window.fault = m
    sessionStorage.setItem('fault', m)
  }, mode)
const told = (mode: string, said: string) =>
  bare.info().annotations.push({ type: 'fault', description: `${mode}: ${said}` })

for (const [mode, says] of [
  ['put throws', 'refuses to keep data'],
  ['disk full', 'The disk is full'],
  ['transaction throws', 'refuses to keep data'],
  ['transaction aborts', 'refuses to keep data'],
] as const) {
  const tag = mode === 'disk full' ? [] : ['@long']
  bare(
    `a write fails (${mode}): it is said until it works again, and nothing is lost`,
    { tag },
    async ({ page }) => {
      await breakable(page)
      await openGarden(page)
      await startJob(page, 'Fabric bag')
      await saved(page)
      await fault(page, mode)
      const name = page.getByLabel('Name of this job')
      await name.fill('Kept in the page')
      await plain(page.getByRole('alert')).toContainText(says)
      await plain(page.locator('.notice')).toHaveText('Not saved!')
      const notices = await page.evaluate(async () => {
        const heard: string[] = []
        const notice = document.querySelector('.notice')!
        new MutationObserver(() => heard.push(notice.textContent!)).observe(notice, {
          childList: true,
          characterData: true,
          subtree: true,
        })
        const box = document.querySelector<HTMLInputElement>('input.name')!
        for (const letter of 'abc') {
          box.value += letter
          box.dispatchEvent(new Event('input', { bubbles: true }))
          await new Promise((later) => setTimeout(later, 120))
        }
        return heard
      })
      expect(notices).toEqual([])
      await plain(page.locator('.notice')).toHaveText('Not saved!')
      // Leaving asks first.
      const asked = page.waitForEvent('dialog')
      void page.close({ runBeforeUnload: true })
      const dialog = await asked
      expect(dialog.type()).toBe('beforeunload')
      await dialog.dismiss()
      await fault(page, '')
      await plain(page.getByRole('alert')).toBeHidden({ timeout: 8000 })
      await saved(page)
      await page.reload()
      await plain(name).toHaveValue('Kept in the pageabc')
      told(mode, 'said until it works again, nothing lost')
    },
  )
}

bare(
  'a disk that is full in earnest: said until there is room again, and nothing is lost',
  { tag: '@long' },
  async ({ page, context }) => {
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await saved(page)
    const devtools = await context.newCDPSession(page)
    const { origin } = new URL(page.url())
    await devtools.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1 })
    // The browser asks how much room there is every half minute.
    await page.waitForTimeout(35_000)
    const name = page.getByLabel('Name of this job')
    await name.fill('Kept in the page')
    await plain(page.getByRole('alert')).toContainText('The disk is full', { timeout: 20_000 })
    await plain(page.locator('.notice')).toHaveText('Not saved!')
    await devtools.send('Storage.overrideQuotaForOrigin', { origin })
    await plain(page.getByRole('alert')).toBeHidden({ timeout: 20_000 })
    await saved(page)
    await page.reload()
    await plain(name).toHaveValue('Kept in the page')
    told('quota of the origin used up', 'said until there is room, nothing lost')
  },
)

bare(
  'K12: a database deleted under the page is made anew from what is on it; the page says so and offers a file',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await saved(page)
    await page.evaluate(
      () => new Promise((done) => (indexedDB.deleteDatabase('open-bed-my').onsuccess = done)),
    )
    await page.getByLabel('Name of this job').fill('Still here')
    await plain(page.getByRole('alert')).toContainText('This page has stored them again')
    await saved(page)
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('alert').getByRole('button', { name: 'Save everything to a file' }).click(),
    ])
    let text = ''
    for await (const chunk of await download.createReadStream()) text += String(chunk)
    expect(text).toContain('Still here')
    // Every later save goes into the new one, and all of it is there at the next opening.
    await page.getByRole('button', { name: 'Later' }).click()
    await page.getByLabel('Name of this job').fill('And later')
    await saved(page)
    await page.reload()
    await plain(page.getByLabel('Name of this job')).toHaveValue('And later')
    await plain(page.getByRole('alert')).toHaveCount(0)
    told('database deleted', 'said, made anew with all of it, a file offered')
  },
)

bare(
  'a database that never answers: the page says so, and opens when it answers again',
  { tag: '@long' },
  async ({ page }) => {
    await breakable(page)
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await page.getByLabel('Name of this job').fill('Waits')
    await saved(page)
    await fault(page, 'open hangs')
    await page.reload()
    await plain(page.getByText('Opening your garden…')).toBeVisible()
    await plain(page.getByRole('heading', { name: 'Your garden does not open' })).toBeVisible({
      timeout: 8000,
    })
    await plain(page.getByText('does not answer')).toBeVisible()
    // Nothing is saved where nothing is open.
    await plain(page.locator('.notice')).toHaveCount(0)
    await fault(page, '')
    await page.getByRole('button', { name: 'Try again' }).click()
    await plain(page.getByLabel('Name of this job')).toHaveValue('Waits')
    told('opening never answered', 'said, opened when tried again')
  },
)

bare(
  'a database that cannot be read: the page says so and changes nothing',
  { tag: '@long' },
  async ({ page }) => {
    await breakable(page)
    await openGarden(page)
    await startJob(page, 'Fabric bag')
    await saved(page)
    await fault(page, 'read throws')
    await page.reload()
    await plain(page.getByRole('heading', { name: 'Your garden does not open' })).toBeVisible()
    await plain(page.getByText('The index is broken')).toBeVisible()
    await page.getByRole('button', { name: 'Save what is there to a file' }).click()
    await plain(page.getByText('The index is broken')).toBeVisible()
    await fault(page, '')
    await page.getByRole('button', { name: 'Open to look at only' }).click()
    await plain(page.getByText('Open to look at only.')).toBeVisible()
    const name = page.getByLabel('Name of this job')
    await name.fill('Not to be kept')
    await plain(page.getByText('open to look at only; nothing was changed')).toBeVisible()
    await page.getByRole('button', { name: 'Try to open it as usual' }).click()
    await plain(name).not.toHaveValue('Not to be kept')
    told('reading throws', 'said, nothing changed, read-only offered')
  },
)

bare(
  'a tab that closes over a conflict leaves its side set aside',
  { tag: '@long' },
  async ({ context, page }) => {
    await openGarden(page)
    await startJob(page, 'Round pot')
    await saved(page)
    const other = await context.newPage()
    await other.goto(page.url())
    // It has read what is stored: an edit of the first comes after, not before.
    await plain(other.locator('.notice')).toHaveText('Saved')
    // Neither can store before both have been typed in: storage is held until then.
    await other.evaluate(
      () =>
        new Promise<void>((held) => {
          void navigator.locks.request('open-bed-my', () => {
            held()
            return new Promise<void>((release) => Object.assign(window, { letGo: release }))
          })
        }),
    )
    await page.getByLabel('Name of this job').fill('From the first')
    await other.getByLabel('Name of this job').fill('From the second')
    await other.evaluate(() => (window as unknown as { letGo: () => void }).letGo())
    const waits = (p: Page) => p.getByText('What you did here is not saved yet')
    await expect
      .poll(async () => Number(await waits(page).isVisible()) + Number(await waits(other).isVisible()))
      .toBe(1)
    const later = (await waits(page).isVisible()) ? page : other
    await plain(later.locator('.notice')).toHaveText('Not saved yet')
    const mine = await later.getByLabel('Name of this job').inputValue()
    await later.close()
    const left = later === page ? other : page
    await left.goto('/my/settings')
    const aside = left.getByRole('region', { name: 'Set aside' })
    await plain(aside).toContainText('lost to a later edit in another tab')
    const [download] = await Promise.all([
      left.waitForEvent('download'),
      aside.getByRole('button', { name: 'Download' }).click(),
    ])
    let text = ''
    for await (const chunk of await download.createReadStream()) text += String(chunk)
    expect(text).toContain(mine)
    told('tab closed over a conflict', 'both sides kept')
  },
)
