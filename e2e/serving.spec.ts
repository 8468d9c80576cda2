import { spawnSync } from 'node:child_process'
import { networkInterfaces } from 'node:os'
import { gzipSync } from 'node:zlib'
import type { Request } from '@playwright/test'
import { expect, openGarden, test } from './support'

test('the first page needs under 150 kB of script, packed; other places come when they are opened', async ({
  page,
}) => {
  const scripts: Request[] = []
  page.on('request', (request) => {
    if (request.url().endsWith('.js')) scripts.push(request)
  })
  await openGarden(page, '/my')
  // All that was asked for until the page is there; what it fetches for later, at leisure, is not what it needs.
  const needed = [...scripts]
  const bodies = await Promise.all(needed.map(async (request) => (await request.response())!.body()))
  const first = bodies.reduce((sum, body) => sum + gzipSync(body).length, 0)
  test.info().annotations.push({ type: 'first load, bytes of gzip', description: String(first) })
  expect(first).toBeGreaterThan(120_000)
  expect(first).toBeLessThan(150_000)
  const before = scripts.length
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible()
  await expect.poll(() => scripts.length).toBeGreaterThan(before)
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

test('listens on this machine alone unless HOST says otherwise', async () => {
  const mine = Object.values(networkInterfaces())
    .flat()
    .find((address) => address && address.family === 'IPv4' && !address.internal)
  // Without a network, another loopback address: a server that listens on every address answers there too.
  const elsewhere = mine?.address ?? '127.0.0.2'
  const { port } = new URL(test.info().project.use.baseURL!)
  await expect(fetch(`http://${elsewhere}:${port}/health`)).rejects.toThrow()
  expect((await fetch(`http://127.0.0.1:${port}/health`)).status).toBe(200)
})

test('a HOST that is none gives a sentence', () => {
  const server = spawnSync('node', ['dist-server/main.js'], {
    env: { ...process.env, PORT: '0', HOST: '203.0.113.7' },
    timeout: 20_000,
  })
  expect(server.status).toBe(1)
  expect(String(server.stderr)).toContain('HOST is “203.0.113.7”, which is not an address of this machine.')
})

test('a PORT that is none gives a sentence', () => {
  const server = spawnSync('node', ['dist-server/main.js'], {
    env: { ...process.env, PORT: 'eighty' },
    timeout: 20_000,
  })
  expect(server.status).toBe(1)
  expect(String(server.stderr)).toContain('PORT is “eighty”, which is not a port number.')
})
