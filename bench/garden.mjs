/**
 * npm run bench:garden: gardens of three sizes in the browser, at full speed: one of 20 jobs, a large one of 2,000
 * jobs, 5,000 records, 20,000 lines of the log and 200 photos, and one with 100,000 lines. How long each takes to
 * open, what a key costs, the longest task and the memory of each page: medians of five, and the ratio to 20 jobs.
 * The last part brings the large garden in as a file.
 */
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoServer } from '../scripts/lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const at = (path) => `http://localhost:${port}${path}`
/** Once and without the largest only says that all of it still runs. */
const isShort = process.env.SHORT === '1'
const TIMES = isShort ? 1 : Number(process.env.TIMES ?? 5)
const SIZES = {
  '20 jobs': { job: 20, record: 20, bed: 20, entry: 200, photo: 2 },
  '2,000 jobs': { job: 2000, record: 5000, bed: 500, entry: 20_000, photo: 200 },
  '100,000 lines': { job: 2000, record: 5000, bed: 500, entry: 100_000, photo: 200 },
}
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

/** In the page of the demo: its records many times over, as the text of a garden file. */
const many = async (counts) => {
  const demo = await new Promise((resolve, reject) => {
    const opening = indexedDB.open('open-bed-demo')
    opening.onerror = () => reject(opening.error)
    opening.onsuccess = () => {
      const store = opening.result.transaction('records').objectStore('records')
      const values = store.getAll()
      const keys = store.getAllKeys()
      store.transaction.oncomplete = () => resolve(keys.result.map((k, i) => [k, values.result[i]]))
    }
  })
  const of = (kind) => demo.filter(([k]) => k.startsWith(`${kind}/`)).map(([, envelope]) => envelope)
  const photo = () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 1024, height: 768 })
    const paper = canvas.getContext('2d')
    for (let i = 0; i < 3000; i++) {
      paper.fillStyle = `hsl(${(i * 137) % 360} 40% ${20 + (i % 60)}%)`
      paper.fillRect((i * 71) % 1024, (i * 113) % 768, 40, 30)
    }
    const data = { jobId: '', takenAt: '2026-06-01T10:00:00.000Z', jpeg: canvas.toDataURL('image/jpeg', 0.6) }
    return { kind: 'photo', schemaVersion: 1, data }
  }
  const start = Date.UTC(2022, 2, 1)
  const day = (i, n) => new Date(start + (i * 1700 * 86_400_000) / n).toISOString()
  const change = {
    job: (data, i) => ({ name: `${data.name} ${i}`, recordId: i < 5000 ? `record-${i}` : null }),
    record: (data, i, n, jobs) => ({ jobId: `job-${i % jobs}`, jobName: `${data.jobName} ${i}` }),
    bed: (data, i) => ({ name: `${data.name} ${i}` }),
    entry: (data, i, n, jobs) => ({ jobId: `job-${i % jobs}`, fillId: null, at: day(i, n) }),
    photo: (data, i, n, jobs) => ({ jobId: `job-${i % jobs}` }),
  }
  const records = demo
    .filter(([k]) => !/^(job|record|bed|entry|photo)\//.test(k))
    .map(([key, envelope]) => ({ ...envelope, key, revision: 0, savedAt: day(0, 1) }))
  for (const [kind, count] of Object.entries(counts)) {
    const from = kind === 'photo' ? [photo()] : of(kind)
    for (let i = 0; i < count; i++) {
      const { schemaVersion, data } = from[i % from.length]
      const own = { ...data, id: `${kind}-${i}`, ...change[kind](data, i, count, counts.job) }
      const key = `${kind}/${kind}-${i}`
      records.push({ key, kind, schemaVersion, revision: 0, savedAt: day(0, 1), data: own })
    }
  }
  const head = { format: 'open-bed-garden', formatVersion: 1, exportedAt: '2026-03-01T09:00:00.000Z' }
  return JSON.stringify({ ...head, records })
}

/** Long tasks of the page, ms, since it was asked last. */
const LONG = `
  window.longTasks = [];
  new PerformanceObserver((list) => { for (const e of list.getEntries()) window.longTasks.push(Math.round(e.duration)) })
    .observe({ type: 'longtask', buffered: true });
`
const longest = (page) => page.evaluate(() => Math.max(0, ...window.longTasks.splice(0)))

/** The garden as a file on the disk: one handed over from here would be unpacked by the page itself. */
async function fileOf(counts) {
  const context = await browser.newContext()
  const page = await context.newPage()
  await page.goto(at('/demo'))
  await page.locator('main h1').first().waitFor()
  await page.waitForTimeout(800)
  const text = await page.evaluate(many, counts)
  await context.close()
  const path = join(mkdtempSync(join(tmpdir(), 'open-bed-')), 'garden.json')
  writeFileSync(path, text)
  return { path, megabytes: text.length / 1e6 }
}

