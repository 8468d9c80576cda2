import { describe, expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { dressingById } from '@/core/data/dressings'
import { once, valueOf } from '@/core/testing/once'
import { alikeBatches, batchFillsText, bucketsText } from '@/text/make/measures'
import { inPlaceText } from '@/text/make/inPlace'
import { tickOf } from '../garden/commands'
import { startingJob, startingJobBed, startingSpec } from '../garden/starting'
import type { Job } from '../garden/schemas'
import { prepareJob } from '../mix/evaluateJob'
import { lineOf } from '../mix/doses'
import { batchCards } from './batchCard'
import { doseTotals } from './doseTotals'
import { inPlaceOf, IN_PLACE_LIMITS } from './inPlace'
import { madeOf } from './madeBatches'
import { quantitiesOf } from './quantities'
import { recordFrom } from './recordFrom'

const NONE = new Map()
/** 600 L of a raised bed and more, by a tub of 90 L: eleven batches or more, bone meal in all of them. */
const bed = once<Job>(() => ({
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [
    { ...startingJobBed('f', startingSpec('raisedBed'), null), count: 2 },
  ]),
  parts: [
    { materialId: 'topsoil_screened', twelfths: 24 },
    { materialId: 'compost_green', twelfths: 12 },
  ],
  dressings: [lineOf('bone_meal', 2)],
}))
const q = once(() => valueOf(quantitiesOf(bed(), prepareJob(bed(), undefined, PUBLISHED))))
const cards = once(() => batchCards(bed(), q()))
/** The job with all measures of some batches ticked. */
const ticked = (...batches: number[]): Job => ({
  ...bed(),
  ticks: batches.flatMap((i) => cards()[i]!.lines.map((l) => tickOf(i, l.id))),
})
const made = (job: Job, all = false) => madeOf(job, q(), batchCards(job, q()), { remade: NONE, all })

describe('what was made is what was ticked', () => {
  test('B7: two batches of many are recorded as those two, with their lime and feed', () => {
    const { job, quantities, batches, of } = made(ticked(0, 2))
    expect([batches, of]).toEqual([2, q().plan.batches.length])
    expect(of).toBeGreaterThan(10)
    const record = recordFrom(job, quantities, { id: 'r', madeOn: '2026-04-01', note: '', jobName: 'Beds' })
    const two = q().plan.batches[0]!.blendLitres + q().plan.batches[2]!.blendLitres
    expect(record.batchCount).toBe(2)
    expect(record.blendLitres).toBeCloseTo(two, 9)
    expect(record.measured.reduce((sum, m) => sum + m.litres, 0)).toBeCloseTo(
      q().plan.batches[0]!.looseLitres + q().plan.batches[2]!.looseLitres,
      9,
    )
    // What is blended, and what lies where it is mixed, is of these two alone.
    const share = two / q().plan.blendLitres
    expect(quantities.toBlend).toBeCloseTo(q().toBlend * share, 9)
    expect(quantities.inPlace).toBeCloseTo(q().inPlace * share, 9)
    // Two grams in each litre of what was made.
    expect(record.dressings.find((d) => d.dressingId === 'bone_meal')!.grams).toBeCloseTo(2 * two, 6)
    // Nobody said what a part of it fills.
    expect(record.filled).toEqual([])
  })
  test('B7: nothing ticked is nothing made, until all of it is said to be', () => {
    expect(made(bed())).toMatchObject({ batches: 0 })
    expect(made(bed(), true)).toMatchObject({ batches: q().plan.batches.length, job: bed() })
    // A batch with one measure open is not made.
    const almost = { ...ticked(0), ticks: ticked(0).ticks.slice(1) }
    expect(made(almost).batches).toBe(0)
    const all = ticked(...cards().map((c) => c.index))
    expect(made(all)).toMatchObject({ job: all, batches: q().plan.batches.length })
  })
  test('of finished mixes made first those batches count that were ticked; the rest was never made', () => {
    const nested: Job = {
      ...bed(),
      parts: [
        { materialId: 'mix:base', twelfths: 24 },
        { materialId: 'compost_green', twelfths: 12 },
      ],
      mixes: [
        {
          id: 'mix:base',
          name: 'Base',
          parts: [
            { materialId: 'topsoil_screened', twelfths: 24 },
            { materialId: 'sand_sharp', twelfths: 12 },
          ],
          lime: { gramsPerLitre: 0, dolomiteShare: 0.5 },
          dressings: [],
          origin: { kind: 'made' },
        },
      ],
    }
    const of = valueOf(quantitiesOf(nested, prepareJob(nested, undefined, PUBLISHED)))
    const [base] = of.first
    expect(base!.plan.batches.length).toBeGreaterThan(2)
    const all = batchCards(nested, of)
    const tickedOf = (chosen: (c: (typeof all)[number]) => boolean): Job => ({
      ...nested,
      ticks: all.filter(chosen).flatMap((c) => c.lines.map((l) => tickOf(c.index, l.id))),
    })
    const cut = (job: Job) =>
      madeOf(job, of, batchCards(job, of), { remade: NONE, all: false }).quantities.first
    const two = cut(tickedOf((c) => c.mix !== null && c.index < 2))
    expect(two).toHaveLength(1)
    const litres = base!.plan.batches[0]!.blendLitres + base!.plan.batches[1]!.blendLitres
    expect(two[0]!.litres).toBeCloseTo(litres, 9)
    expect(two[0]!.plan.batches).toHaveLength(2)
    // None of it made: none of it is recorded.
    expect(cut(tickedOf((c) => c.mix === null && c.index === 0))).toEqual([])
  })
  test('what was put in afterwards is recorded by name, as it was called or by its id', () => {
    const correction = (dressingId: string) => ({
      id: dressingId,
      batch: 0,
      at: '2026-04-02',
      dressingId,
      grams: 50,
    })
    const job = { ...bed(), corrections: [correction('bone_meal'), correction('no such feed')] } as Job
    const record = recordFrom(job, q(), { id: 'r', madeOn: '2026-04-01', note: '', jobName: 'Beds' })
    expect(record.corrections.map((c) => [c.grams, c.dressingName])).toEqual([
      [50, dressingById('bone_meal')!.name],
      [50, 'no such feed'],
    ])
    expect([record.paid, record.used]).toEqual([null, null])
  })
  test('what was made otherwise goes with its batch', () => {
    const job: Job = {
      ...ticked(2),
      otherwise: [
        { batch: 2, materialId: 'compost_green', litres: 1, instead: null },
        { batch: 3, materialId: 'compost_green', litres: 2, instead: null },
      ],
    }
    const cut = madeOf(job, q(), batchCards(job, q()), { remade: NONE, all: false })
    expect(cut.job.otherwise).toEqual([{ batch: 0, materialId: 'compost_green', litres: 1, instead: null }])
  })
})

