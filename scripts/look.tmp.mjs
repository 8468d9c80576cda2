import { chromium } from 'playwright-core'
import { spawn } from 'node:child_process'
const shots = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] })
for (const s of shots) {
  const [path, file, size = '1280x800', click] = s.split('|')
  const [width, height] = size.split('x').map(Number)
  const p = await b.newPage({ viewport: { width, height } })
  await p.goto('http://localhost:4179' + path); await p.waitForTimeout(3500)
  if (click) for (const c of click.split('&')) { await p.locator(c).first().click(); await p.waitForTimeout(800) }
  await p.screenshot({ path: file, fullPage: process.env.FULL === '1' }); await p.close()
}
await b.close()
