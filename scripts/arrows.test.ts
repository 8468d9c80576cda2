import { readFileSync } from 'node:fs'
import { join, normalize, dirname } from 'node:path'
import { preProcessFile } from 'typescript'
import { globSync } from 'tinyglobby'
import { expect, test } from 'vitest'
import { ARROWS } from './lib/arrows.mjs'

type Layer = keyof typeof ARROWS
const layers = Object.keys(ARROWS) as Layer[]

/** Source files that are part of the app, tests and their helpers left out. */
const FILES = globSync('src/**/*.{ts,vue}', { ignore: ['**/*.test.ts', '**/testing/**', '**/*.d.ts'] })
const known = new Set(FILES)
const scriptOf = (file: string) => {
  const text = readFileSync(file, 'utf8')
  return file.endsWith('.vue')
    ? [...text.matchAll(/<script[^>]*>([^]*?)<\/script>/g)].map((m) => m[1]).join('\n')
    : text
}
function resolved(from: string, spec: string): string | undefined {
  const base = spec.startsWith('@/') ? join('src', spec.slice(2)) : normalize(join(dirname(from), spec))
  return [base, `${base}.ts`, `${base}/index.ts`].find((f) => known.has(f))
}
/** Every import between files of ours, types among them. */
const IMPORTS = FILES.flatMap((from) =>
  preProcessFile(scriptOf(from)).importedFiles.flatMap(({ fileName }) => {
    const to = resolved(from, fileName)
    return to && to !== from ? [{ from, to }] : []
  }),
)
/** The layer whose pattern is the longest that a file matches. */
const matching = new Map(
  [...layers]
    .sort((a, b) => ARROWS[a].pattern.length - ARROWS[b].pattern.length)
    .flatMap((layer) => globSync(ARROWS[layer].pattern).map((file) => [file, layer] as const)),
)

/** Groups of names that reach each other, by Tarjan's algorithm. */
function circles(edges: ReadonlyMap<string, ReadonlySet<string>>): string[][] {
  const index = new Map<string, number>()
  const low = new Map<string, number>()
  const stack: string[] = []
  const found: string[][] = []
  const visit = (v: string) => {
    index.set(v, index.size)
    low.set(v, index.get(v)!)
    stack.push(v)
    for (const w of edges.get(v) ?? []) {
      if (!index.has(w)) visit(w)
      if (stack.includes(w)) low.set(v, Math.min(low.get(v)!, low.get(w)!))
    }
    if (low.get(v) !== index.get(v)) return
    const group = stack.splice(stack.indexOf(v))
    if (group.length > 1) found.push(group)
  }
  for (const v of edges.keys()) if (!index.has(v)) visit(v)
  return found
}
const graph = (pairs: readonly (readonly [string, string])[]) => {
  const edges = new Map<string, Set<string>>()
  for (const [a, b] of pairs) if (a !== b) edges.set(a, (edges.get(a) ?? new Set()).add(b))
  return edges
}

test('the drawing in docs/architecture.md is what the linter holds', () => {
  const drawing = /```text\n([^]*?)```/.exec(readFileSync('docs/architecture.md', 'utf8'))![1]!
  const drawn = Object.fromEntries(
    [...drawing.matchAll(/^ *(\w+) *→ *([\w, ]*?)(?: *; types: ([\w, ]+))?$/gm)].map(
      ([, layer, uses, types]) => [
        layer,
        { uses: uses!.split(', ').filter(Boolean), types: types?.split(', ') ?? [] },
      ],
    ),
  )
  const held = Object.fromEntries(layers.map((l) => [l, { uses: ARROWS[l].uses, types: ARROWS[l].types }]))
  expect(drawn).toEqual(held)
})
test('every file of the app lies in one layer', () => {
  expect(FILES.filter((f) => !matching.has(f))).toEqual([])
})
test('every arrow drawn is used', () => {
  const used = new Set(IMPORTS.map(({ from, to }) => `${matching.get(from)} ${matching.get(to)}`))
  const idle = layers.flatMap((l) =>
    [...ARROWS[l].uses, ...ARROWS[l].types].map((to) => `${l} ${to}`).filter((arrow) => !used.has(arrow)),
  )
  expect(idle).toEqual([])
})
test('no file reaches itself through others', () => {
  expect(circles(graph(IMPORTS.map(({ from, to }) => [from, to] as const)))).toEqual([])
})
test.each(['core', 'model'])('no folders of src/%s use each other, however far round', (layer) => {
  const folder = (file: string) => file.split('/').slice(0, 3).join('/')
  const within = IMPORTS.filter((i) => i.from.startsWith(`src/${layer}/`) && i.to.startsWith(`src/${layer}/`))
  expect(circles(graph(within.map(({ from, to }) => [folder(from), folder(to)] as const)))).toEqual([])
})

test('no comment on another: what it is about has moved away from under it', () => {
  const ours = globSync('{src,server,cli,e2e,bench,scripts}/**/*.{ts,vue,mjs}')
  const astray = ours.flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/\/\*\*(?:(?!\*\/)[^])*\*\/\s*\n\s*\/\*\*[^\n]*/g)].map(
      (m) => `${file}: ${m[0].slice(0, 80)}`,
    ),
  )
  expect(astray).toEqual([])
})
