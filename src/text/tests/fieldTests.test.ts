import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { averaged, FIELD_TESTS, TEST_FIELDS, TEST_FIGURES, type FieldTest } from '@/core/fieldTests'
import { bandsOf, targetsFor } from '@/core/targets'
import type { Correction } from '@/model/season/correction'
import {
  quantityOfField,
  TEST_FIELD_NAMES,
  TEST_FIGURE_NAMES,
  TEST_TEXTS,
  testProblemText,
} from './fieldTests'
import { correctionText, testFigureText, testFollows, testRows } from './testFollows'
import { inUnits } from '../base/units'

const METRIC = /\d ?(cm|mm|mL|L|kg|g|°C)\b/
const bands = bandsOf(
  targetsFor({ crops: [], inGround: false, height: null, carried: false, waterEvery: null }),
)
const said = (of: FieldTest, repeats: Record<string, number>[], units: 'metric' | 'us' = 'metric') => {
  const found = averaged(of, repeats)
  if (!found.ok) throw new Error(found.problem.code)
  return testFollows(of, found.value, repeats, { bands, units }).join(' ')
}

describe('field tests in words', () => {
  test('every test, field and figure has its words; steps in the grower’s own units', () => {
    for (const of of FIELD_TESTS) {
      const { name, tells, kit, steps, on } = TEST_TEXTS[of]
      expect([name, tells, kit].every(Boolean), of).toBe(true)
      expect(on.length).toBeGreaterThan(0)
      expect(steps.length).toBeGreaterThan(1)
      for (const text of [tells, kit, ...steps.map((s) => s.text)]) {
        expect(inUnits(text, 'us'), text).not.toMatch(METRIC)
        expect(inUnits(text, 'metric')).not.toMatch(/\boz\b|°F|\binch|gallon|pint/)
        expect(inUnits(text, 'us')).not.toMatch(/[[\]|]/)
      }
      for (const field of TEST_FIELDS[of]) {
        expect(TEST_FIELD_NAMES[field.name], field.name).toBeTruthy()
        expect(quantityOfField(field)).toBeTruthy()
        expect(testProblemText({ code: 'field-missing', field: field.name }).why).toContain(
          TEST_FIELD_NAMES[field.name],
        )
      }
    }
    for (const figure of TEST_FIGURES) {
      expect(TEST_FIGURE_NAMES[figure]).toBeTruthy()
      expect(testFigureText(figure, 0.3, 'us')).not.toMatch(/\d (cm|kg|L)\b/)
    }
  })
  test('what follows is said, and differs with what was read', () => {
    expect(said('slurry', [{ pH: 4.5 }])).toContain('Below what is wanted')
    expect(said('slurry', [{ pH: 8 }])).toContain('no lime, no ash')
    expect(said('slurry', [{ pH: 6 }, { pH: 6.5 }])).toContain('third sample')
    expect(said('slurry', [{ pH: 6 }, { pH: 6.2 }])).not.toContain('third sample')
    expect(said('drainedAir', [{ volume: 4, depth: 16, drained: 200 }])).toContain('Too little air')
    expect(said('drainedAir', [{ volume: 4, depth: 16, drained: 3000 }])).toContain('More air')
    for (const [seconds, word] of [
      [2, 'wets well'],
      [30, 'slightly'],
      [300, 'strongly'],
      [900, 'badly'],
    ] as const)
      expect(said('dropTest', [{ seconds }])).toContain(word)
    expect(said('percolation', [{ water: 2.5, seconds: 20 }])).toContain('straight through')
    expect(said('percolation', [{ water: 2.5, seconds: 3600 }])).toContain('Too slow')
    const beans = (suspectTwisted: number, cleanTwisted: number) =>
      said('beanTest', [{ suspectPots: 6, suspectTwisted, cleanPots: 6, cleanTwisted }])
    expect(beans(3, 0)).toContain('do not use this load')
    expect(beans(1, 0)).toContain('not enough to say')
    expect(beans(3, 3)).toContain('The test says nothing')
    expect(beans(0, 0)).toContain('17 %')
    const cress = (upInExtract: number, upInWater: number) =>
      said('cressTest', [{ seeds: 75, upInExtract, rootInExtract: 30, upInWater, rootInWater: 30 }])
    expect(cress(72, 74)).toContain('Ripe')
    expect(cress(45, 74)).toContain('Not quite')
    expect(cress(10, 74)).toContain('Not fit')
    expect(cress(30, 40)).toContain('the seed is poor')
    expect(said('vinegarFizz', [{ grade: 0 }])).toContain('No lime')
    expect(said('vinegarFizz', [{ grade: 3 }])).toContain('Much lime')
    expect(said('sieve', [{ over12: 1, over6: 1, over1: 2, pan: 6 }])).toContain('dust')
    expect(said('jar', [{ sandTop: 70, siltTop: 90, top: 100 }])).toContain('sandy loam')
    expect(said('jar', [{ sandTop: 20, siltTop: 55, top: 100 }])).toContain('clay loam')
    expect(said('settling', [{ before: 2, now: 4.54 }], 'us')).toContain('1 in')
  })
  test('a correction says how much of what over how much, how it is given, and when to look again', () => {
    const lime: Correction = {
      expected: 6.2,
      goesTo: 5.2,
      target: 6.4,
      add: { dressingId: 'lime_calcitic', grams: 120, bulkDensity: 1.2 },
      stuck: null,
      again: 14,
      withIt: 6.3,
      litres: 60,
      planted: true,
    }
    expect(correctionText(lime, 'metric')).toMatch(
      /goes to 5\.2 .*Give 120 g, .* of ground limestone over all 60 L, scratched into the top.*two weeks/,
    )
    expect(correctionText({ ...lime, planted: false }, 'us')).toMatch(/oz.*gal, turned in evenly/)
    expect(correctionText({ ...lime, add: null }, 'us')).toContain('nothing to give')
  })
  test('a row stands beside what was expected, and repeats say how far apart they are', () => {
    const found = averaged('paste', [{ pH: 6, salts: 2 }, { pH: 6.4 }])
    if (!found.ok) throw new Error(found.problem.code)
    expect(testRows(found.value, { pH: 6.3 }, 'metric')).toEqual([
      ['pH', '6.2 (2 readings, 0.4 apart)', '6.3'],
      ['Salts', '2.0 dS/m', ''],
    ])
  })
  test('for anything that can be read what follows is whole sentences in one system of units', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FIELD_TESTS),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        (of, numbers) => {
          const repeat = Object.fromEntries(
            TEST_FIELDS[of].map(({ name, low, high, unit }) => {
              const at = low + numbers.next().value * (high - low)
              return [name, unit === 'count' || unit === 'grade' ? Math.round(at) : at]
            }),
          )
          const found = averaged(of, [repeat])
          if (!found.ok) return
          for (const text of testFollows(of, found.value, [repeat], { bands, units: 'us' })) {
            expect(text).toMatch(/^[A-Z0-9].*\.$/s)
            expect(text).not.toMatch(/undefined|NaN|\d (cm|L|kg)\b/)
          }
        },
      ),
    )
  })
})
