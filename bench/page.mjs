/**
 * npm run bench:page: the bench of the app in the browser, with the CPU slowed four times. From a tap on plus to the
 * painted answer, figures and section (median of at least 50), and how smooth the page stays while the finder looks
 * through everything. Prints figures and ratios.
 */
import { demoServer } from '../scripts/lib/demoServer.mjs'

const { server, browser, port } = await demoServer()
/** Presses on each page; a few of them only say that all of it still runs. */
const TAPS = process.env.SHORT === '1' ? 20 : 120
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

// The mix of the section is painted beside the page, which says nothing when it is done: the painting is heard there.
async function listenToPainter(page) {
  const painter = page.workers().find((w) => w.url().includes('paint'))
  await painter.evaluate(() => {
    self.painted = []
    const { prototype } = OffscreenCanvasRenderingContext2D
    const put = prototype.putImageData
    prototype.putImageData = function (...given) {
      put.apply(this, given)
      self.painted.push(performance.timeOrigin + performance.now())
    }
  })
  return painter
}

// In the page: the task after the next frame. A timer would come after the frame that follows it, where frames are
// late.
const PAINTED = `
  window.painted = () => new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => done()
    requestAnimationFrame(() => port2.postMessage(null))
  })
`

// From the handler of the press to the task after the frame that shows its figures, and to the end of the painting
// if that is later. A loop of known length runs before and after each, and tells whether something else had the
// processor meanwhile.
const pressed = (plus) =>
  plus.evaluate(async (button, count) => {
    const loop = () => {
      const from = performance.now()
      let x = 0
      for (let i = 0; i < 2e6; i++) x = (x * 31 + i) | 0
      return performance.now() - from + (x & 0)
    }
    const field = button.parentElement.querySelector('input')
    const minus = button.parentElement.querySelector('button')
    const list = []
    for (let i = 0; i < 3; i++) loop()
    for (let i = 0; i < count; i++) {
      const loopBefore = loop()
      await new Promise((r) => setTimeout(r, 30))
      const before = field.value
      const press = i % 2 === 0 ? button : minus
      const from = performance.now()
      press.click()
      await painted()
      const ms = performance.now() - from
      if (field.value === before) throw new Error('nothing changed')
      await new Promise((r) => setTimeout(r, 300))
      list.push({ ms, at: performance.timeOrigin + from, loop: Math.max(loopBefore, loop()) })
    }
    return list
  }, TAPS)

function withPictures(all, painted) {
  for (const [i, tap] of all.entries()) {
    tap.picture = (painted.find((t) => t > tap.at) ?? Infinity) - tap.at
    // Not painted before the next press it was not painted for this one, however slow the machine is.
    tap.isUnpainted = tap.at + tap.picture >= (all[i + 1]?.at ?? Infinity)
    tap.ms = Math.max(tap.ms, tap.picture)
  }
}

/** Presses during which nothing else had the processor. */
function calmOf(all) {
  const sorted = all.map((t) => t.loop).sort((x, y) => x - y)
  const calm = all.filter((t) => t.loop <= 1.25 * sorted[Math.floor(sorted.length / 10)])
  const late = calm.filter((t) => t.isUnpainted).length
  if (late > calm.length / 10)
    throw new Error(`the section was not painted anew in ${late} of ${calm.length} undisturbed presses`)
  return calm
}

function summaryOf(all) {
  const calm = calmOf(all)
  return {
    all: median(all.map((t) => t.ms)),
    calm: median(calm.map((t) => t.ms)),
    picture: median(calm.map((t) => t.picture)),
    n: calm.length,
    of: all.length,
  }
}

async function taps(job, part, slow) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.addInitScript(PAINTED)
  await page.goto(`http://localhost:${port}/demo/jobs/${job}/mix`)
  const plus = page.getByRole('button', { name: `A whole part more ${part}` })
  // The pointer rests on it, as a hand at a desk would have it: what the next press would do is shown as well.
  await plus.hover()
  await page.waitForTimeout(1500)
  const painter = await listenToPainter(page)
  const cdp = await context.newCDPSession(page)
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: slow })
  const all = await pressed(plus)
  withPictures(all, await painter.evaluate(() => self.painted))
  await context.close()
  return summaryOf(all)
}

/** The same press on a page of one button and one number: what the machine and the browser take by themselves. */
async function floor(slow) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.evaluate(PAINTED)
  await page.setContent('<button>+</button><output>0</output>')
  const cdp = await context.newCDPSession(page)
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: slow })
  const times = await page.evaluate(async () => {
    const [button, output] = [document.querySelector('button'), document.querySelector('output')]
    button.onclick = () => (output.textContent = String(Number(output.textContent) + 1))
    const list = []
    for (let i = 0; i < 50; i++) {
      const from = performance.now()
      button.click()
      await painted()
      list.push(performance.now() - from)
      await new Promise((r) => setTimeout(r, 100))
    }
    return list
  })
  await context.close()
  return median(times)
}

async function finder(slow) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(`http://localhost:${port}/demo/jobs/peppers-27/finder`)
  const all = page.getByRole('button', { name: 'Every material' })
  await all.waitFor()
  await page.waitForTimeout(500)
  const cdp = await context.newCDPSession(page)
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: slow })
  await page.evaluate(() => {
    window.long = []
    window.frames = []
    new PerformanceObserver((l) => l.getEntries().forEach((e) => window.long.push(e.duration))).observe({
      type: 'longtask',
    })
    let last = performance.now()
    const tick = (now) => {
      window.frames.push(now - last)
      last = now
      requestAnimationFrame(tick)
    }
    requestAnimationFrame(tick)
  })
  const from = Date.now()
  // It looks by itself as soon as it is asked for something else.
  await all.click()
  await page.getByText('Best so far').waitFor()
  const first = Date.now() - from
  await page.evaluate(() => ((window.long.length = 0), (window.frames.length = 0)))
  await page.waitForTimeout(4000)
  const { long, frames } = await page.evaluate(() => ({ long: window.long, frames: window.frames }))
  await page.getByRole('button', { name: 'Stop and show' }).click()
  await context.close()
  return { first, long: long.length, frames: frames.length / 4, worst: Math.max(...frames) }
}

try {
  const least = await floor(4)
  for (const [job, part] of [
    ['peppers-27', 'Perlite, coarse'],
    ['fig', 'Pumice 2-8 mm'],
  ]) {
    const plain = await taps(job, part, 1)
    const slowed = await taps(job, part, 4)
    const tell = (t) =>
      `${t.calm.toFixed(1)} ms undisturbed (${t.n} of ${t.of}; all: ${t.all.toFixed(1)} ms; the section alone after ${t.picture.toFixed(1)} ms)`
    console.log(
      `tap to paint, ${job}, at a quarter of the speed: ${tell(slowed)}, ${(slowed.calm / 50).toFixed(2)} of the 50 allowed, ${(slowed.calm / least).toFixed(1)} times an empty page (${least.toFixed(1)} ms); at full speed ${tell(plain)}`,
    )
  }
  for (const slow of [1, 4]) {
    const f = await finder(slow)
    console.log(
      `finder on every material, CPU slowed ${slow}x: first answer after ${f.first} ms; then ${f.frames.toFixed(0)} frames a second, longest ${f.worst.toFixed(0)} ms, long tasks ${f.long}`,
    )
  }
} finally {
  await browser.close()
  server.kill()
}
