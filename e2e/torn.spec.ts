import { expect as plain, test as bare, type Page } from '@playwright/test'
import { openGarden } from './support'
import { kill, moments } from './kills'

/** Kills in the middle of large acts: a few in `npm test`, fifty in the long run. */
const KILLS = Number(process.env.TORN ?? (process.env.LONG ? 50 : 3))
/** Lines of the log that come, and go, with one job: more than one write ever held. */
const LINES = process.env.LONG ? 3000 : 1500

/** A garden file of one job of the demo and so many lines of its log. */
const bigFile = (page: Page) =>
  page.evaluate(
    (lines) =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open('open-bed-demo')
        opening.onsuccess = () => {
          const store = opening.result.transaction('records').objectStore('records')
          const [keys, values] = [store.getAllKeys(), store.getAll()]
          store.transaction.oncomplete = () => {
            opening.result.close()
            const found = keys.result.map((key, i) => ({ key: String(key), ...values.result[i] }))
            const job = found.find((r) => r.key.startsWith('job/'))!
            const line = found.find((r) => r.key.startsWith('entry/'))!
            const copies = Array.from({ length: lines }, (_, i) => ({
              ...line,
              key: `entry/line-${i}`,
              data: { ...line.data, id: `line-${i}`, jobId: job.data.id, fillId: null },
            }))
            resolve(
              JSON.stringify({
                format: 'open-bed-garden',
                formatVersion: 1,
                exportedAt: '2026-03-01T09:00:00.000Z',
                records: [job, ...copies],
              }),
            )
          }
        }
      }),
    LINES,
  )

/** Records of the garden as they lie in the database, read by a page that runs nothing of the app. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('open-bed-my')
        opening.onerror = () => reject(new Error('cannot be opened'))
        opening.onsuccess = () => {
          const asked = opening.result.transaction('records').objectStore('records').getAllKeys()
          asked.onsuccess = () => {
            opening.result.close()
            resolve(asked.result.filter((key) => /^(entry|job)\//.test(String(key))).length)
          }
        }
      }),
  )

// Not the quiet test: a page that is shot down in the middle has reason to complain.
bare(
  'imports, removals and their undo, killed at any moment, are there whole or not at all',
  async ({ context, page }) => {
    bare.setTimeout(60_000 + KILLS * 15_000)
    await openGarden(page, '/demo')
    await plain(page.locator('.notice')).toHaveText('Saved')
    const text = await bigFile(page)
    const jobId = /"key":"job\/([^"]+)"/.exec(text)![1]!
    await openGarden(page, '/my')
    await page.goto('/health')
    const next = moments(7)
    const before = await stored(page)
    const whole = before + LINES + 1
    const found: string[] = []
    for (let i = 0; i < KILLS; i++) {
      const there = await stored(page)
      const tab = await context.newPage()
      let act = 'import'
      if (there === before) {
        await openGarden(tab, '/my/settings')
        await tab
          .getByLabel('File to bring in')
          .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(text) })
        await tab.getByRole('button', { name: /^Bring in \d+$/ }).click()
        if (next(0, 3) < 1) {
          act = 'undo of an import'
          await plain(tab.getByText('brought in. Undo takes it back.')).toBeVisible({ timeout: 20_000 })
          await tab.getByRole('button', { name: /^Undo import/ }).click()
        }
      } else {
        act = 'removal'
        await openGarden(tab, `/my/jobs/${jobId}/containers`)
        await tab.getByRole('button', { name: 'Remove this job' }).click()
        await tab.getByRole('button', { name: 'Remove it' }).click()
      }
      await tab.waitForTimeout(next(0, 900))
      await kill(tab)
      const after = await stored(page)
      plain([before, whole], `${act}, kill ${i}`).toContain(after)
      found.push(`${act}: ${after === there ? 'as before' : 'as after'}`)
    }
    bare.info().annotations.push({
      type: 'fault',
      description: `${KILLS} kills in large acts, 0 torn (${found.join('; ')})`,
    })
  },
)
