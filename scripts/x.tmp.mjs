import { demoServer } from './lib/demoServer.mjs'
const { server, browser, port } = await demoServer()
const shots = process.argv.slice(2)
try {
  const page = await (await browser.newContext()).newPage()
  for (const shot of shots) {
    const [name, path, size, full] = shot.split(',')
    await page.setViewportSize(size === 'phone' ? { width: 390, height: 844 } : { width: 1280, height: 800 })
    await page.goto(`http://localhost:${port}/demo${path}`)
    await page.locator('main h1').first().waitFor({ state: 'attached' })
    await page.waitForTimeout(3500)
    await page.screenshot({ path: `/tmp/${name}.png`, fullPage: full === 'full' })
  }
} finally {
  await browser.close()
  server.kill()
}
