import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { LIMES } from '../data'
import { dressingById } from '../data/dressings'
import { acidityOn } from './acidity'
import type { AcidityInput } from './acidityState'
import { JUDGED_AFTER, limeAt, limeForReading, mixAsRead } from '.'

const CHOICE = [{ lime: LIMES[0]!, share: 1 }]
const valueOf = <T>(o: { ok: true; value: T } | { ok: false; problem: { code: string } }) => {
  if (!o.ok) throw new Error(o.problem.code)
  return o.value
}

describe('a pH read in a batch', () => {
  test('the mix as read goes through the reading, whatever works on it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 6.5, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.integer({ min: 0, max: 40 }),
        fc.double({ min: -0.6, max: 0.6, noNaN: true }),
        (pH, bufferCapacity, grams, day, off) => {
          const mix = { pH, bufferCapacity }
          const given = { limes: [{ lime: LIMES[0]!, gramsPerLitre: grams }] }
          const read = acidityOn(mix, given, day).pH + off
          const asRead = mixAsRead(mix, given, [{ pH: read, day }])
          if (!asRead.ok) throw new Error(asRead.problem.code)
          expect(acidityOn(asRead.value.mix, asRead.value.input, day).pH).toBeCloseTo(read, 2)
        },
      ),
      draws(),
    )
  })
  test('as expected, and on its way to the target: nothing is added', () => {
    const mix = { pH: 4.2, bufferCapacity: 30 }
    const plan = limeAt(mix, { choice: CHOICE, gramsPerLitre: 3 })
    const given = { limes: plan.doses }
    const read = acidityOn(mix, given, 7).pH
    const check = valueOf(
      limeForReading(mix, { choice: CHOICE, target: plan.pH }, given, [{ pH: read, day: 7 }]),
    )
    expect(check).toMatchObject({ limeGramsPerLitre: 0 })
    expect(check.expected).toBeCloseTo(read, 3)
    // From six weeks on it still creeps up a little.
    expect(Math.abs(check.goesTo - plan.pH)).toBeLessThan(0.25)
  })
  test('lower than expected: more lime, and with it the batch comes to its target', () => {
    const mix = { pH: 4.4, bufferCapacity: 30 }
    const given = { limes: limeAt(mix, { choice: CHOICE, gramsPerLitre: 3 }).doses }
    const check = valueOf(limeForReading(mix, { choice: CHOICE, target: 6.2 }, given, [{ pH: 4, day: 0 }]))
    expect(check.limeGramsPerLitre).toBeGreaterThan(0.3)
    expect(check.goesTo).toBeLessThan(6)
    const limes = [...given.limes, { lime: LIMES[0]!, gramsPerLitre: check.limeGramsPerLitre }]
    expect(acidityOn({ ...mix, pH: 4 }, { limes }, JUDGED_AFTER).pH).toBeCloseTo(6.2, 1)
    expect(check.withIt).toBeCloseTo(6.2, 2)
  })
  test('a peat mix half a unit low wants about a gram a litre more (common practice: a gram lifts a litre of peat mix by a third to two thirds of a unit)', () => {
    const mix = { pH: 4.5, bufferCapacity: 30 }
    const given = { limes: limeAt(mix, { choice: CHOICE, gramsPerLitre: 3 }).doses }
    const { expected } = valueOf(
      limeForReading(mix, { choice: CHOICE, target: 6 }, given, [{ pH: 4.5, day: 0 }]),
    )
    const low = valueOf(
      limeForReading(mix, { choice: CHOICE, target: 6.2 }, given, [{ pH: expected - 0.5, day: 0 }]),
    )
    const as = valueOf(
      limeForReading(mix, { choice: CHOICE, target: 6.2 }, given, [{ pH: expected - 0.0001, day: 0 }]),
    )
    const perHalf = low.limeGramsPerLitre - as.limeGramsPerLitre
    expect(0.5 / perHalf).toBeGreaterThan(1 / 3)
    expect(0.5 / perHalf).toBeLessThan(2 / 3)
  })
  test('higher than wanted: no lime, for it never lowers', () => {
    const mix = { pH: 5, bufferCapacity: 20 }
    expect(
      valueOf(limeForReading(mix, { choice: CHOICE, target: 6 }, {}, [{ pH: 7.2, day: 0 }])),
    ).toMatchObject({
      limeGramsPerLitre: 0,
      goesTo: 7.2,
    })
  })
  test('a reading no mix gives is reported', () => {
    for (const pH of [1, 11, NaN])
      expect(mixAsRead({ pH: 5, bufferCapacity: 20 }, {}, [{ pH, day: 0 }])).toMatchObject({
        ok: false,
        problem: { code: 'pH-out-of-range' },
      })
  })
  test('T1: lower than any pH of its own explains, less of its lime has worked', () => {
    const mix = { pH: 4, bufferCapacity: 30 }
    const given = { limes: limeAt(mix, { choice: CHOICE, gramsPerLitre: 5 }).doses }
    // Five grams have brought even the sourest mix past five by then.
    expect(acidityOn({ ...mix, pH: 2.5 }, given, 14).pH).toBeGreaterThan(4.6)
    const read = { pH: 4.5, day: 14 }
    const asRead = valueOf(mixAsRead(mix, given, [read]))
    expect(asRead.mix.pH).toBe(4)
    expect(asRead.input.limes![0]!.gramsPerLitre).toBeLessThan(2)
    expect(acidityOn(asRead.mix, asRead.input, 14).pH).toBeCloseTo(4.5, 2)
    const check = valueOf(limeForReading(mix, { choice: CHOICE, target: 6.4 }, given, [read]))
    expect(check.limeGramsPerLitre).toBeGreaterThan(1)
    expect(check.withIt).toBeCloseTo(6.4, 1)
  })
  test('higher than any pH of its own explains, less of its acid has worked: its course passes through the reading', () => {
    const mix = { pH: 7, bufferCapacity: 10 }
    // Four grams of sulfur make 240 mmol of acid: far more than takes such a mix from 9 to 5.
    const given: AcidityInput = { acids: [{ dressing: dressingById('sulfur_elemental')!, gramsPerLitre: 4 }] }
    expect(acidityOn({ ...mix, pH: 9 }, given, 365).pH).toBeLessThan(5.5)
    const asRead = valueOf(mixAsRead(mix, given, [{ pH: 6, day: 365 }]))
    expect(asRead.mix.pH).toBe(7)
    expect(asRead.input.acids![0]!.gramsPerLitre).toBeLessThan(1)
    // The share at work is found to a thousandth: 4 mg of sulfur, 0.02 of pH in such a mix.
    expect(acidityOn(asRead.mix, asRead.input, 365).pH).toBeCloseTo(6, 1)
  })
  test('T1: every reading from 3 to 9 gets an answer, whatever the mix and the day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3.5, max: 7.5, noNaN: true }),
        fc.double({ min: 3, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.integer({ min: 0, max: 120 }),
        fc.double({ min: 3, max: 9, noNaN: true }),
        (pH, bufferCapacity, grams, day, read) => {
          const mix = { pH, bufferCapacity }
          const given = { limes: [{ lime: LIMES[0]!, gramsPerLitre: grams }], temperature: 15 }
          const check = valueOf(
            limeForReading(mix, { choice: CHOICE, target: 6.2 }, given, [{ pH: read, day }]),
          )
          expect(Number.isFinite(check.goesTo) && Number.isFinite(check.withIt)).toBe(true)
          // Lime never lowers: what is added brings it no further down than it goes by itself.
          expect(check.withIt).toBeGreaterThanOrEqual(check.goesTo - 1e-6)
        },
      ),
      draws(),
    )
  })
  test('several readings of a batch are taken together: the middle of them', () => {
    const mix = { pH: 4.4, bufferCapacity: 30 }
    const of = (...pH: number[]) =>
      valueOf(
        mixAsRead(
          mix,
          {},
          pH.map((value) => ({ pH: value, day: 0 })),
        ),
      ).mix.pH
    expect(of(5, 5.4)).toBeCloseTo(5.2, 2)
    expect(of(5, 5, 5.6)).toBeCloseTo(5.2, 2)
    expect(of(5.2)).toBeCloseTo(5.2, 2)
  })
})
