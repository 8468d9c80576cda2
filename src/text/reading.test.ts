import { fleschKincaid } from 'flesch-kincaid'
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { syllable } from 'syllable'
import { expect, test } from 'vitest'

const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return filesIn(path)
    return /(?<!\.test)\.ts$/.test(name) ? [path] : []
  })
/** Shorter ones are names and labels: a grade is for sentences. */
const SHORTEST = 8
/** Whole sentences of a file; a figure that is put in counts as a word. */
const sentencesOf = (source: string) =>
  (
    source
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .replace(/^\s*\/\/.*$/gm, '')
      .match(/'(?:[^'\\\n]|\\.)*'|`(?:[^`\\]|\\.)*`/g) ?? []
  )
    .map((s) => s.slice(1, -1).replace(/\$\{(?:[^{}]|\{[^{}]*\})*\}/g, 'six'))
    .flatMap((s) => s.split(/(?<=[.!?])\s+/))
    .filter((s) => s.split(' ').length >= SHORTEST && /[.!?]$/.test(s))
/** Years of school a reader has had (Kincaid et al. 1975). */
const gradeOf = (s: string) =>
  fleschKincaid({ sentence: 1, word: s.split(/\s+/).length, syllable: syllable(s) })

test('a sentence of the interface reads as in a good magazine: the median at grade 5, none over 12', () => {
  const graded = filesIn('src/text')
    .flatMap((path) => sentencesOf(readFileSync(path, 'utf8')))
    .map((sentence) => ({ sentence, grade: gradeOf(sentence) }))
    .sort((a, b) => a.grade - b.grade)
  expect(graded.length).toBeGreaterThan(800)
  expect(graded[Math.floor(graded.length / 2)]!.grade).toBeLessThan(5)
  expect(graded.filter((s) => s.grade > 12).map((s) => s.sentence)).toEqual([])
  // The measure can tell: a sentence of an old handbook, beside one of ours.
  const heavy =
    'Notwithstanding considerable heterogeneity, the aforementioned determination of interconnected porosity necessitates gravimetric verification.'
  expect(gradeOf(heavy)).toBeGreaterThan(12)
  expect(gradeOf('Water it until a fifth of what you gave has run out below.')).toBeLessThan(5)
})
