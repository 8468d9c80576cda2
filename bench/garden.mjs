/**
 * npm run bench:garden: a garden of 2,000 jobs, 5,000 records and 500 beds in the browser, at full speed: how long it
 * takes to open, what is drawn, what a key costs in a search, and how long an import takes to be saved.
 */
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoServer } from '../scripts/lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const at = (path) => `http://localhost:${port}${path}`
const JOBS = 2000
const RECORDS = 5000
const BEDS = 500

/** In the page: the demo's records copied many times over, into one's own garden or into a file. */
const many = async ([jobs, records, beds, into]) => {
  const all = (name) =>
    new Promise((resolve, reject) => {
      const opening = indexedDB.open(name)
      opening.onerror = () => reject(opening.error)
      opening.onsuccess = () => {
        const store = opening.result.transaction('records').objectStore('records')
        const values = store.getAll()
        const keys = store.getAllKeys()
        store.transaction.oncomplete = () => resolve(keys.result.map((k, i) => [k, values.result[i]]))
      }
    })
  const demo = await all('open-bed-demo')
  const out = []
  for (const [kind, count] of [
    ['job', jobs],
    ['record', records],
    ['bed', beds],
  ]) {
    const of = demo.filter(([k]) => k.startsWith(`${kind}/`))
    for (let i = 0; i < count; i++) {
      const envelope = structuredClone(of[i % of.length][1])
      envelope.revision = 1
      envelope.data.id = `${kind}-${i}`
      if ('name' in envelope.data) envelope.data.name = `${envelope.data.name} ${i}`
      if ('jobName' in envelope.data) envelope.data.jobName = `${envelope.data.jobName} ${i}`
      out.push([`${kind}/${kind}-${i}`, envelope])
    }
  }
  if (into === 'file')
    return JSON.stringify({
      format: 'open-bed-garden',
      formatVersion: 1,
      exportedAt: '2026-03-01T09:00:00.000Z',
      records: out.map(([key, envelope]) => ({ key, ...envelope })),
    })
  await new Promise((resolve, reject) => {
    const opening = indexedDB.open('open-bed-my')
    opening.onerror = () => reject(opening.error)
    opening.onsuccess = () => {
      const transaction = opening.result.transaction('records', 'readwrite')
      for (const [key, envelope] of out) transaction.objectStore('records').put(envelope, key)
      transaction.oncomplete = resolve
    }
  })
  return ''
}

/** Long tasks of the page, ms, since it was asked last. */
const LONG = `
  window.longTasks = [];
  new PerformanceObserver((list) => { for (const e of list.getEntries()) window.longTasks.push(Math.round(e.duration)) })
    .observe({ type: 'longtask', buffered: true });
`
const longest = (page) => page.evaluate(() => Math.max(0, ...window.longTasks.splice(0)))

async function views(page) {
  for (const [path, search] of [
    ['/my', null],
    ['/my/beds', 'Search your beds'],
    ['/my/records', 'Search the records'],
    ['/my/settings', null],
  ]) {
    const began = Date.now()
    await page.goto(at(path))
    await page.locator('main h1').first().waitFor()
    const opened = Date.now() - began
    await page.waitForTimeout(1500)
    const elements = await page.evaluate(() => document.querySelectorAll('*').length)
    console.log(`${path}: open in ${opened} ms, ${elements} elements, longest task ${await longest(page)} ms`)
    if (!search) continue
    const box = page.locator('main input[type=text]').first()
    await box.focus()
    const keys = []
    for (const key of 'pepper') {
      keys.push(
        await page.evaluate(
          (k) =>
            new Promise((done) => {
              const input = document.activeElement
              const from = performance.now()
              input.value += k
              input.dispatchEvent(new Event('input', { bubbles: true }))
              requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)))
            }),
          key,
        ),
      )
    }
    console.log(`  a key in the search: ${keys.map((k) => k.toFixed(0)).join(', ')} ms, to the painted list`)
  }
}

async function typing(context) {
  const job = await context.newPage()
  await job.goto(at('/my/jobs/job-1/mix'))
  await job.locator('main h1').first().waitFor()
  await job.waitForTimeout(1500)
  await longest(job)
  const name = job.getByLabel('Name of this job')
  await name.focus()
  await job.keyboard.type('abcdef')
  await job.waitForTimeout(500)
  console.log(`typing in the name of a job: longest task ${await longest(job)} ms`)
  await job.close()
}

/** A page of the demo garden, and a garden of ours as the text of a file. */
async function freshPage() {
  const other = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await other.addInitScript(LONG)
  const fresh = await other.newPage()
  await fresh.goto(at('/demo'))
  await fresh.locator('main h1').first().waitFor()
  await fresh.waitForTimeout(800)
  const text = await fresh.evaluate(many, [JOBS, RECORDS, BEDS, 'file'])
  await fresh.goto(at('/my/settings'))
  await fresh.locator('main h1').first().waitFor()
  await fresh.waitForTimeout(500)
  await longest(fresh)
  return { fresh, text }
}

async function importing() {
  const { fresh, text } = await freshPage()
  // A file on the disk: one handed over from here would be unpacked by the page itself.
  const path = join(mkdtempSync(join(tmpdir(), 'open-bed-')), 'big.json')
  writeFileSync(path, text)
  const chosen = Date.now()
  await fresh.getByLabel('File to bring in').setInputFiles(path)
  await fresh.getByRole('region', { name: 'What the file would change' }).waitFor({ timeout: 60_000 })
  console.log(
    `import of ${(text.length / 1e6).toFixed(1)} MB: looked at in ${Date.now() - chosen} ms, longest task ${await longest(fresh)} ms`,
  )
  await fresh.evaluate(() => {
    window.savedAt = null
    const notice = document.querySelector('.notice')
    new MutationObserver(() => {
      if (notice.textContent === 'Saved') window.savedAt = performance.now()
    }).observe(notice, { childList: true, characterData: true, subtree: true })
  })
  const from = await fresh.evaluate(() => performance.now())
  await fresh
    .locator('button', { hasText: /^Bring in/ })
    .last()
    .click()
  await fresh.waitForFunction(() => window.savedAt !== null, null, { timeout: 120_000 })
  const savedAt = await fresh.evaluate(() => window.savedAt)
  console.log(
    `  brought in and saved in ${(savedAt - from).toFixed(0)} ms, longest task ${await longest(fresh)} ms`,
  )
}

async function main() {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.addInitScript(LONG)
  const page = await context.newPage()
  await page.goto(at('/demo'))
  await page.locator('main h1').first().waitFor()
  await page.waitForTimeout(800)
  await page.goto(at('/my'))
  await page.locator('main h1').first().waitFor()
  await page.waitForTimeout(500)
  await page.evaluate(many, [JOBS, RECORDS, BEDS, 'garden'])

  console.log(`${JOBS} jobs, ${RECORDS} records, ${BEDS} beds\n`)
  await views(page)
  await typing(context)
  await importing()
}
try {
  await main()
} finally {
  await browser.close()
  server.kill()
}
