/**
 * npm run bench:play: two mixes side by side that play: pictures a second at full speed, and the longest task with the
 * processor slowed to a quarter.
 */
import { demoServer, unfolded } from '../scripts/lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
const WATCH = `
  window.longTasks = [];
  new PerformanceObserver((list) => { for (const e of list.getEntries()) window.longTasks.push(Math.round(e.duration)) })
    .observe({ type: 'longtask', buffered: true });
`
try {
  for (const slowed of [1, 4]) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await context.addInitScript(WATCH)
    // What a mix is held beside lies under a heading.
    await unfolded(context)
    const page = await context.newPage()
    await page.goto(`http://localhost:${port}/demo/jobs/peppers-27/water`)
    await page.getByRole('table', { name: 'What it comes to' }).waitFor()
    await page.getByLabel('Beside it').click()
    await page.getByRole('option', { name: 'This mix over 5 cm of gravel' }).click()
    await page.getByText('In brackets: the likely range.').waitFor()
    await page.waitForTimeout(2500)
    const session = await context.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowed })
    await page.evaluate(() => window.longTasks.splice(0))
    await page.getByRole('button', { name: 'Fast: four hours a second' }).click()
    await page.getByRole('button', { name: 'Play' }).click()
    const frames = await page.evaluate(
      (ms) =>
        new Promise((done) => {
          const times = []
          const from = performance.now()
          const tick = (now) => (times.push(now), now - from < ms ? requestAnimationFrame(tick) : done(times))
          requestAnimationFrame(tick)
        }),
      8000,
    )
    const gaps = frames.slice(1).map((t, i) => t - frames[i])
    const tasks = await page.evaluate(() => window.longTasks)
    console.log(
      `${slowed === 1 ? 'full speed' : `a ${slowed}th of it`}: ${((1000 * gaps.length) / (frames.at(-1) - frames[0])).toFixed(1)} frames a second, ` +
        `longest gap ${Math.max(...gaps).toFixed(0)} ms; tasks over 50 ms: ${tasks.length ? tasks.join(', ') : 'none'}`,
    )
    await context.close()
  }
} finally {
  await browser.close()
  server.kill()
}
