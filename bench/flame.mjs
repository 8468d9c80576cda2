/**
 * npm run bench:flame: where a tap on plus goes, by phase: an app built with its names, tapped sixty times at full
 * speed under the profiler, the pointer resting on the button. Milliseconds a tap of the page's own thread, up to the
 * rest of the hand; what comes before the first frame is counted apart.
 */
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
import { bin, ensureBuilt, ensureChromium, ensureInstalled, freePort, run } from '../scripts/lib/setup.mjs'

ensureInstalled()
ensureBuilt()
const home = '.cache/flame'
mkdirSync(home, { recursive: true })
if (run(bin('vite'), ['build', '--minify', 'false', '--outDir', `${home}/dist`, '--logLevel', 'error']) !== 0)
  process.exit(1)
const { chromium } = await import('@playwright/test')
const port = freePort()
const server = spawn(process.execPath, ['../../dist-server/main.js', '--demo'], {
  cwd: home,
  env: { ...process.env, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
})
await new Promise((ready) => server.stdout.once('data', ready))
const browser = await chromium.launch({
  executablePath: ensureChromium(),
  args: ['--no-sandbox', '--disable-gpu'],
})
const TAPS = process.env.SHORT === '1' ? 10 : 60

/** Phases by the functions that begin them; of a stack the innermost that is named counts. */
const PHASES = {
  'command and undo': ['changesOf', 'runCommand', 'commit'],
  'saving: what is written and where': ['save', 'sealed', 'seal', 'cloned', 'write'],
  'question and recipe (prepare)': ['prepare', 'questionOfJob', 'asDosed', 'askTheSame'],
  'lime for the target': ['limeForTarget', 'planLime', 'limePlan'],
  evaluation: ['evaluatePrepared', 'evaluate'],
  'judgements and appraisal': ['judgementsOf', 'judge', 'appraisalOf', 'appraise'],
  'words and gauges': ['readingsAtOnce', 'readingsLater', 'verdictText', 'judgementText'],
  'section and strips': ['draw', 'paint', 'paintInWorker', 'pictureOf'],
  'messages to workers': ['postMessage'],
}
const PHASE_OF = new Map(Object.entries(PHASES).flatMap(([phase, names]) => names.map((n) => [n, phase])))

async function profileOf(job, part) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.addInitScript(`window.painted = () => new Promise((done) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => done()
    requestAnimationFrame(() => port2.postMessage(null))
  })`)
  await page.goto(`http://localhost:${port}/demo/jobs/${job}/mix`)
  const plus = page.getByRole('button', { name: `A whole part more ${part}` })
  await plus.hover()
  await page.waitForTimeout(2500)
  const cdp = await context.newCDPSession(page)
  await cdp.send('Profiler.enable')
  await cdp.send('Performance.enable')
  const metrics = async () =>
    Object.fromEntries((await cdp.send('Performance.getMetrics')).metrics.map((m) => [m.name, m.value]))
  await cdp.send('Profiler.setSamplingInterval', { interval: 100 })
  const before = await metrics()
  await cdp.send('Profiler.start')
  const frames = await plus.evaluate(async (button, taps) => {
    const minus = button.parentElement.querySelector('button')
    const wait = (ms) => new Promise((r) => setTimeout(r, ms))
    const frames = []
    for (let i = 0; i < taps; i++) {
      const from = performance.now()
      ;(i % 2 === 0 ? button : minus).click()
      await painted()
      frames.push([from, performance.now()])
      await wait(600)
    }
    return frames
  }, TAPS)
  const { profile } = await cdp.send('Profiler.stop')
  const after = await metrics()
  await context.close()
  const zero = after.NavigationStart * 1e6
  const inFrame = (t) => frames.some(([from, to]) => t >= zero + from * 1000 && t < zero + to * 1000)
  return {
    profile,
    inFrame,
    frame: frames.reduce((s, [a, b]) => s + b - a, 0) / TAPS,
    metrics: (name) => (1000 * (after[name] - before[name])) / TAPS,
  }
}

