import { once } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { linesOf, finishedMixes, questionOfJob } from './questionOfJob'
import { recipeOf } from './versions'
import { movesAtOnce, movesRequest } from '@/model/find/nextMoves'
import { quantitiesOf } from '@/model/make/quantities'
import { evaluateJob, prepareJob } from './evaluateJob'
import { flatOf } from './prepareRecipe'
import { mixLines, shoppingList } from '@/model/make/shoppingList'
import { doseTotals } from '@/model/make/doseTotals'
import { describe, expect, test } from 'vitest'
import { singleChanges } from '@/core/finder'
import { flattenRecipe } from '@/core/mixing'
import { demoGarden } from '@/demo/demoGarden'
import { batchCards } from '@/model/make/batchCard'
import { describeBag, recipeOfMix } from './bags'
import { changesOf, tickOf, type Command } from '@/model/garden/commands'
import { compare, differences } from './compare'
import { mixCost } from './cost'
import { jobKey, jobOf, liveJob, placeOf } from '@/model/garden/garden'
import { innerMixOf, materialIdsOf } from './innerMix'
import { asPart, mixSources } from './mixSources'
import { recordFrom } from '@/model/make/recordFrom'
import { jobSchema, type Bag, type InnerMix, type Job, type MixOrigin } from '@/model/garden/schemas'

const garden = once(() => demoGarden())
const place = once(() => placeOf(garden()))
const peppers = once(() => liveJob(garden(), jobOf(garden(), 'peppers-27')!))
const good = <T>(o: { ok: true; value: T } | { ok: false; problem: { code: string } }): T => {
  if (!o.ok) throw new Error(o.problem.code)
  return o.value
}
const after = (job: Job, command: Command): Job =>
  (changesOf(new Map([[jobKey(job.id), job]]), command)[0]?.after as Job | undefined) ?? job

const flat = (job: Job) => flatOf(linesOf(job.parts), finishedMixes(job.mixes), PUBLISHED)
const premixed = (job: Job) => good(prepareJob(job, undefined, PUBLISHED)).premixed
/** Lime to add, g per litre. */
const lime = (job: Job) => good(prepareJob(job, undefined, PUBLISHED)).lime.own.gramsPerLitre
const NO_LIME = { gramsPerLitre: 0, dolomiteShare: 0.5 }

const inner = (origin: MixOrigin = { kind: 'made' }): InnerMix => ({
  id: 'mix:base',
  name: 'Base mix',
  parts: [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ],
  lime: { gramsPerLitre: 3, dolomiteShare: 0.5 },
  dressings: [{ dressingId: 'bone_meal', gramsPerLitre: 1 }],
  origin,
})
/** Two parts of the base mix, one of compost, and no lime but what the base has. */
const nested = (origin?: MixOrigin): Job => ({
  ...peppers(),
  ticks: [],
  parts: [
    { materialId: 'mix:base', twelfths: 24 },
    { materialId: 'compost_green', twelfths: 12 },
  ],
  mixes: [inner(origin)],
  lime: { ...peppers().lime, mode: 'none' },
  dressings: [],
})

