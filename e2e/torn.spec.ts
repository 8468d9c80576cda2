import { expect as plain, test as bare, type Page } from '@playwright/test'
import { openGarden } from './support'
import { kill, moments } from './kills'

/** Kills in the middle of large acts. */
const KILLS = Number(process.env.TORN ?? 50)
/** Lines of the log that come, and go, with one job: more than one write ever held. */
const LINES = 3000

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
              data: { ...line.data, id: `line-${i}`, jobId: job.data.id, fillId: null, note: 'first' },
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

/**
 * The garden as it lies in the database, read by a page that runs nothing of the app: keys, and what their lines say.
 */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<{ keys: string[]; notes: string[] }>((resolve, reject) => {
        const opening = indexedDB.open('open-bed-my')
        opening.onerror = () => reject(new Error('cannot be opened'))
        opening.onsuccess = () => {
          const store = opening.result.transaction('records').objectStore('records')
          const [keys, values] = [store.getAllKeys(), store.getAll()]
          store.transaction.oncomplete = () => {
            opening.result.close()
            const notes = values.result.flatMap((raw) =>
              raw?.kind === 'entry' ? [String(raw.data?.note)] : [],
            )
            resolve({ keys: keys.result.map(String), notes: [...new Set(notes)] })
          }
        }
      }),
  )
const countIn = ({ keys }: { keys: string[] }) => keys.filter((key) => /^(entry|job)\//.test(key)).length

// Not the quiet test: a page that is shot down in the middle has reason to complain.
bare(
  'imports, removals and their undo, killed at any moment, are there whole or not at all',
  { tag: '@long' },
  async ({ context, page }) => {
    bare.setTimeout(60_000 + KILLS * 15_000)
    await openGarden(page, '/demo')
    await plain(page.locator('.notice')).toHaveText('Saved')
    const text = await bigFile(page)
    const jobId = /"key":"job\/([^"]+)"/.exec(text)![1]!
    await openGarden(page, '/my')
    await page.goto('/health')
    const next = moments(7)
    const before = countIn(await stored(page))
    const whole = before + LINES + 1
    /** Brings a file in; the same lines with another note are a restore over what is there. */
    const bringIn = async (tab: Page, note: string) => {
      await openGarden(tab, '/my/settings')
      const buffer = Buffer.from(text.replaceAll('"note":"first"', `"note":"${note}"`))
      await tab
        .getByLabel('File to bring in')
        .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer })
      await tab.getByRole('button', { name: /^Bring in \d+$/ }).click()
    }
    const found: string[] = []
    for (let i = 0; i < KILLS; i++) {
      const was = await stored(page)
      const there = countIn(was)
      const tab = await context.newPage()
      let act = 'import'
      if (there === before) {
        await bringIn(tab, 'first')
        if (next(0, 3) < 1) {
          act = 'undo of an import'
          await plain(tab.getByText('brought in. Undo takes it back.')).toBeVisible({ timeout: 20_000 })
          await tab.getByRole('button', { name: /^Undo import/ }).click()
        }
      } else if (next(0, 2) < 1) {
        act = 'restore'
        await bringIn(tab, was.notes[0] === 'first' ? 'second' : 'first')
      } else {
        act = 'removal'
        await openGarden(tab, `/my/jobs/${jobId}/containers`)
        await tab.getByRole('button', { name: 'Remove this job' }).click()
        await tab.getByRole('button', { name: 'Remove it' }).click()
      }
      await tab.waitForTimeout(next(0, 900))
      await kill(tab)
      const after = await stored(page)
      plain([before, whole], `${act}, kill ${i}`).toContain(countIn(after))
      // All of the lines are of one file, or of the other.
      plain(after.notes.length, `${act}, kill ${i}: ${after.notes.join()}`).toBeLessThanOrEqual(1)
      const isSame = countIn(after) === there && after.notes.join() === was.notes.join()
      found.push(`${act}: ${isSame ? 'as before' : 'as after'}`)
    }
    bare.info().annotations.push({
      type: 'fault',
      description: `${KILLS} kills in large acts, 0 torn (${found.join('; ')})`,
    })
  },
)

bare(
  'an opening that sets things aside, killed at any moment: each is in its place or set aside, once',
  { tag: '@long' },
  async ({ context, page }) => {
    const BROKEN = 200
    const kills = Math.max(5, Math.round(KILLS / 5))
    bare.setTimeout(60_000 + kills * 15_000)
    await openGarden(page, '/my')
    await plain(page.locator('.notice')).toHaveText('Saved')
    await page.goto('/health')
    const next = moments(11)
    for (let i = 0; i < kills; i++) {
      await page.evaluate(
        ([round, broken]) =>
          new Promise<void>((resolve) => {
            const opening = indexedDB.open('open-bed-my')
            opening.onsuccess = () => {
              const transaction = opening.result.transaction('records', 'readwrite')
              const store = transaction.objectStore('records')
              // Half of it in each of the two parts that are read.
              for (let n = 0; n < broken!; n++)
                store.put({ junk: n }, `${n % 2 ? 'entry' : 'job'}/bad-${round}-${n}`)
              transaction.oncomplete = () => {
                opening.result.close()
                resolve()
              }
            }
          }),
        [i, BROKEN],
      )
      const tab = await context.newPage()
      await tab.goto('/my', { waitUntil: 'commit' })
      await tab.waitForTimeout(next(0, 1500))
      await kill(tab)
      const { keys } = await stored(page)
      const places = new Map<string, number>()
      for (const key of keys) {
        const name = /bad-\d+-\d+$/.exec(key)?.[0]
        if (name) places.set(name, (places.get(name) ?? 0) + 1)
      }
      plain(places.size, `kill ${i}`).toBe((i + 1) * BROKEN)
      plain(Math.max(...places.values()), `kill ${i}`).toBe(1)
    }
    bare.info().annotations.push({
      type: 'fault',
      description: `${kills} kills of openings that set aside, 0 lost, 0 twice`,
    })
  },
)