/** A browser's garden with the file brought in through the settings; what that took. */
async function gardenOf(counts) {
  const { path, megabytes } = await fileOf(counts)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.addInitScript(LONG)
  const page = await context.newPage()
  await page.goto(at('/my/settings'))
  await page.getByLabel('File to bring in').waitFor({ state: 'attached' })
  await page.waitForTimeout(500)
  await longest(page)
  const chosen = Date.now()
  await page.getByLabel('File to bring in').setInputFiles(path)
  await page.getByRole('region', { name: 'What the file would change' }).waitFor({ timeout: 300_000 })
  const lookedAt = Date.now() - chosen
  const lookTask = await longest(page)
  await page.evaluate(() => {
    window.savedAt = null
    const notice = document.querySelector('.notice')
    new MutationObserver(() => {
      if (notice.textContent === 'Saved') window.savedAt = performance.now()
    }).observe(notice, { childList: true, characterData: true, subtree: true })
  })
  const from = await page.evaluate(() => performance.now())
  const bringIn = page.locator('button', { hasText: /^Bring in/ }).last()
  await bringIn.click()
  await page.waitForFunction(() => window.savedAt !== null, null, { timeout: 300_000 })
  const saved = (await page.evaluate(() => window.savedAt)) - from
  const imported = { megabytes, lookedAt, lookTask, saved, saveTask: await longest(page) }
  await page.close()
  return { context, imported }
}

const PAGES = [
  ['Today', '/my', 'main a[href*="/jobs/"]'],
  ['Beds', '/my/beds', 'main h1'],
  ['Records', '/my/records', 'main h1'],
  ['Compare seasons', '/my/seasons', 'main .bed'],
  ['the mix of a job', '/my/jobs/job-1/mix', 'main h1'],
  ['the log of a job', '/my/jobs/job-1/log', 'main h1'],
]
const KEYS = [
  ['Today, search', '/my', 'main input[type=text]'],
  ['Beds, search', '/my/beds', 'main input[type=text]'],
  ['Records, search', '/my/records', 'main input[type=text]'],
  [
    'the name of a job',
    '/my/jobs/job-1/mix',
    'input[aria-label="Name of this job"], [aria-label="Name of this job"] input',
  ],
  ['the log, search', '/my/jobs/job-1/log', 'main input[type=search], main input[type=text]'],
]

/** A page opened in a tab of its own: until it shows what it is for, its longest task, and what it keeps in memory. */
async function openOnce(context, [, path, shows]) {
  const page = await context.newPage()
  const from = Date.now()
  await page.goto(at(path), { waitUntil: 'commit' })
  await page.locator(shows).first().waitFor({ timeout: 120_000 })
  const ms = Date.now() - from
  await page.waitForTimeout(1500)
  const task = await longest(page)
  const devtools = await context.newCDPSession(page)
  await devtools.send('HeapProfiler.collectGarbage')
  const { usedSize } = await devtools.send('Runtime.getHeapUsage')
  await page.close()
  return { ms, task, megabytes: usedSize / 1e6 }
}

/** Six keys in a field, each to the painted answer; the slowest. */
async function typeOnce(context, [, path, field]) {
  const page = await context.newPage()
  await page.goto(at(path))
  const box = page.locator(field).first()
  await box.waitFor({ timeout: 120_000 })
  await page.waitForTimeout(1500)
  await box.focus()
  const keys = await page.evaluate(async () => {
    const input = document.activeElement
    const all = []
    for (const key of 'pepper') {
      const from = performance.now()
      input.value += key
      input.dispatchEvent(new Event('input', { bubbles: true }))
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
      all.push(performance.now() - from)
      await new Promise((done) => setTimeout(done, 100))
    }
    return all
  })
  await page.close()
  return { ms: Math.max(...keys) }
}

async function medians(context, list, once) {
  const found = {}
  for (const one of list) {
    const runs = []
    for (let i = 0; i < TIMES; i++) runs.push(await once(context, one))
    found[one[0]] = Object.fromEntries(
      Object.keys(runs[0]).map((figure) => [figure, median(runs.map((r) => r[figure]))]),
    )
  }
  return found
}

async function measure(name) {
  const { context, imported } = await gardenOf(SIZES[name])
  const opened = await medians(context, PAGES, openOnce)
  const keys = await medians(context, KEYS, typeOnce)
  await context.close()
  return { imported, opened, keys }
}

const ratio = (a, b) => `${(a / Math.max(b, 1)).toFixed(1)} times`
function print(name, { imported, opened, keys }, small) {
  console.log(`\n${name}`)
  const { megabytes, lookedAt, lookTask, saved, saveTask } = imported
  console.log(
    `  a file of ${megabytes.toFixed(1)} MB: looked at in ${lookedAt} ms (longest task ${lookTask} ms), ` +
      `saved in ${saved.toFixed(0)} ms (longest task ${saveTask} ms)`,
  )
  for (const [what, { ms, task, megabytes: memory }] of Object.entries(opened))
    console.log(
      `  ${what}: open in ${ms} ms (${ratio(ms, small.opened[what].ms)}), longest task ${task} ms, ${memory.toFixed(0)} MB`,
    )
  for (const [what, { ms }] of Object.entries(keys))
    console.log(`  a key in ${what}: ${ms.toFixed(0)} ms (${ratio(ms, small.keys[what].ms)})`)
}

try {
  let small
  for (const name of Object.keys(SIZES).slice(0, isShort ? 2 : undefined)) {
    const found = await measure(name)
    small ??= found
    print(name, found, small)
  }
} finally {
  await browser.close()
  server.kill()
}