describe('a bed mixed where it lies', () => {
  test('B5: the layers together are the batches together', () => {
    const beds = inPlaceOf(bed(), q())
    expect(beds).toHaveLength(1)
    const [one] = beds
    const layers = one!.layers * bed().fills[0]!.count
    q().plan.totals.forEach((t, i) => expect(one!.spread[i]!.litres * layers).toBeCloseTo(t.litres, 6))
    for (const dose of doseTotals(bed(), q())) {
      const scattered = one!.scatter.find((s) => s.id === dose.id)!
      expect(scattered.grams * layers).toBeCloseTo(dose.grams, 6)
    }
    // As deep as a fork turns, give or take half a layer.
    expect(one!.depth).toBeGreaterThan(IN_PLACE_LIMITS.layer.value / 2)
    expect(one!.depth).toBeLessThan(IN_PLACE_LIMITS.layer.value * 1.5)
    const text = inPlaceText(one!, 10, 'metric')
    expect(text.title).toMatch(/^Raised bed: \d+ layers of /)
    expect(text.lines).toHaveLength(2 + one!.scatter.length)
  })
  test('B5: on paper each measure of each batch has its box, and all of it is what the bed takes', () => {
    const groups = alikeBatches(cards(), 'metric')
    const boxes = groups.reduce((sum, g) => sum + g.count * g.lines.length, 0)
    expect(cards().length).toBeGreaterThan(IN_PLACE_LIMITS.batches.value)
    expect(boxes).toBe(cards().reduce((sum, c) => sum + c.lines.length, 0))
    // A box missed or written twice would lose or add a batch.
    expect(groups.reduce((sum, g) => sum + g.count, 0)).toBe(cards().length)
  })
  test('a few batches, a set amount and pots are made in the tub', () => {
    const few = { ...q(), plan: { ...q().plan, batches: q().plan.batches.slice(0, 12) } }
    expect(inPlaceOf(bed(), few)).toEqual([])
    expect(inPlaceOf({ ...bed(), amount: 500 }, q())).toEqual([])
    const pots = { ...bed(), fills: [startingJobBed('p', startingSpec('roundPot'), null)] }
    expect(inPlaceOf(pots, q())).toEqual([])
  })
})

describe('B9: plain counts', () => {
  const needed = (net: number) => ({ needed: [{ net } as ReturnType<typeof q>['needed'][number]] })
  const fills = (kind: 'roundPot' | 'raisedBed', name: string, count: number, each: number) => {
    const spec = { ...startingSpec(kind), name }
    const job = { ...bed(), amount: 100, fills: [{ ...startingJobBed('x', spec, null), count }] }
    const settled = 107
    return batchFillsText({ mix: null, blendLitres: settled, of: 4 }, job, needed(each))
  }
  // 107 L lose 7 % in settling: 100 L in place.
  test.each([
    ['14 round pots', fills('roundPot', '', 40, 100 / 14)],
    ['14 of “Leeks”', fills('roundPot', 'Leeks', 40, 100 / 14)],
    ['a tenth of the raised bed', fills('raisedBed', '', 1, 1000)],
    ['half of “Roots”', fills('raisedBed', 'Roots', 1, 200)],
    ['less than a tenth of the raised bed', fills('raisedBed', '', 1, 5000)],
    ['1 round pot', fills('roundPot', '', 3, 95)],
  ])('%s', (expected, said) => expect(said).toBe(expected))
  test('one bucket is one bucket', () => {
    expect([12, 12.1, 13, 24, 6, 8].map(bucketsText)).toEqual([
      '1 bucket',
      '1 bucket',
      '1.1 buckets',
      '2 buckets',
      '½ bucket',
      '⅔ bucket',
    ])
  })
})
