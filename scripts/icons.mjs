/** npm run icons: the icons an installed app wants, painted from public/icon.svg. */
import { readFileSync, writeFileSync } from 'node:fs'
import { ensureChromium, ensureInstalled } from './lib/setup.mjs'

ensureInstalled()
const executablePath = ensureChromium()
if (!executablePath) process.exit(1)
const { chromium } = await import('@playwright/test')
const svg = readFileSync('public/icon.svg', 'utf8')
/** Name, size in px, and how much of it the drawing takes: a maskable one may be cut round at its edge. */
const ICONS = [
  ['icon-192', 192, 0.86],
  ['icon-512', 512, 0.86],
  ['icon-maskable-512', 512, 0.6],
]
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
for (const [name, size, share] of ICONS) {
  const page = await browser.newPage({ viewport: { width: size, height: size } })
  await page.setContent(
    `<body style="margin:0;background:#e4d5bd;display:grid;place-items:center;height:100vh">${svg.replace('<svg ', `<svg width="${size * share}" `)}</body>`,
  )
  writeFileSync(`public/${name}.png`, await page.screenshot())
  await page.close()
}
await browser.close()
console.log(`${ICONS.length} icons in public`)
