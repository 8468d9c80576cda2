import { spawnSync } from 'node:child_process'
import { gzipSync } from 'node:zlib'
import { expect, openGarden, test } from './support'

test('the first page needs under 200 kB of script, packed; other places come when they are opened', async ({
  page,
}) => {
  const scripts = new Map<string, number>()
  page.on('response', async (response) => {
    if (response.url().endsWith('.js')) scripts.set(response.url(), gzipSync(await response.body()).length)
  })
  await openGarden(page, '/my')
  await page.waitForLoadState('networkidle')
  const first = [...scripts.values()].reduce((s, n) => s + n, 0)
  test.info().annotations.push({ type: 'first load, bytes of gzip', description: String(first) })
  expect(first).toBeGreaterThan(50_000)
  expect(first).toBeLessThan(200_000)
  const before = scripts.size
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible()
  await expect.poll(() => scripts.size).toBeGreaterThan(before)
})

test('a port that is taken gives a sentence and what to type instead', () => {
  const port = new URL(test.info().project.use.baseURL!).port
  const second = spawnSync('node', ['dist-server/main.js', '--demo'], {
    env: { ...process.env, PORT: port },
    timeout: 20_000,
  })
  expect(second.status).toBe(1)
  expect(String(second.stderr).trim()).toBe(
    `Port ${port} is taken by another program. Choose another: PORT=${Number(port) + 1} npm run demo`,
  )
})

test('a PORT that is none gives a sentence', () => {
  const server = spawnSync('node', ['dist-server/main.js'], {
    env: { ...process.env, PORT: 'eighty' },
    timeout: 20_000,
  })
  expect(server.status).toBe(1)
  expect(String(server.stderr)).toContain('PORT is “eighty”, which is not a port number.')
})
