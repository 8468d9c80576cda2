import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { CROP_ROWS } from '@/core/data/cropTable'
import { TERMS } from './glossary'
import { cropInText } from './base/cropInText'

/**
 * Words that the interface does not use, each with what it says instead. A term has one name, and sentences are those
 * of somebody who was born into the language.
 */
const BANNED: readonly [RegExp, string][] = [
  [/\bforetold\b/i, 'predicted'],
  [/\bnot to be had\b/i, 'cannot be bought'],
  [/\blots of ten\b|\bof ten lots\b|\bin \d+ lots\b/i, 'in 10 batches'],
  [/\bevery band met\b/i, 'meets every target'],
  [/\bas it likes\b/i, 'ideal'],
  [/\bpast its day\b/i, 'overdue'],
  [/\bif unsaid\b/i, 'assumed'],
  [/\bheld against\b/i, 'compared with'],
  [/\b(its|their) kin\b/i, 'similar products'],
  [/\bbelow nothing\b/i, 'less than zero'],
  [/\bwe believe\b|\bwould believe\b|\bbe believed\b/i, 'the maximum, or what we accept'],
  [/\bgives up: /i, 'drawback: '],
  [/\bjust so\b/i, 'already'],
  [/\blip left\b/i, 'gap below the rim'],
  [/\bwet foot\b/i, 'bottom'],
  [/\bwhole measures give\b/i, 'round to whole buckets'],
  [/\bsteps outside\b/i, 'misses'],
  [/\bon to the mix\b|\bon to quantities\b|\bon to mixing\b/i, 'the station the button opens'],
  [/\bheaths bear\b/i, 'heaths tolerate'],
]

const filesIn = (folder: string, wanted = /(?<!\.test)\.ts$/): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return filesIn(path, wanted)
    return wanted.test(name) ? [path] : []
  })
/** Sentences of a file: what stands in quotes, comments left out. */
const sentencesOf = (source: string) =>
  source
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/^\s*\/\/.*$/gm, '')
    .match(/'(?:[^'\\\n]|\\.)*'|`(?:[^`\\]|\\.)*`|"(?:[^"\\\n]|\\.)*"/g) ?? []

test('no sentence of the interface has a word that has a plainer one', () => {
  const found = filesIn('src/text').flatMap((path) =>
    sentencesOf(readFileSync(path, 'utf8')).flatMap((sentence) =>
      BANNED.filter(([word]) => word.test(sentence)).map(
        ([, instead]) => `${path}: ${sentence} (say: ${instead})`,
      ),
    ),
  )
  expect(found).toEqual([])
})
test('each banned word is found wherever it is', () => {
  // The list would be worth nothing if no pattern of it could match.
  expect(sentencesOf("const a = 'every band met'\n// 'foretold'\n/* 'below nothing' */")).toEqual([
    "'every band met'",
  ])
  for (const [word] of BANNED) expect(word.source.length).toBeGreaterThan(4)
  expect(BANNED.filter(([word]) => word.test('every band met in 9 of ten lots, below nothing')).length).toBe(
    3,
  )
})

test('every crop whose name has commas or brackets has words for the middle of a sentence', () => {
  for (const { name } of CROP_ROWS) {
    expect(cropInText(name), name).toMatch(/^[\p{Ll} /-]+$/u)
    expect(cropInText(name).length).toBeLessThanOrEqual(name.length)
  }
})

test('the list of words is in the order of the alphabet, and nothing in it is called what it never is', () => {
  const names = TERMS.map((t) => t.term)
  expect(names.length).toBeGreaterThan(40)
  expect(names).toEqual([...names].sort(new Intl.Collator('en').compare))
  for (const { term, means } of TERMS) expect(means, term).toMatch(/^\p{Lu}.*\.$/u)
  const sentences = filesIn('src/text').flatMap((path) =>
    // What stands in `${}` is code.
    sentencesOf(readFileSync(path, 'utf8')).map((s) => `${path}: ${s.replace(/\$\{[^}]*\}/g, '…')}`),
  )
  const said = TERMS.flatMap((t) => t.never).flatMap((never) => {
    const whole = new RegExp(`: .*\\b${never}s?\\b`, 'i')
    // A name alone is an id, and what names a variable is code.
    return sentences
      .filter((s) => s.split(' ').length > 2 && !s.includes('bands.') && whole.test(s))
      .map((s) => `“${never}” in ${s}`)
  })
  expect(said).toEqual([])
})
test('every “?” of a page is about a term of the list', () => {
  const known = new Set(TERMS.map((t) => t.term))
  const pages = filesIn('src/components', /\.vue$/).map((path) => readFileSync(path, 'utf8'))
  const asked = pages.flatMap((page) =>
    [...page.matchAll(/<TermHint[^>]* term="([^"]+)"/g)].map((m) => m[1]!),
  )
  const targets = pages.flatMap((page) => [
    ...(/const TERM: [^=]*= \{([^}]*)\}/.exec(page)?.[1]?.matchAll(/'([^']+)'/g) ?? []),
  ])
  const terms = [...asked, ...targets.map((m) => m[1]!)].filter((term) => !term.includes('['))
  expect(terms.length).toBeGreaterThan(4)
  expect(terms.filter((term) => !known.has(term))).toEqual([])
})
