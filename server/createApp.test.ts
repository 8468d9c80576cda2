import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { connect, type AddressInfo, type Socket } from 'node:net'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { createApp, serverOf } from './createApp'

let server: Server
let address: string
let dist: string

beforeAll(async () => {
  dist = mkdtempSync(join(tmpdir(), 'open-bed-'))
  mkdirSync(join(dist, 'assets'))
  writeFileSync(
    join(dist, 'index.html'),
    '<meta property="csp-nonce" nonce="__OPEN_BED_NONCE__"><div id="app"></div>',
  )
  writeFileSync(join(dist, 'assets', 'app-abc123.js'), `export const x = '${'long '.repeat(500)}'`)
  writeFileSync(join(dist, 'assets', 'large-abc123.js'), 'x'.repeat(20_000_000))
  server = serverOf(createApp({ dist, startGarden: 'demo' }), { head: 300, whole: 600 }).listen(
    0,
    '127.0.0.1',
  )
  await new Promise((ready) => server.once('listening', ready))
  address = `http://localhost:${(server.address() as AddressInfo).port}`
})
afterAll(() => {
  server.close()
  rmSync(dist, { recursive: true })
})

const nonceIn = (text: string) => /nonce="([^"]+)"/.exec(text)?.[1]

describe('the server', () => {
  test('leads the bare address to the garden it was started with', async () => {
    const response = await fetch(`${address}/`, { redirect: 'manual' })
    expect(response.status).toBe(302)
    expect(response.headers.get('location')).toBe('/demo')
  })
  test('sends every page with a nonce of its own, the one its policy names', async () => {
    const nonces = new Set<string>()
    for (const path of ['/my', '/demo', '/my/jobs/abc/mix']) {
      const response = await fetch(address + path)
      const nonce = nonceIn(await response.text())!
      expect(response.headers.get('content-security-policy')).toContain(`'nonce-${nonce}'`)
      expect(response.headers.get('cache-control')).toBe('no-store')
      nonces.add(nonce)
    }
    expect(nonces.size).toBe(3)
    expect(nonces.has('__OPEN_BED_NONCE__')).toBe(false)
  })
  test('allows no inline script, no eval, nothing from elsewhere', async () => {
    const { headers } = await fetch(`${address}/my`)
    const policy = headers.get('content-security-policy')!
    // K16: what the page never asks for is refused by the browser too.
    for (const feature of ['camera', 'microphone', 'geolocation'])
      expect(headers.get('permissions-policy')).toContain(`${feature}=()`)
    expect(policy).toContain("script-src 'self';")
    expect(policy).toContain("default-src 'none'")
    expect(policy).not.toMatch(/unsafe|https?:|\*/)
  })
  test('lets hashed files be kept for a year, and packs them', async () => {
    const response = await fetch(`${address}/assets/app-abc123.js`, {
      headers: { 'accept-encoding': 'gzip' },
    })
    expect(response.headers.get('cache-control')).toMatch(/max-age=31536000, immutable/)
    expect(response.headers.get('content-encoding')).toBe('gzip')
  })
  test('leads the page by its own name to the garden, never out without its nonce', async () => {
    const response = await fetch(`${address}/index.html`, { redirect: 'manual' })
    expect([response.status, response.headers.get('location')]).toEqual([302, '/demo'])
  })
  test('answers a watchman', async () => {
    const response = await fetch(`${address}/health`)
    expect([response.status, await response.text()]).toEqual([200, 'ok'])
    expect(response.headers.get('cache-control')).toBe('no-store')
  })
  test('gives an address that cannot be read a plain 400, without stack or path', async () => {
    for (const path of ['/my/%E0%A4%A', '/assets/%', '/%c0%ae%c0%ae/']) {
      const response = await fetch(address + path)
      const text = await response.text()
      expect([path, response.status, text]).toEqual([path, 400, 'This address cannot be read.'])
      expect(response.headers.get('content-type')).toContain('text/plain')
    }
  })
  test('does not let anybody out of its folder', async () => {
    for (const path of ['/assets/..%2f..%2fpackage.json', '/assets/%2e%2e/index.html', '/..%5cindex.html'])
      expect([302, 400, 403, 404]).toContain((await fetch(address + path, { redirect: 'manual' })).status)
  })

  const said = (socket: Socket) =>
    new Promise<string>((done) => {
      let text = ''
      socket.on('data', (some) => (text += String(some)))
      socket.on('close', () => done(text))
      socket.on('error', () => done(text))
    })
  const port = () => (server.address() as AddressInfo).port
  test('hangs up on a client that dawdles with its question, and serves others meanwhile', async () => {
    const slow = connect(port(), '127.0.0.1')
    slow.write('GET /my HTTP/1.1\r\nHost: localhost\r\nX-Half: ')
    const answer = said(slow)
    expect((await fetch(`${address}/my`)).status).toBe(200)
    expect(await answer).toContain('408')
  })
  test('a client that does not read what it asked for holds up nobody', async () => {
    const lazy = Array.from({ length: 12 }, () => {
      const socket = connect(port(), '127.0.0.1')
      socket.pause()
      socket.write('GET /assets/large-abc123.js HTTP/1.1\r\nHost: localhost\r\n\r\n')
      return socket
    })
    for (const path of ['/my', '/assets/app-abc123.js', '/health'])
      expect((await fetch(address + path)).status).toBe(200)
    for (const socket of lazy) socket.destroy()
  })
  test('packs pages and scripts, and lets through those who want them unpacked', async () => {
    const plain = await fetch(`${address}/assets/app-abc123.js`, {
      headers: { 'accept-encoding': 'identity' },
    })
    expect(plain.headers.get('content-encoding')).toBeNull()
    const packed = await fetch(`${address}/assets/app-abc123.js`, { headers: { 'accept-encoding': 'gzip' } })
    expect(await packed.text()).toBe(await plain.text())
  })
  test('says in a sentence that a file is not there', async () => {
    for (const path of ['/assets/gone.js', '/other', '/index.html.bak']) {
      const response = await fetch(address + path)
      expect(response.status).toBe(404)
      expect(await response.text()).toContain('There is nothing at')
    }
  })
})