const sources = new Map()
/** The component whose code a frame stands in, by the last name before its line. */
function componentAt({ url, lineNumber }) {
  const file = /assets\/(.+\.js)$/.exec(url)?.[1]
  if (!file) return null
  if (!sources.has(file)) {
    const names = []
    readFileSync(`${home}/dist/assets/${file}`, 'utf8')
      .split('\n')
      .forEach((line, i) => {
        const name = /__name: "(\w+)"/.exec(line)?.[1]
        if (name) names.push([i, name])
        else if (/^\/\/#endregion/.test(line)) names.push([i, null])
      })
    sources.set(file, names)
  }
  return sources.get(file).findLast(([i]) => i <= lineNumber)?.[1] ?? null
}

function tableOf({ profile, metrics, inFrame, frame }) {
  let now = profile.startTime
  const first = new Map()
  const firstIn = new Map()
  const nodes = new Map(profile.nodes.map((n) => [n.id, n]))
  for (const n of profile.nodes) for (const c of n.children ?? []) nodes.get(c).parent = n
  const phases = new Map()
  const byFile = new Map()
  const selves = new Map()
  const inclusive = new Map()
  const add = (map, key, ms) => map.set(key, (map.get(key) ?? 0) + ms)
  profile.samples.forEach((id, i) => {
    const ms = profile.timeDeltas[i] / 1000 / TAPS
    now += profile.timeDeltas[i]
    const isFirst = inFrame(now)
    let node = nodes.get(id)
    const own = node.callFrame.functionName
    if (own === '(idle)' || own === '(program)') return
    if (isFirst) {
      let c = node
      let at = null
      for (; c && !at; c = c.parent) at = componentAt(c.callFrame)
      add(byFile, at ?? 'no component', ms)
    }
    add(selves, `${own}:${node.callFrame.lineNumber}`, ms)
    let phase = own === '(garbage collector)' ? 'garbage' : null
    const seen = new Set()
    for (; node; node = node.parent) {
      const name = node.callFrame.functionName
      if (!seen.has(name)) add(inclusive, name, ms)
      if (!seen.has(name) && isFirst) add(firstIn, name, ms)
      seen.add(name)
      phase ??= PHASE_OF.get(name) ?? null
    }
    add(phases, phase ?? 'page: components and the rest', ms)
    if (isFirst) add(first, phase ?? 'page: components and the rest', ms)
  })
  for (const [name, metric] of [
    ['style', 'RecalcStyleDuration'],
    ['layout', 'LayoutDuration'],
  ])
    phases.set(name, metrics(metric))
  return {
    phases,
    selves,
    inclusive,
    first,
    firstIn,
    byFile,
    frame,
    task: metrics('TaskDuration'),
    script: metrics('ScriptDuration'),
  }
}

try {
  for (const [job, part] of [['peppers-27', 'Perlite, coarse']]) {
    const t = tableOf(await profileOf(job, part))
    console.log(
      `${job}: ${t.task.toFixed(1)} ms of tasks a tap, ${t.script.toFixed(1)} of them script; ${t.frame.toFixed(1)} ms to the frame`,
    )
    const top = (map, n) => [...map].sort((a, b) => b[1] - a[1]).slice(0, n)
    for (const [phase, ms] of top(t.phases, 20))
      console.log(
        `  ${phase.padEnd(40)} ${ms.toFixed(2)} ms, ${(t.first.get(phase) ?? 0).toFixed(2)} before the frame`,
      )
    if (process.argv.includes('--names')) {
      console.log('inclusive')
      for (const [n, ms] of top(t.inclusive, 90))
        console.log(`  ${n.padEnd(40)} ${ms.toFixed(2)}  ${(t.firstIn.get(n) ?? 0).toFixed(2)}`)
      console.log('by component, before the frame')
      for (const [n, ms] of top(t.byFile, 25)) console.log(`  ${n.padEnd(40)} ${ms.toFixed(2)}`)
      console.log('self')
      for (const [n, ms] of top(t.selves, 40)) console.log(`  ${n.padEnd(40)} ${ms.toFixed(2)}`)
    }
  }
} finally {
  await browser.close()
  server.kill()
}