describe('a finished mix as a part', () => {
  test('is the same mix as its materials written out', () => {
    const job = nested()
    const written = good(flat(job))
    const out: Job = {
      ...job,
      mixes: [],
      parts: written.parts.map((p) => ({
        materialId: p.material.material.id,
        twelfths: Math.round(p.parts * 1e6),
      })),
      lime: { ...job.lime, mode: 'fixed', gramsPerLitre: premixed(job).lime.gramsPerLitre },
      dressings: premixed(job).dressings.map((d) => ({
        ...d,
        id: d.dressingId,
        place: { kind: 'throughout' as const },
        share: 1,
      })),
    }
    const [a, b] = [good(evaluateJob(job, place(), PUBLISHED)), good(evaluateJob(out, place(), PUBLISHED))]
    expect(a.mix.airFilledPorosity).toBeCloseTo(b.mix.airFilledPorosity, 6)
    expect(a.mix.easilyAvailableWater).toBeCloseTo(b.mix.easilyAvailableWater, 6)
    expect(a.lime.pH).toBeCloseTo(b.lime.pH, 6)
    expect(a.weights.drained).toBeCloseTo(b.weights.drained, 5)
    expect(a.growing!.feeding.fed).toBeCloseTo(b.growing!.feeding.fed, 6)
  })
  test('lime of its own and lime brought are one amount: of each kind so many grams as there are of both', () => {
    const own = {
      ...nested(),
      lime: { ...peppers().lime, mode: 'fixed' as const, gramsPerLitre: 1, dolomiteShare: 1 },
    }
    const brought = premixed(own).lime
    const { lime } = good(prepareJob(own, undefined, PUBLISHED))
    expect(lime.together.gramsPerLitre).toBeCloseTo(1 + brought.gramsPerLitre, 9)
    // All of its own is dolomite, half of what the base mix brings.
    expect(lime.together.dolomiteShare).toBeCloseTo(
      (1 + 0.5 * brought.gramsPerLitre) / (1 + brought.gramsPerLitre),
      9,
    )
    expect(lime.limes.reduce((sum, l) => sum + l.share, 0)).toBeCloseTo(1, 9)
    const dolomitic = lime.limes.find((l) => l.lime.id === 'lime_dolomitic')!
    expect(dolomitic.share).toBeCloseTo(lime.together.dolomiteShare, 9)
  })
  test('its lime counts towards the pH wanted; what it has is not added again', () => {
    const bare = { ...nested(), mixes: [{ ...inner(), lime: { gramsPerLitre: 0, dolomiteShare: 0.5 } }] }
    const wanted = { ...peppers().lime, mode: 'toTarget' as const, target: 6.9 }
    const all = lime({ ...bare, lime: wanted })
    const limed = { ...nested(), lime: wanted }
    const less = lime(limed)
    const brought = premixed(limed).lime.gramsPerLitre
    // Two parts in three of 3 g/L, and a little more for what stirring loses.
    expect(brought).toBeGreaterThan(2)
    expect(brought).toBeLessThan(2.4)
    expect(less + brought).toBeCloseTo(all, 3)
    const e = good(evaluateJob(limed, undefined, PUBLISHED))
    expect(e.lime.pH).toBeCloseTo(6.9, 2)
    expect(e.lime.gramsPerLitre - brought).toBeCloseTo(less, 6)
    // More lime in it than is wanted: nothing is added, and nothing taken out.
    expect(lime({ ...limed, lime: { ...wanted, target: 5 } })).toBe(0)
  })
  test('is made first, its materials bought with the others, its lime weighed there', () => {
    const job = nested()
    const q = good(quantitiesOf(job, prepareJob(job, undefined, PUBLISHED)))
    const measured = q.plan.totals.find((t) => t.id === 'mix:base')!.litres
    expect(q.first).toHaveLength(1)
    expect(q.first[0]!.plan.blendLitres).toBeGreaterThanOrEqual(measured * 0.95)
    expect(q.limeGramsPerLitre).toBe(0)
    const cards = batchCards(job, q)
    const firsts = cards.filter((c) => c.mix)
    expect(cards.indexOf(firsts.at(-1)!)).toBe(firsts.length - 1)
    expect(firsts[0]!.lines.map((l) => l.id)).toEqual([
      'mix:base/peat_medium',
      'mix:base/perlite_coarse',
      'mix:base/lime_calcitic',
      'mix:base/lime_dolomitic',
      'mix:base/bone_meal',
    ])
    const own = cards.find((c) => !c.mix)!
    expect(own.lines.map((l) => l.id)).toEqual(['mix:base', 'compost_green'])
    const list = shoppingList(garden(), q)
    expect(list.map((l) => l.material.id).sort()).toEqual(['compost_green', 'peat_medium', 'perlite_coarse'])
    const peat = firsts.flatMap((c) => c.lines).filter((l) => l.id === 'mix:base/peat_medium')
    expect(list.find((l) => l.material.id === 'peat_medium')!.litres).toBeCloseTo(
      peat.reduce((s, l) => s + (l.kind === 'measure' ? l.litres : 0), 0),
      9,
    )
    const lime = doseTotals(job, q).filter((d) => d.isLime)
    expect(lime.reduce((s, d) => s + d.grams, 0)).toBeCloseTo(3 * q.first[0]!.plan.blendLitres, 6)
    // Ticks of the two kinds of batch never stand for one another.
    const ticked = after(job, {
      type: 'tick/set',
      jobId: job.id,
      batch: 0,
      materialId: 'mix:base/peat_medium',
      done: true,
    })
    expect(ticked.ticks).toEqual([tickOf(0, 'mix:base/peat_medium')])
    expect(batchCards(ticked, q).map((c) => c.done)).toEqual(cards.map((_, i) => (i === 0 ? 1 : 0)))
  })
  test('on hand it is measured and nothing more; in bags it is bought whole', () => {
    const ready = good(
      quantitiesOf(nested({ kind: 'ready' }), prepareJob(nested({ kind: 'ready' }), undefined, PUBLISHED)),
    )
    expect(ready.first).toEqual([])
    expect(shoppingList(garden(), ready).map((l) => l.material.id)).toEqual(['compost_green'])
    const job = nested({ kind: 'bag', litres: 50, price: 8 })
    const q = good(quantitiesOf(job, prepareJob(job, undefined, PUBLISHED)))
    const [line] = mixLines(job, q)
    expect(line!.purchase!.counts[0]).toBe(Math.ceil(line!.litres / 50 - 1e-9))
    expect(line!.purchase!.cost).toBe(line!.purchase!.counts[0]! * 8)
    const record = recordFrom(job, q, { id: 'r', madeOn: '2026-11-25', note: '', jobName: 'Peppers' })
    expect(record.measured[0]!.materialName).toMatch(/^Base mix \(.*peat.*perlite/i)
  })
  test('costs what its bag costs, or what it is made of', () => {
    const whole = good(flat(nested()))
    const blended = whole.measured * (1 - whole.lossHere)
    const bag = mixCost(garden(), nested({ kind: 'bag', litres: 50, price: 8 }))
    const compost = 6.5 / 40
    expect(bag.perLitre).toBeCloseTo((24 * (8 / 50) + 12 * compost) / blended, 9)
    const made = mixCost(garden(), nested())
    const materials = { ...nested(), mixes: [], parts: [] as Job['parts'] }
    materials.parts = whole.parts.map((p) => ({
      materialId: p.material.material.id,
      twelfths: Math.round(p.parts * 1e6),
    }))
    expect(made.perLitre).toBeCloseTo(mixCost(garden(), materials).perLitre!, 6)
    expect(mixCost(garden(), nested({ kind: 'bag', litres: 50, price: null })).missing).toEqual(['mix:base'])
  })
  test('next moves change it as one part, and agree with the figures of the bench', () => {
    const job = nested()
    const request = good(
      movesRequest(garden(), job, questionOfJob(job, place(), PUBLISHED), { source: 'all', most: 40 }),
    )
    const base = good(singleChanges(request.problem, [{ id: 'mix:base', parts: 1 }], 0.5, request.mixes))
    expect(base.changes.some((m) => JSON.stringify(m.move).includes('mix:base'))).toBe(true)
    for (const move of good(movesAtOnce(request)).moves) {
      const next = after(job, { type: 'recipe/replace', jobId: job.id, recipe: move.recipe, what: '' })
      expect(next.mixes.length).toBe(next.parts.some((p) => p.materialId === 'mix:base') ? 1 : 0)
      const there = good(evaluateJob(next, place(), PUBLISHED))
      expect(move.after.air).toBeCloseTo(there.mix.airFilledPorosity, 2)
      expect(move.before.cost).toBeCloseTo(mixCost(garden(), job).perLitre!, 6)
    }
  })
  test('taken in twice it is one part; taken out it is gone; a mix inside a mix is written out', () => {
    const source = mixSources(garden(), peppers()).find((s) => s.kind === 'job' && s.recipe.parts.length > 1)!
    const mix = good(asPart(source, peppers(), { id: 'mix:1', name: 'Other', tables: PUBLISHED }))
    const once = after(peppers(), { type: 'mix/take', jobId: peppers().id, mix, twelfths: 12 })
    expect(once.mixes.map((m) => m.id)).toEqual(['mix:1'])
    expect(good(asPart(source, once, { id: 'mix:2', name: 'Other', tables: PUBLISHED })).id).toBe('mix:1')
    expect(jobSchema.safeParse(once).success).toBe(true)
    const gone = after(once, { type: 'part/remove', jobId: once.id, materialId: 'mix:1' })
    expect(gone.mixes).toEqual([])
    const job = nested()
    const deep = good(
      innerMixOf(recipeOf(job), NO_LIME, { id: 'mix:deep', name: 'Deep', origin: inner().origin }, PUBLISHED),
    )
    expect(
      materialIdsOf({ parts: [{ materialId: 'mix:deep', twelfths: 12 }], mixes: [deep] }).sort(),
    ).toEqual(['compost_green', 'peat_medium', 'perlite_coarse'])
    const [a, b] = [
      good(evaluateJob(job, undefined, PUBLISHED)),
      good(evaluateJob({ ...job, ...recipeOfMix(deep) }, undefined, PUBLISHED)),
    ]
    expect(b.mix.airFilledPorosity).toBeCloseTo(a.mix.airFilledPorosity, 3)
    expect(b.lime.pH).toBeCloseTo(a.lime.pH, 2)
  })
  test('taken from another job it keeps the lime of the mix inside it beside its own', () => {
    const other: Job = { ...nested(), lime: { ...peppers().lime, mode: 'toTarget', target: 6.6 } }
    const from = { id: 'x', kind: 'job' as const, name: '', job: other, recipe: recipeOf(other) }
    const part = good(
      asPart({ ...from, corners: [], problem: null }, peppers(), {
        id: 'mix:x',
        name: 'X',
        tables: PUBLISHED,
      }),
    )
    expect(
      good(evaluateJob({ ...peppers(), ...recipeOfMix(part) }, undefined, PUBLISHED)).lime.pH,
    ).toBeCloseTo(6.6, 1)
  })
  test('what cannot be worked out says so', () => {
    const odd = { ...nested(), mixes: [{ ...inner(), parts: [{ materialId: 'moon_dust', twelfths: 12 }] }] }
    expect(evaluateJob(odd, undefined, PUBLISHED)).toMatchObject({
      ok: false,
      problem: { code: 'unknown-material' },
    })
    const lost = { ...nested(), mixes: [] }
    expect(evaluateJob(lost, undefined, PUBLISHED)).toMatchObject({
      ok: false,
      problem: { code: 'unknown-material' },
    })
    expect(mixCost(garden(), lost).perLitre).toBeNull()
    expect(flattenRecipe([{ kind: 'mix', mix: 'mix:base', parts: 1 }], new Map())).toMatchObject({
      ok: false,
    })
  })
})

describe('a bag by its label', () => {
  const bag = (change: Partial<Bag> = {}): Bag => ({
    id: 'b',
    name: 'Potting mix',
    createdAt: '2026-11-25T08:00:00.000Z',
    litres: 50,
    price: 9,
    ingredients: [
      { materialId: 'peat_medium', share: 0.6 },
      { materialId: 'pine_bark_fine', share: null },
      { materialId: 'perlite_medium', share: null },
    ],
    pH: 6,
    feed: { dressingId: 'crf_3_4', gramsPerLitre: 2 },
    ...change,
  })
  test('comes to the pH on it, holds the shares on it, and costs what is on it', () => {
    const { mix, corners } = good(describeBag(bag(), 'mix:b', PUBLISHED))
    const total = mix.parts.reduce((s, p) => s + p.twelfths, 0)
    expect(mix.parts.map((p) => p.twelfths / total)).toEqual([0.6, 0.3, 0.1].map((s) => expect.closeTo(s, 3)))
    expect(corners).toHaveLength(2)
    const job: Job = { ...peppers(), ...recipeOfMix(mix) }
    expect(good(evaluateJob(job, undefined, PUBLISHED)).lime.pH).toBeCloseTo(6, 2)
    for (const corner of corners)
      expect(
        good(evaluateJob({ ...peppers(), ...recipeOfMix(corner) }, undefined, PUBLISHED)).lime.pH,
      ).toBeCloseTo(6, 2)
    expect(mixCost(garden(), recipeOfMix(mix)).perLitre).toBeCloseTo(9 / 50, 9)
  })
  test('beside another mix it says between what its label leaves it', () => {
    const { mix, corners } = good(describeBag(bag(), 'mix:b', PUBLISHED))
    const rows = differences(
      compare(garden(), peppers(), place(), [
        { id: 'bench', name: 'bench', recipe: recipeOf(peppers()), corners: [] },
        { id: 'bag', name: 'bag', recipe: recipeOfMix(mix), corners: corners.map(recipeOfMix) },
      ]),
    )
    const weight = rows.find((r) => r.key === 'weight')!
    expect(weight.open[0]).toBeNull()
    expect(weight.open[1]!.low).toBeLessThan(weight.values[1]!)
    expect(weight.open[1]!.high).toBeGreaterThan(weight.values[1]!)
    expect(rows.find((r) => r.key === 'pH')!.open[1]).toBeNull()
    expect(rows.find((r) => r.key === 'cost')!.open[1]).toBeNull()
  })
  test('what is wrong with it is said, with the field it belongs to', () => {
    const code = (change: Partial<Bag>) => {
      const found = describeBag(bag(change), 'mix:b', PUBLISHED)
      return found.ok ? 'fine' : found.problem
    }
    expect(code({ litres: 0 })).toMatchObject({ code: 'size-not-positive', field: 'bagLitres' })
    expect(code({ litres: 1e6 })).toMatchObject({ code: 'size-too-large', field: 'bagLitres' })
    expect(code({ price: -1 })).toMatchObject({ code: 'amount-negative', field: 'bagPrice' })
    expect(code({ pH: 11 })).toMatchObject({ code: 'pH-out-of-range' })
    expect(code({ feed: { dressingId: 'crf_3_4', gramsPerLitre: -2 } })).toMatchObject({ field: 'crf_3_4' })
    expect(code({ ingredients: [] })).toMatchObject({ code: 'no-parts' })
    expect(code({ ingredients: [{ materialId: 'peat_medium', share: 0.5 }] })).toMatchObject({
      code: 'shares-do-not-add-up',
    })
    // More acid than its ingredients: taken as they are, and said.
    const found = describeBag(bag({ pH: 4, feed: null }), 'mix:b', PUBLISHED)
    expect(found.ok && found.notes.map((n) => n.code)).toEqual(['target-already-passed'])
    expect(code({ price: null, pH: null, feed: null })).toBe('fine')
  })
})
