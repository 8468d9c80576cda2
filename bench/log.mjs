/**
 * npm run bench:log: a job with 5,000 lines in its log, at full speed in the browser: the longest task of opening it,
 * of following another thing, of a key in its search, of a watering and of Compare seasons.
 */
import { demoServer, unfolded } from '../scripts/lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const at = (path) => `http://localhost:${port}${path}`
const LINES = 5000
const LONG = `
  window.longTasks = [];
  new PerformanceObserver((list) => { for (const e of list.getEntries()) window.longTasks.push(Math.round(e.duration)) })
    .observe({ type: 'longtask', buffered: true });
`

/** In the page: the lines of the demo's peppers many times over, a day apart and less. */
const fill = (lines) =>
  new Promise((resolve, reject) => {
    const opening = indexedDB.open('open-bed-demo')
    opening.onerror = () => reject(opening.error)
    opening.onsuccess = () => {
      const transaction = opening.result.transaction('records', 'readwrite')
      const store = transaction.objectStore('records')
      const keys = store.getAllKeys()
      const values = store.getAll()
      values.onsuccess = () => {
        const all = keys.result
          .map((key, i) => [key, values.result[i]])
          .filter(([key]) => key.startsWith('entry/peppers-26'))
        for (let i = 0; i < lines; i++) {
          const envelope = structuredClone(all[i % all.length][1])
          envelope.data.id = `many-${i}`
          envelope.data.at = new Date(Date.UTC(2026, 4, 16) + (i * 120 * 86_400_000) / lines).toISOString()
          store.put(envelope, `entry/many-${i}`)
        }
      }
      transaction.oncomplete = resolve
    }
  })

try {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } })
  await context.addInitScript(LONG)
  // The search of the log lies under a heading.
  await unfolded(context)
  const page = await context.newPage()
  await page.goto(at('/demo'))
  await page.locator('main h1').first().waitFor()
  await page.waitForTimeout(1000)
  await page.evaluate(fill, LINES)
  const longest = async (what) => {
    await page.waitForTimeout(900)
    const worst = await page.evaluate(() => Math.max(0, ...window.longTasks.splice(0)))
    console.log(`${what}: longest task ${worst} ms`)
  }
  console.log(`${LINES} lines`)
  await page.goto(at('/demo/jobs/peppers-26/log'))
  await page.getByRole('heading', { name: 'What was noted' }).waitFor()
  await longest('opening the log')
  for (const name of ['Waterings', 'Salts', 'Level']) {
    await page.getByRole('button', { name, exact: true }).click()
    await longest(`following ${name.toLowerCase()}`)
  }
  const search = page.getByLabel('Search the log')
  await search.focus()
  for (const key of 'fed') {
    await page.keyboard.press(key)
    await longest(`"${key}" typed in the search`)
  }
  await search.fill('')
  await page.getByRole('button', { name: 'Watered', exact: true }).click()
  await longest('noting a watering')
  await page.goto(at('/demo/seasons'))
  await page.getByRole('heading', { name: 'Compare seasons' }).waitFor()
  await longest('opening Compare seasons')
} finally {
  await browser.close()
  server.kill()
}
