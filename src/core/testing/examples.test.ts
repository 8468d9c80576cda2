import { describe, expect, test } from 'vitest'

/**
 * The examples in the docs of the core: `@example`, a call, and after `//` what comes out, to four figures.
 * Every one is run.
 */
const TEXTS = import.meta.glob<string>(['../**/*.ts', '!../**/*.test.ts', '!../testing/**'], {
  eager: true,
  query: '?raw',
  import: 'default',
})
const MODULES = import.meta.glob<Record<string, unknown>>(
  ['../**/*.ts', '!../**/*.test.ts', '!../testing/**', '!../**/*.d.ts'],
  { eager: true },
)
const scope = Object.assign({}, ...Object.values(MODULES)) as Record<string, unknown>
const run = (code: string): unknown =>
  // Written by us, in our own sources.
  new Function(...Object.keys(scope), `return (${code})`)(...Object.values(scope))

/** Numbers to four figures, wherever they stand. */
const rounded = (x: unknown): unknown =>
  JSON.parse(
    JSON.stringify(x ?? null, (_, v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(4)) : v)),
  )

interface Exported {
  file: string
  name: string
  /** The call and what comes out of it; null where the docs give none. */
  example: { call: string; gives: string } | null
}
const EXPORTED = Object.entries(TEXTS).flatMap(([file, text]): Exported[] =>
  [
    ...text.matchAll(
      /(?:\/\*\*((?:(?!\*\/)[\s\S])*)\*\/\n)?export (?:function (\w+)|const (\w+)(?:: [^=\n]+)? = (?:<[^\n]*?>)?\((?=[^;]*?=>))/g,
    ),
  ].map(([, docs = '', fn, arrow]) => {
    const example = docs.match(/@example\n([\s\S]*)/)?.[1]?.replace(/^ \* ?/gm, '')
    const [, call, gives] = example?.match(/^([\s\S]*?)\/\/ (.*)\s*$/) ?? []
    return { file, name: (fn ?? arrow)!, example: call && gives ? { call, gives } : null }
  }),
)
const EXAMPLES = EXPORTED.filter((e) => e.example)

describe('examples in the docs of the core', () => {
  test.each(EXAMPLES.map((e) => [e.name, e] as const))('%s', (_, { example }) => {
    expect(rounded(run(example!.call))).toEqual(rounded(run(example!.gives)))
  })
  test('three in five exported functions have one', () => {
    expect(EXAMPLES.length / EXPORTED.length).toBeGreaterThanOrEqual(0.6)
  })
})
