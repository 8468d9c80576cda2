import {
  expect,
  test as base,
  type BrowserContext,
  type BrowserContextOptions,
  type Locator,
  type Page,
} from '@playwright/test'

/** A context that stays open for the tests of a worker, and what empties it between them. */
interface Kept {
  context: BrowserContext
  empty: () => Promise<void>
}
type Keep = (options: BrowserContextOptions) => Promise<Kept>

/** What is folded is open, as on the device of whoever opened it all. */
const unfold = () => {
  const key = 'open-bed-folds'
  if (location.protocol.startsWith('http') && localStorage.getItem(key) === null)
    localStorage.setItem(key, '{"*":true}')
}

/**
 * Tests of a worker share a browser context, so that the app's scripts are fetched and compiled once. Every test begins
 * with nothing stored: databases, caches and cookies of the page are removed after each.
 */
const shared = base.extend<{ alone: boolean; folded: boolean }, { keep: Keep }>({
  /** As on a device that nobody has opened anything on: in a context of its own. */
  folded: [false, { option: true }],
  /** In a context of its own: what sets the clock would set it for every later test of a shared one. */
  alone: [false, { option: true }],
  keep: [
    async ({ browser }, use) => {
      const contexts = new Map<string, Promise<Kept>>()
      const open = async (options: BrowserContextOptions): Promise<Kept> => {
        const context = await browser.newContext(options)
        await context.addInitScript(unfold)
        const session = await context.newCDPSession(await context.newPage())
        const origin = new URL(options.baseURL!).origin
        return {
          context,
          async empty() {
            // The first page is the session's own; the others were the test's.
            await Promise.all(
              context
                .pages()
                .slice(1)
                .map((page) => page.close()),
            )
            await context.setOffline(false)
            await context.unrouteAll({ behavior: 'ignoreErrors' })
            await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' })
          },
        }
      }
      await use((options) => {
        const key = JSON.stringify(options)
        const known = contexts.get(key) ?? open(options)
        contexts.set(key, known)
        return known
      })
      for (const kept of contexts.values()) await (await kept).context.close()
    },
    { scope: 'worker' },
  ],
  context: async (
    { keep, alone, folded, browser, viewport, hasTouch, baseURL, serviceWorkers, contextOptions },
    use,
  ) => {
    const options = { ...contextOptions, viewport, hasTouch, baseURL, serviceWorkers }
    // A service worker outlives the pages it serves: its tests have a context each.
    if (alone || folded || serviceWorkers === 'allow') {
      const own = await browser.newContext(options)
      if (!folded) await own.addInitScript(unfold)
      await use(own)
      await own.close()
      return
    }
    const { context, empty } = await keep(options)
    await use(context)
    await empty()
  },
})

/**
 * Every browser test fails on anything the page complains of: an error, a warning of the framework, a breach of the
 * security policy, a request to anywhere but the page's own server.
 */
export const test = shared.extend<{ quiet: void }>({
  quiet: [
    async ({ context }, use) => {
      const heard: string[] = []
      const listen = (page: Page) => {
        page.on('console', (m) => {
          // Said by the test browser itself, for keeping the app is off but in e2e/offline.spec.ts.
          if (m.text().includes('Service Worker registration blocked')) return
          if (m.type() === 'error' || m.type() === 'warning') heard.push(m.text())
        })
        page.on('pageerror', (e) => heard.push(e.message))
        page.on('request', (r) => {
          const url = new URL(r.url())
          if (url.protocol.startsWith('http') && url.hostname !== 'localhost')
            heard.push(`request to ${url.hostname}`)
        })
      }
      context.on('page', listen)
      await use()
      context.off('page', listen)
      expect(heard).toEqual([])
    },
    { auto: true },
  ],
})
export { expect }

export const PHONE = { width: 390, height: 844 }

/** Waits until the page says that all is saved. */
export async function saved(page: Page) {
  // The notice follows an edit two frames later, behind what was edited: until then it speaks of the edit before.
  await page.evaluate(async () => {
    for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame)
  })
  await expect(page.locator('.notice')).toHaveText('Saved')
}

/** Opens a garden and waits until it is there. */
export async function openGarden(page: Page, path = '/my') {
  await page.goto(path)
  await expect(page.locator('main h1').first()).toBeAttached()
}

export const glanceAt = (page: Page, label: string) =>
  page.getByRole('region', { name: label }).locator('.figure').first()

/** Starts a job by its tile on Today. */
export async function startJob(page: Page, tile: string) {
  await page.getByRole('button', { name: tile }).click()
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/containers$/)
}

/** Adds a material through the shelf. */
export async function addMaterial(page: Page, search: string) {
  await page.getByRole('button', { name: 'Add from the shelf' }).click()
  await page.getByLabel('Search materials').fill(search)
  await page.getByLabel('Search materials').press('Enter')
  await expect(page.getByRole('dialog')).toBeHidden()
}

export const station = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations of this job' })
    .getByRole('link', { name: new RegExp(`^\\W*${name}\\W*(done|next)?$`) })
    .click()

/** Presses Tab until something is focused, as a person without a mouse would; fails when it cannot be reached. */
export async function tabTo(page: Page, target: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab') {
  for (let i = 0; i < 90; i++) {
    if (await target.evaluateAll(([el, another]) => !another && el === document.activeElement)) return
    await page.keyboard.press(key)
  }
  throw new Error(`${target} cannot be reached with ${key}`)
}

/**
 * Waits until a dialog has opened, by its first field. Then it takes the keyboard there: what is typed elsewhere before
 * would go there.
 */
export async function opened(first: Locator) {
  await expect(first).toBeFocused()
  await first.page().evaluate(async () => {
    await Promise.all(document.getAnimations().map((a) => a.finished.catch(() => null)))
  })
}

/** A field with what is said beneath it, by its label. */
export const field = (page: Page, label: string) =>
  page.locator('.field').filter({ has: page.getByLabel(label, { exact: true }) })
