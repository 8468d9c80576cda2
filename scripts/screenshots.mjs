/** npm run screenshots: one picture of each main view from the demo garden, in docs/screenshots. */
import { demoServer } from './lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
const VIEWS = [
  ['today', '', DESK],
  ['beds', '/beds', DESK],
  ['place', '/place', DESK],
  ['containers', '/jobs/fig/containers', DESK],
  ['mix', '/jobs/peppers-27/mix', DESK],
  ['finder', '/jobs/peppers-27/finder', DESK],
  ['water', '/jobs/peppers-27/water', DESK],
  ['buy', '/jobs/peppers-27/buy', DESK],
  ['prepare', '/jobs/peppers-27/prepare', DESK],
  ['make', '/jobs/peppers-27/make', DESK],
  ['fill', '/jobs/fig/fill', DESK],
  ['season', '/jobs/herbs-26/season', DESK],
  ['log', '/jobs/peppers-26/log', DESK],
  ['test', '/tests/peppers-26-slurry', DESK],
  ['wrong', '/jobs/peppers-26/wrong', DESK],
  ['shelf', '/shelf', DESK],
  ['records', '/records', DESK],
  ['method', '/method', DESK],
  ['mix-phone', '/jobs/peppers-27/mix', PHONE],
]
try {
  const context = await browser.newContext({ locale: 'en-GB' })
  const page = await context.newPage()
  for (const [name, path, viewport] of VIEWS) {
    await page.setViewportSize(viewport)
    await page.goto(`http://localhost:${port}/demo${path}`)
    await page.locator('main h1').first().waitFor({ state: 'attached' })
    if (name === 'finder') {
      await page.getByRole('heading', { name: /meet all of it/ }).waitFor({ timeout: 60_000 })
      await page.evaluate(() => window.scrollTo(0, 0))
    }
    if (name === 'water') {
      await page.getByRole('table').first().waitFor()
      await page.getByText('How it is poured, and on what').click()
      await page.getByLabel('Beside it').click()
      await page.getByRole('option', { name: 'This mix over 5 cm of gravel' }).click()
      await page.getByText(/^Over 5 cm of gravel: |^The two hardly differ/).waitFor()
      await page.getByLabel('Time since the start').fill('2')
      await page.evaluate(() => window.scrollTo(0, 0))
    }
    if (name === 'wrong') await page.getByRole('radio').first().check()
    // Likely ranges come after the figures.
    if (name.startsWith('mix'))
      await page
        .locator('.likely', { hasText: /likely/ })
        .first()
        .waitFor()
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(500)
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
  }
  console.log(`${VIEWS.length} pictures in docs/screenshots`)
} finally {
  await browser.close()
  server.kill()
}
