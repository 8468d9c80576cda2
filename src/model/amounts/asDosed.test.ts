import { describe, expect, test } from 'vitest'
import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { dressingById, dressingIn } from '@/core/data/dressings'
import { doseInManner, usualManner } from '@/text/base/amounts'
import { partNamed } from '@/text/shelf/partNamed'
import { DEFAULT_SETTINGS, type Garden } from '../garden/garden'
import { startingJob, startingJobBed, startingSpec } from '../garden/starting'
import type { BedSpec, DressingLine, Job } from '../garden/schemas'
import { doseTotals } from '../make/doseTotals'
import { quantitiesOf } from '../make/quantities'
import { lineOf } from '../mix/doses'
import { prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { doseOf, readAmount, saidOf, type SaidAmount } from './amount'
import { asPerLitre } from '../garden/said'
import { asDosed } from './asDosed'
import { jobAmounts, lineAmounts } from './setting'

const FOOT = 30.48
const GALLON = 3.785411784
const CUP = 0.2365882365

const garden: Garden = new Map([['settings', { ...DEFAULT_SETTINGS, units: 'us' as const }]])
/** A bed 4 ft x 4 ft x 12 in, half peat and half compost, as a grower described it. */
const empty = once((): Job => {
  const spec = startingSpec('raisedBed')
  const vessel: BedSpec['vessel'] = {
    ...spec.vessel,
    shape: {
      kind: 'box',
      topLength: 4 * FOOT,
      topWidth: 4 * FOOT,
      baseLength: 4 * FOOT,
      baseWidth: 4 * FOOT,
      height: FOOT,
    },
    headspace: 0,
  }
  const fill = startingJobBed('b', { ...spec, vessel, layers: [], cover: null }, null)
  return startingJob('j', '2026-04-01T08:00:00.000Z', [fill], 'us')
})
const twoParts = [
  { materialId: 'peat_medium', twelfths: 12 },
  { materialId: 'compost_green', twelfths: 12 },
]
const jobWith = (change: Partial<Job>): Job => ({ ...empty(), parts: twoParts, ...change })

/** A line as it is kept after somebody typed an amount at the bench. */
function typed(job: Job, line: DressingLine, text: string): DressingLine {
  const setting = lineAmounts(jobAmounts(garden, job), job, line, PUBLISHED)
  const read = readAmount(text, { system: 'us', usual: usualManner('us'), named: partNamed(setting) })
  if (!read.ok) throw new Error(`${text}: ${read.question.code}`)
  return {
    ...line,
    gramsPerLitre: doseOf(read.amount, setting)!,
    measure: saidOf(read.amount, 'us'),
  }
}
const gramsInAll = (job: Job): number => {
  const dosed = asDosed(garden, job)
  const prepared = prepare(questionOfJob(dosed, undefined, PUBLISHED))
  const quantities = valueOf(quantitiesOf(dosed, prepared))
  return doseTotals(dosed, quantities)
    .filter((d) => !d.isLime)
    .reduce((sum, d) => sum + d.grams, 0)
}
const wordsOf = (job: Job): string => {
  const dosed = asDosed(garden, job)
  const line = dosed.dressings[0]!
  const setting = lineAmounts(jobAmounts(garden, dosed), dosed, line, PUBLISHED)
  return doseInManner(line.gramsPerLitre, line.measure ?? null, setting).words
}
const FEED = 'all_purpose_organic'
const density = () => dressingById(FEED)!.bulkDensity.value

describe('an amount stays as it was said', () => {
  test.each([
    // 16 square feet, a quarter cup on each.
    ['0.25 cup per square foot', 16 * 0.25 * CUP, '0.25 cups per square foot'],
    // A tablespoon is a sixteenth of a cup.
    ['3 tablespoons in all', (3 / 16) * CUP, '3 tablespoons in all'],
    ['2 tablespoons per container', (2 / 16) * CUP, '2 tablespoons per container'],
  ])('D1: “%s” is the same amount wherever it goes', (text, litres, words) => {
    const line = typed(jobWith({}), lineOf(FEED, 3), text)
    for (const place of [
      { kind: 'throughout' },
      { kind: 'top', depth: 8 },
      { kind: 'hole' },
      { kind: 'heldBack', from: 21 },
    ] as const) {
      const job = jobWith({ dressings: [{ ...line, place }] })
      expect(wordsOf(job)).toBe(words)
      // Batches make a little more or less, by whole measures; what is stirred in follows them.
      const rounding = place.kind === 'throughout' ? 0.05 : 1e-6
      expect(Math.abs(gramsInAll(job) / (litres * 1000 * density()) - 1)).toBeLessThanOrEqual(rounding)
    }
  })
  test('D1: two tablespoons a plant for sixteen plants are two cups, in the hole as all through', () => {
    const job = jobWith({ plants: 16, cropId: null })
    const line = typed(job, lineOf(FEED, 3), '2 tablespoons per plant')
    for (const place of [{ kind: 'hole' }, { kind: 'top', depth: 5 }] as const)
      expect(gramsInAll({ ...job, dressings: [{ ...line, place }] })).toBeCloseTo(
        2 * CUP * 1000 * density(),
        3,
      )
  })
  test('D2: a tablespoon per part of 2:2:1 is five tablespoons, whatever the bucket is', () => {
    const parts = [...twoParts.map((p) => ({ ...p, twelfths: 24 })), { materialId: 'pumice', twelfths: 12 }]
    for (const bucket of [2 * GALLON, 5 * GALLON]) {
      const job = jobWith({ parts, amount: 5 * GALLON, plan: { ...empty().plan, bucket } })
      const line = typed(job, lineOf(FEED, 3), '1 tbsp per part')
      const dosed = asDosed(garden, { ...job, dressings: [line] })
      const spoons = 5 / 16
      expect(dosed.dressings[0]!.gramsPerLitre * 5 * GALLON).toBeCloseTo(spoons * CUP * 1000 * density(), 6)
      expect(wordsOf({ ...job, dressings: [line] })).toBe('1 tablespoon per part')
    }
  })
  test('more parts are more spoons: the dose follows the recipe, the words do not change', () => {
    const job = jobWith({ amount: 20 })
    const line = typed(job, lineOf(FEED, 3), '1 tbsp per part')
    const dose = (parts: Job['parts']) =>
      asDosed(garden, { ...job, parts, dressings: [line] }).dressings[0]!.gramsPerLitre
    expect(dose(twoParts.map((p) => ({ ...p, twelfths: 24 }))) / dose(twoParts)).toBeCloseTo(2, 9)
  })
  test('per bag, bucket, scoop and part of one material count that material', () => {
    // Equal parts of a batch without loss would be half a litre of peat to a litre: the mix a litre of peat makes.
    const job = jobWith({ amount: 40 })
    const { parts } = jobAmounts(garden, job)
    const perPeat = parts.get('peat_medium')!.mix
    const dose = (text: string) => typed(job, lineOf(FEED, 3), text).gramsPerLitre
    expect(dose('10 g per 2 us gallons of peat')).toBeCloseTo(10 / (2 * GALLON * perPeat), 9)
    expect(dose('10 g per bucket of compost')).toBeCloseTo(10 / (job.plan.bucket * perPeat), 9)
    expect(dose('10 g per scoop of compost')).toBeCloseTo(10 / (job.plan.scoop * perPeat), 9)
    // One part of two: as many parts of peat as of all, halved.
    expect(dose('10 g per part of peat')).toBeCloseTo(dose('10 g per part') / 2, 9)
    // A bag of the job is a bag of one of its materials.
    const { bag } = jobAmounts(garden, job)
    expect([...parts.values()].some((p) => Math.abs(p.bag! - bag!) < 1e-9)).toBe(true)
    const setting = lineAmounts(jobAmounts(garden, job), job, lineOf(FEED, 3), PUBLISHED)
    const asked = readAmount('10 g per litre of pumice', {
      system: 'us',
      usual: usualManner('us'),
      named: partNamed(setting),
    })
    expect(asked).toMatchObject({ ok: false, question: { code: 'not-in-mix', text: 'pumice' } })
  })
  test('a dose the job does not tell stays as it was; one per litre is never worked out anew', () => {
    const said: SaidAmount = { unit: 'g', base: 'plant', of: 1, value: 5 }
    const line = { ...lineOf(FEED, 3), measure: said }
    const job = jobWith({ dressings: [line], cropId: null, plants: null })
    expect(asDosed(garden, job).dressings[0]).toBe(line)
    const perLitre = jobWith({
      dressings: [{ ...line, measure: { unit: 'g', base: 'volume', of: 1, value: 3 } }],
    })
    expect(asDosed(garden, perLitre).dressings).toBe(perLitre.dressings)
  })
  test('what comes to the same is the same, so that nothing is worked out twice', () => {
    const line = typed(jobWith({}), lineOf(FEED, 3), '3 tablespoons in all')
    const job = jobWith({ dressings: [{ ...line, gramsPerLitre: 1 }] })
    expect(asDosed(garden, job).dressings).toBe(asDosed(garden, job).dressings)
    const lime = { ...job.lime, mode: 'fixed' as const, measure: line.measure }
    expect(asDosed(garden, { ...job, lime }).lime).toBe(asDosed(garden, { ...job, lime }).lime)
  })
  test('a recipe for somebody else carries grams per litre, not spoons of this job', () => {
    const line = typed(jobWith({}), lineOf(FEED, 3), '3 tablespoons in all')
    const given = asPerLitre(jobWith({ dressings: [line, lineOf('kelp_meal', 1)] }))
    expect(given.dressings[0]).toMatchObject({ gramsPerLitre: line.gramsPerLitre, measure: undefined })
    expect(given.dressings[1]).toEqual(lineOf('kelp_meal', 1))
  })
  test('a cup stays the cup it was measured with when the units change', () => {
    const line = typed(jobWith({}), lineOf(FEED, 3), '2 cups in all')
    const metric: Garden = new Map([['settings', { ...DEFAULT_SETTINGS, units: 'metric' as const }]])
    const job = jobWith({ dressings: [line] })
    expect(asDosed(metric, job).dressings[0]!.gramsPerLitre).toBeCloseTo(line.gramsPerLitre, 9)
    const setting = lineAmounts(jobAmounts(metric, job), job, line, PUBLISHED)
    expect(doseInManner(line.gramsPerLitre, line.measure!, setting).words).toBe('2 US cups in all')
  })
  test('a line for the top alone: the parts and bags of the mix count by the litres it goes into', () => {
    const job = jobWith({})
    const of = jobAmounts(garden, job)
    const line: DressingLine = { ...lineOf(FEED, 3), place: { kind: 'top', depth: 8 } }
    const top = lineAmounts(of, job, line, PUBLISHED)
    // Top 8 cm of one bed of one job: the share of all litres that lies in them, whatever the amount goes by.
    const share = top.all! / of.all!
    expect(share).toBeGreaterThan(0)
    expect(share).toBeLessThan(1)
    expect(of.part).not.toBeNull()
    expect(top.part! / of.part!).toBeCloseTo(share, 9)
    expect(top.bag! / of.bag!).toBeCloseTo(share, 9)
  })
  test('D11: an inch of castings on 16 square feet is a foot and a third of cube', () => {
    const line = typed(
      jobWith({}),
      { ...lineOf('vermicompost', 30), place: { kind: 'top', depth: 8 } },
      '1 inch',
    )
    const job = jobWith({ dressings: [line] })
    const litres = (16 / 12) * FOOT ** 3 * 1e-3
    const castings = 1000 * dressingIn(PUBLISHED, 'vermicompost')!.bulkDensity.value
    expect(gramsInAll(job) / litres / castings).toBeCloseTo(1, 6)
    expect(wordsOf(job)).toBe('1 inch deep')
  })
})
