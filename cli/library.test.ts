import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { isLong } from '@/core/testing/draws'
import { CASES, type CaseName } from '../src/model/headless/cases'
import { main } from './core'
import * as library from './library'

const example = (name: CaseName) =>
  JSON.parse(readFileSync(`docs/formats/examples/${name}.json`, 'utf8')) as never

describe('the core as a library', () => {
  test('answers a case with what the headless door prints of it', () => {
    const done = library.answer('treat', example('treat'))
    let out = ''
    main('treat', JSON.stringify(example('treat')), (s) => (out += s), String)
    const { command, notes, ...printed } = JSON.parse(out) as Record<string, unknown>
    expect(command).toBe('treat')
    expect(notes).toEqual([])
    expect(done.ok).toBe(true)
    if (done.ok)
      expect(
        JSON.parse(
          JSON.stringify(done.answer, (_k, x: unknown) =>
            typeof x === 'number' ? Number(x.toPrecision(7)) : x,
          ),
        ),
      ).toEqual(printed)
  })
  test('a case of every command is answered', () => {
    for (const name of ['volume', 'feed', 'treat', 'dose'] as const satisfies readonly CaseName[])
      expect(library.answer(name, example(name)).ok, name).toBe(true)
    expect(Object.keys(CASES).length).toBeGreaterThan(6)
  })
  test('what is wrong is said with its field, and nothing is thrown', () => {
    const misfit = library.answer('volume', {} as never)
    expect(misfit).toMatchObject({ ok: false, where: 'containers' })
    const unknown = library.answer('evaluate', {
      ...(example('evaluate') as object),
      mix: [{ material: 'moon_dust', parts: 1 }],
    } as never)
    expect(unknown).toMatchObject({ ok: false, where: null })
    if (!unknown.ok) expect(unknown.wrong).toContain('moon_dust')
  })
  test('each namespace that the docs name is there, with the functions they name', () => {
    const docs = readFileSync('docs/library.md', 'utf8')
    const rows = [...docs.matchAll(/^\| `(\w+)` +\| (.*?) *\|$/gm)]
    expect(rows.length).toBeGreaterThan(10)
    for (const [, namespace, says] of rows) {
      const there = (library as unknown as Record<string, Record<string, unknown>>)[namespace!]
      expect(there, namespace).toBeDefined()
      for (const [, name] of says!.matchAll(/`(\w+)`/g))
        expect(there![name!], `${namespace}.${name}`).toBeDefined()
    }
  })
})

test.runIf(isLong)(
  'built, it is imported by its name and its types hold for a program of somebody else',
  { timeout: 240_000 },
  () => {
    execFileSync('node', ['scripts/library.mjs'], { stdio: 'pipe' })
    const docs = readFileSync('docs/library.md', 'utf8')
    const code = /```ts\n([\s\S]*?)```/.exec(docs)![1]!
    const said = execFileSync('node', ['--input-type=module', '-e', code.replace(' as const', '')], {
      encoding: 'utf8',
    })
    expect(said).toContain('airFilledPorosity')
    const folder = mkdtempSync(join(tmpdir(), 'open-bed-library-'))
    try {
      writeFileSync(join(folder, 'program.ts'), code)
      const tsconfig = {
        compilerOptions: {
          strict: true,
          noEmit: true,
          skipLibCheck: true,
          module: 'ESNext',
          moduleResolution: 'bundler',
          target: 'ES2022',
          lib: ['ES2023', 'DOM'],
          types: [],
          paths: { 'open-bed/core': [join(process.cwd(), 'dist-core/types/cli/library.d.ts')] },
        },
        files: ['program.ts'],
      }
      writeFileSync(join(folder, 'tsconfig.json'), JSON.stringify(tsconfig))
      const check = () =>
        execFileSync('node_modules/.bin/tsc', ['-p', folder], { encoding: 'utf8', stdio: 'pipe' })
      expect(check()).toBe('')
      // A case that does not fit is refused by its type.
      writeFileSync(join(folder, 'program.ts'), code.replace('parts: 3', "parts: 'three'"))
      expect(check).toThrow()
    } finally {
      rmSync(folder, { recursive: true })
    }
  },
)
