import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { createApp } from './createApp'

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
  server = createApp({ dist, startGarden: 'demo' }).listen(0)
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
    const policy = (await fetch(`${address}/my`)).headers.get('content-security-policy')!
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
  test('says in a sentence that a file is not there', async () => {
    for (const path of ['/assets/gone.js', '/other', '/index.html.bak']) {
      const response = await fetch(address + path)
      expect(response.status).toBe(404)
      expect(await response.text()).toContain('There is nothing at')
    }
  })
})
