/** npm run screenshots: one picture of each main view from the demo garden, in docs/screenshots. */
import { writeFileSync } from 'node:fs'
import { demoServer } from './lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
/** A picture has one page, or several beside each other: a main view and what it opens. */
const VIEWS = [
  ['today', [''], DESK],
  ['beds', ['/beds', '/years'], DESK],
  ['place', ['/place', '/water'], DESK],
  ['containers', ['/jobs/fig/containers', '/jobs/peppers-27/raise'], DESK],
  ['mix', ['/jobs/peppers-27/mix'], DESK],
  ['finder', ['/jobs/peppers-27/finder', '/jobs/peppers-27/compare'], DESK],
  ['water', ['/jobs/peppers-27/water', '/away'], DESK],
  ['buy', ['/jobs/peppers-27/buy'], DESK],
  ['prepare', ['/jobs/peppers-27/prepare'], DESK],
  ['make', ['/jobs/peppers-27/make'], DESK],
  ['fill', ['/jobs/fig/fill'], DESK],
  ['season', ['/jobs/herbs-26/season', '/jobs/peppers-26/feed'], DESK],
  ['log', ['/jobs/peppers-26/log'], DESK],
  ['test', ['/tests/peppers-26-slurry', '/tests?of=job%20peppers-26'], DESK],
  ['wrong', ['/jobs/peppers-26/wrong'], DESK],
  ['shelf', ['/shelf', '/heap'], DESK],
  ['records', ['/records'], DESK],
  ['method', ['/method'], DESK],
  ['mix-phone', ['/jobs/peppers-27/mix'], PHONE],
]

/** What has to be done or waited for on a page before its picture is taken. */
const BEFORE = {
  '/jobs/peppers-27/finder': (page) =>
    page.getByRole('heading', { name: /meet all of it/ }).waitFor({ timeout: 60_000 }),
  '/jobs/peppers-27/compare': async (page) => {
    await page.getByRole('button', { name: 'Find one without peat' }).click()
    await page.getByRole('columnheader', { name: /^Without peat/ }).waitFor({ timeout: 60_000 })
  },
  '/jobs/peppers-27/water': async (page) => {
    await page.getByRole('table').first().waitFor()
    await page.getByText('How it is poured, and on what').click()
    await page.getByLabel('Beside it').click()
    await page.getByRole('option', { name: 'This mix over 5 cm of gravel' }).click()
    await page.getByText(/^Over 5 cm of gravel: |^The two hardly differ/).waitFor()
    await page.getByLabel('Time since the start').fill('2')
  },
  '/away': (page) => page.getByText(/^Following the water/).waitFor({ state: 'hidden', timeout: 60_000 }),
  '/jobs/peppers-26/feed': (page) => page.getByText('Feeds the crop to').first().waitFor({ timeout: 60_000 }),
  // A laboratory report is begun there.
  '/tests?of=job%20peppers-26': async (page) => {
    await page.getByRole('button', { name: 'Begin: Laboratory report', exact: true }).click()
    const read = { pH: '5.6', 'Salts, dS/m (mS/cm)': '1.1', 'Nitrogen, nitrate and ammonium': '38' }
    for (const [label, value] of Object.entries({ ...read, Phosphorus: '9', Potassium: '140' }))
      await page.getByLabel(label, { exact: true }).fill(value)
    await page.getByRole('button', { name: 'Done', exact: true }).click()
  },
  '/jobs/peppers-26/wrong': (page) => page.getByRole('radio').first().check(),
  // Likely ranges come after the figures.
  '/jobs/peppers-27/mix': (page) =>
    page
      .locator('.likely', { hasText: /likely/ })
      .first()
      .waitFor(),
}

/** Pictures beside each other in one, two to a row. */
async function beside(page, shots, { width, height }) {
  const images = shots.map((shot) => `<img src="data:image/png;base64,${shot.toString('base64')}">`)
  await page.goto('about:blank')
  await page.setViewportSize({
    width: 2 * width + 16,
    height: Math.ceil(shots.length / 2) * (height + 16) - 16,
  })
  await page.setContent(
    `<style>body{margin:0;display:grid;grid-template-columns:1fr 1fr;gap:16px;background:#fff}</style>${images.join('')}`,
  )
  await page.waitForFunction(() => [...document.images].every((image) => image.complete))
  return page.screenshot()
}

try {
  const context = await browser.newContext({ locale: 'en-GB' })
  const page = await context.newPage()
  for (const [name, paths, viewport] of VIEWS) {
    const shots = []
    for (const path of paths) {
      await page.setViewportSize(viewport)
      await page.goto(`http://localhost:${port}/demo${path}`)
      await page.locator('main h1').first().waitFor({ state: 'attached' })
      await BEFORE[path]?.(page)
      await page.evaluate(() => window.scrollTo(0, 0))
      await page.evaluate(() => document.fonts.ready)
      await page.waitForTimeout(500)
      shots.push(await page.screenshot())
    }
    const picture = shots.length === 1 ? shots[0] : await beside(page, shots, viewport)
    writeFileSync(`docs/screenshots/${name}.png`, picture)
  }
  console.log(`${VIEWS.length} pictures in docs/screenshots`)
} finally {
  await browser.close()
  server.kill()
}
