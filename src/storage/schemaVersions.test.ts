import { createHash } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { z } from 'zod'
import { KINDS, SCHEMA_VERSIONS, SCHEMAS, type Kind } from '@/model/garden/schemas'

/** Every version that was ever released, by kind: the hash of its schema. SCHEMAS=write adds today's. */
const FILE = new URL('./schemaVersions.json', import.meta.url)
const known = JSON.parse(readFileSync(FILE, 'utf8')) as Record<Kind, Record<string, string>>

/** What a schema takes and gives, whatever order its fields are written in: defaults are part of it. */
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value !== null && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([k, v]) => [k, sorted(v)]),
        )
      : value
const hashOf = (kind: Kind) =>
  createHash('sha256')
    .update(
      JSON.stringify(
        (['input', 'output'] as const).map((io) => sorted(z.toJSONSchema(SCHEMAS[kind], { io }))),
      ),
    )
    .digest('hex')
    .slice(0, 16)

if (process.env.SCHEMAS === 'write') {
  for (const kind of KINDS) known[kind] = { ...known[kind], [SCHEMA_VERSIONS[kind]]: hashOf(kind) }
  writeFileSync(FILE, `${JSON.stringify(known, null, 2)}\n`)
}

// An older tab drops a field it does not know and writes the record back without it. So whoever changes a schema raises
// its version, writes the step that takes old records over, saves an old file beside it (storage.test.ts asks for
// both), and adds the new hash with SCHEMAS=write.
test.each(KINDS)('the stored form of a %s is that of its version', (kind) => {
  expect(hashOf(kind), `${kind} has changed without a new version`).toBe(known[kind][SCHEMA_VERSIONS[kind]])
})
test('no version is newer than the one that is written, and a kind that has one has all its hashes since', () => {
  for (const kind of KINDS) {
    const versions = Object.keys(known[kind]).map(Number)
    expect(Math.max(...versions)).toBe(SCHEMA_VERSIONS[kind])
  }
})
