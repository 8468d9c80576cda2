import { Unzlib, zlibSync } from 'fflate'
import { oneLine } from '@/model/plainText'
import { once } from '@/core/testing/once'
import { draws, isLong } from '@/core/testing/draws'
import { PUBLISHED } from '@/core/data'
import { findMixes, lookAt } from './findMixes'
import type { Evaluation } from '@/core/evaluate'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { quantitiesOf } from '@/model/make/quantities'
import { judgementsOf, type PreparedMix, evaluatePrepared, AT_REST } from '@/model/mix/prepare'
import { versionOf, isUnkept, recipeOf, sameRecipe } from '@/model/mix/versions'
import { burdenOf } from '@/core/appraisal'
import { appraisalOf } from '../mix/appraisal'
import { bringsFault, judgementKey, standingOf } from '@/core/judgement'
import { finderProblem, waterByDays } from './finderProblem'
import { evaluateJob, prepareJob } from '@/model/mix/evaluateJob'
import { afterFinding, movesAtOnce, movesRequest } from './nextMoves'
import { type Source, materialsFrom, finderShelf } from './materialsFrom'
import { doseTotals } from '@/model/make/doseTotals'
import fc from 'fast-check'
import { plantingDay } from '@/model/calendar/plantingDay'
import { describe, expect, test, vi } from 'vitest'
import { MATERIALS } from '@/core/data'
import {
  complexityOf,
  distinctKinds,
  keyOf,
  rankFound,
  searchAtOnce,
  shareDone,
  type Candidate,
  type Found,
} from '@/core/finder'
import { rangesAtOnce } from '@/core/ranges'
import { demoGarden } from '@/demo/demoGarden'
import { startingSpec } from '@/model/garden/starting'
import { batchCards } from '@/model/make/batchCard'
import { changesOf, type Command } from '@/model/garden/commands'
import { compare, differences, type Rival } from '@/model/mix/compare'
import { mixCost } from '@/model/mix/cost'
import { doseOffers, limeOffer } from '@/model/mix/doses'
import { fillingCards } from '@/model/make/filling'
import { jobKey, jobOf, liveJob, placeOf } from '@/model/garden/garden'
import {
  jobSchema,
  type DressingLine,
  type InnerMix,
  type Job,
  type MixOrigin,
  type Part,
} from '@/model/garden/schemas'
import { seasonPlan } from '@/model/season/season'
import { readFragment, readShared, shareFile, shareFragment, sharedRecipe } from '@/model/mix/share'
import { STARTERS, starterRecipe } from '@/model/mix/starterMixes'

const garden = once(() => demoGarden())
const place = once(() => placeOf(garden()))
const jobNamed = (id: string) => liveJob(garden(), jobOf(garden(), id)!)
const leeks = once(() => jobNamed('leeks'))
/** The demo's peppers before they are fed. */
const peppers = once<Job>(() => ({ ...jobNamed('peppers-27'), dressings: [] }))
const good = <T>(o: { ok: true; value: T } | { ok: false; problem: { code: string } }): T => {
  if (!o.ok) throw new Error(o.problem.code)
  return o.value
}
const after = (job: Job, command: Command): Job => {
  const change = changesOf(new Map([[jobKey(job.id), job]]), command).find((c) => c.key === jobKey(job.id))
  return (change?.after as Job | undefined) ?? job
}
const moves = (job: Job, source: Source, most: number) =>
  good(
    movesAtOnce(good(movesRequest(garden(), job, questionOfJob(job, place(), PUBLISHED), { source, most }))),
  )
/** A job prepared, and its answer with the later years. */
const atRest = (job: Job): [PreparedMix, Evaluation] => {
  const prepared = good(prepareJob(job, place(), PUBLISHED))
  return [prepared, good(evaluatePrepared(prepared, AT_REST))]
}
/** A job held to another band of pH. */
const within = (job: Job, pH: { low: number; high: number }): Job => ({ ...job, bands: { ...job.bands, pH } })
const feed = (dressingId: string, more: Partial<DressingLine> = {}): DressingLine => ({
  id: dressingId,
  dressingId,
  gramsPerLitre: 2,
  place: { kind: 'throughout' },
  share: 1,
  ...more,
})

describe('next moves and the finder, from a job', () => {
  test('draw on the shelf and the mix, or on everything that is meant for such a container', () => {
    const shelf = materialsFrom(garden(), leeks(), 'shelf')
    expect(shelf).toContain('vermiculite_medium') // in the mix, not on the shelf
    expect(shelf).toContain('pumice')
    expect(shelf).not.toContain('scoria')
    const all = materialsFrom(garden(), leeks(), 'all')
    // A pot of less than 60 L: no soil but what is in it already, nothing that is mulch or a layer.
    expect(all).toContain('perlite_coarse')
    for (const id of ['gravel_pea', 'bark_mulch_shredded', 'soil_clay_loam', 'potting_mix_bagged'])
      expect(all).not.toContain(id)
    for (const { materialId } of leeks().parts) expect(all).toContain(materialId)
  })
  test('a move taken is worth what it said, and brings no new fault', () => {
    const { standing, moves: best } = moves(leeks(), 'shelf', 5)
    expect(standing.warnings.map((j) => j.code)).toContain('too-little-air')
    expect(best.length).toBeGreaterThan(2)
    for (const move of best) {
      const [prepared, there] = atRest({ ...leeks(), ...move.recipe })
      expect(there.mix.airFilledPorosity).toBeCloseTo(move.after.air, 9)
      expect(there.lime.pH).toBeCloseTo(move.after.pH, 9)
      const { growing, salts, weights } = there
      expect(move.after.salts).toBeCloseTo(salts.most.saturatedExtract, 9)
      expect(move.after.weight).toBeCloseTo(weights.drained, 9)
      expect(move.after.fed).toBeCloseTo(growing!.feeding.fed, 9)
      // Days between waterings in the thirstiest month, which comes soonest of all.
      expect(move.after.days).toBeCloseTo(growing!.watering[growing!.thirstiestMonth! - 1]!.days.value, 9)
      const judged = judgementsOf(prepared, there)
      const now = standingOf(there, { bands: prepared.bands, perennial: false }, judged)
      expect(move.gain).toBeCloseTo(standing.faults - now.faults, 9)
      expect(move.gain).toBeGreaterThan(0.4)
      expect(bringsFault(standing, now)).toBe(false)
      const said = appraisalOf(prepared, there, judged).filter((f) => f.severity !== 'note')
      for (const { topic, gone } of move.mends)
        if (gone) expect(said.map((f) => f.topic)).not.toContain(topic)
      expect(move.mends.length).toBeGreaterThan(0)
    }
  })
  /** Peat with nothing in it that has lime of its own. */
  const acid = (): Job => ({
    ...peppers(),
    parts: [
      { materialId: 'peat_medium', twelfths: 48 },
      { materialId: 'perlite_coarse', twelfths: 24 },
    ],
  })
  test('too much lime is answered with less, too little with more', () => {
    const limed = (gramsPerLitre: number) =>
      moves({ ...acid(), lime: { ...peppers().lime, mode: 'fixed', gramsPerLitre } }, 'shelf', 12).moves.find(
        (m) => m.change.kind === 'lime',
      )
    const less = limed(20)!
    expect(less.change).toMatchObject({ kind: 'lime', from: 20 })
    expect(less.change.kind === 'lime' && less.change.to).toBeLessThanOrEqual(10)
    expect(less.after.pH).toBeLessThan(less.before.pH)
    const more = limed(0)!
    expect(more.change.kind === 'lime' && more.change.to).toBeGreaterThan(0.5)
  })
  test('a windy roof is answered with weight', () => {
    const light = {
      ...jobNamed('fig'),
      parts: [
        { materialId: 'peat_medium', twelfths: 24 },
        { materialId: 'perlite_coarse', twelfths: 24 },
      ],
    }
    const windy = { ...place()!, wind: 'exposed' as const }
    const { standing, moves: found } = good(
      movesAtOnce(
        good(
          movesRequest(garden(), light, questionOfJob(light, windy, PUBLISHED), { source: 'all', most: 12 }),
        ),
      ),
    )
    expect(standing.warnings.map((j) => j.code)).toContain('tips-in-wind')
    expect(Math.max(...found.map((m) => m.after.wind ?? 0))).toBeGreaterThan(found[0]!.before.wind! + 1)
  })
  test('nothing to mend is said only where nothing is, and then only what saves a tenth is offered', () => {
    for (const job of [leeks(), peppers(), jobNamed('fig'), jobNamed('herbs-26')]) {
      const { standing, moves: found } = moves(job, 'all', 12)
      const [prepared, e] = atRest(job)
      const judged = judgementsOf(prepared, e).filter(
        (j) => j.level !== 'note' && !job.dismissed.some((d) => d.code === judgementKey(j)),
      )
      if (standing.faults === 0) {
        expect(judged).toEqual([])
        for (const m of found) expect(m.after.cost).toBeLessThan(0.9 * m.before.cost)
      }
      for (const m of found) expect(m.gain).toBeGreaterThanOrEqual(standing.faults > 0 ? 0.5 : 0)
    }
  })
  test('what a move leaves stays in its place, what comes in comes last', () => {
    const move = moves(leeks(), 'all', 5).moves.find((m) => m.change.kind === 'swap')!
    const ids = move.recipe.parts.map((p) => p.materialId)
    const before = leeks()
      .parts.map((p) => p.materialId)
      .filter((id) => ids.includes(id))
    expect(ids.slice(0, before.length)).toEqual(before)
  })
  test('what the finder has for a job meets its bands when evaluated in full', () => {
    const problem = good(
      finderProblem(questionOfJob(leeks(), place(), PUBLISHED), good(finderShelf(garden(), leeks(), 'all')), {
        rules: { maxMaterials: 2 },
        volume: 80,
        easyWater: null,
      }),
    )
    const best = good(searchAtOnce(problem)).families[0]!
    expect(best.score).toBeLessThan(0.05)
    const recipe = afterFinding(leeks(), best)
    const there = good(evaluateJob({ ...leeks(), ...recipe }, place(), PUBLISHED))
    const { low, high } = problem.targets.airFilledPorosity!
    expect(there.mix.airFilledPorosity).toBeGreaterThan(low - 0.01)
    expect(there.mix.airFilledPorosity).toBeLessThan(high + 0.01)
    expect(recipe.lime.mode).toBe('toTarget')
  })
  test('a mix that blows over has more said against it where wind is, and ten to one is odder than two to one', () => {
    // A tall grower in a tub of the fig's: heavy soil holds it where peat and perlite do not.
    const tub = { ...jobNamed('fig'), companionIds: [] }
    const problem = finderProblem(
      questionOfJob(tub, place(), PUBLISHED),
      good(finderShelf(garden(), tub, 'shelf')).filter(({ material: m }) =>
        ['peat_medium', 'perlite_coarse', 'soil_loam', 'pumice'].includes(m.material.id),
      ),
      {
        rules: { maxMaterials: 2 },
        volume: 80,
        easyWater: null,
      },
    )
    const any = good(searchAtOnce(good(problem))).families[0]!
    const found = (...parts: [id: string, parts: number][]) => ({
      ...any,
      parts: parts.map(([id, n]) => ({ id, parts: n })),
    })
    const light = found(['peat_medium', 2], ['perlite_coarse', 2])
    const heavy = found(['soil_loam', 3], ['pumice', 1])
    const inWind = (wind: 'sheltered' | 'exposed') => ({ ...place()!, wind })
    const concernsOf = (c: typeof light, wind: 'sheltered' | 'exposed') =>
      lookAt(questionOfJob({ ...tub, ...afterFinding(tub, c) }, inWind(wind), PUBLISHED), c)!.findings
    const codes = (c: typeof light, wind: 'sheltered' | 'exposed') => concernsOf(c, wind).map((f) => f.topic)
    expect(codes(light, 'exposed')).toContain('tips-in-wind')
    expect(codes(light, 'sheltered')).not.toContain('tips-in-wind')
    expect(codes(heavy, 'exposed')).not.toContain('tips-in-wind')
    expect(burdenOf(concernsOf(light, 'exposed'))).toBe(burdenOf(concernsOf(light, 'sheltered')) + 1)
    const plain = complexityOf(found(['peat_medium', 2], ['perlite_coarse', 1]), PUBLISHED)
    expect(complexityOf(found(['peat_medium', 1], ['perlite_coarse', 10]), PUBLISHED)).toBeGreaterThan(plain)
  })
  test('the bar of a search never goes back, and is full only when all of the best are judged', () => {
    const shelf = good(finderShelf(garden(), leeks(), 'shelf'))
    const question = questionOfJob(leeks(), place(), PUBLISHED)
    const problem = good(
      finderProblem(question, shelf, { rules: { maxParts: 4 }, volume: null, easyWater: null }),
    )
    const shares: number[] = []
    const run = findMixes({ problem, question, looks: 3, chances: 1 })
    let step = run.next()
    for (; !step.done; step = run.next()) shares.push(shareDone(step.value))
    expect(shares).toEqual(shares.toSorted((a, b) => a - b))
    // Four are judged: three looked at, one given its chance. The last of them fills it.
    expect(shares.filter((x) => x > 0.5)).toEqual([0.625, 0.75, 0.875, 1])
  })
  test('the finder takes its targets from the bands of the question; in the ground more air or water is no fault', () => {
    const targets = (job: Job, easyWater: number | null = null) => {
      const question = questionOfJob(job, place(), PUBLISHED)
      const shelf = good(finderShelf(garden(), job, 'all'))
      return { ...good(finderProblem(question, shelf, { rules: {}, volume: null, easyWater })), question }
    }
    const { bands } = good(prepareJob(leeks(), place(), PUBLISHED))
    const pot = targets(leeks()).targets
    expect(pot.airFilledPorosity).toEqual(bands.airFilledPorosity)
    expect(pot.pH).toEqual(bands.pH)
    expect(pot.easilyAvailableWater).toEqual(bands.easilyAvailableWater)
    expect(pot.electricalConductivity).toEqual(bands.electricalConductivity)
    expect([pot.drainedToEasy, pot.structureLost]).toEqual([undefined, undefined])
    // Days without a can are a rule of their own.
    expect(targets(leeks(), 0.2).targets.drainedToEasy).toEqual({ low: 0.2, high: 1 })
    // What stays for years may lose a quarter of its solids in two.
    expect(targets(jobNamed('fig')).targets.structureLost).toEqual({ low: 0, high: 0.25 })
    const bed = {
      ...leeks(),
      fills: [{ ...leeks().fills[0]!, bedId: null, spec: startingSpec('raisedBed') }],
    }
    const soil = { ...bed, judgedIn: bed.fills[0]!.id }
    const ground = good(prepareJob(soil, place(), PUBLISHED)).bands
    expect(ground.plantAvailableWater).toBeDefined()
    const open = targets(soil, 0.3).targets
    expect(open.airFilledPorosity).toEqual({ ...ground.airFilledPorosity, high: 1 })
    expect(open.easilyAvailableWater).toEqual({
      ...ground.plantAvailableWater,
      low: Math.max(ground.plantAvailableWater!.low, 0.3),
      high: 1,
    })
    expect(open.drainedToEasy).toBeUndefined()
  })
  test('nothing to mix from is said, not searched', () => {
    const question = questionOfJob(leeks(), place(), PUBLISHED)
    const shelf = good(finderShelf(garden(), leeks(), 'shelf'))
    const problem = good(
      finderProblem(question, shelf, { rules: { maxParts: 4 }, volume: null, easyWater: null }),
    )
    const run = findMixes({ problem: { ...problem, shelf: [] }, question })
    expect(run.next()).toMatchObject({ done: true, value: { ok: false } })
  })
  test('while the best are judged, those judged so far are there in order, and stay among what is found', () => {
    const shelf = good(finderShelf(garden(), leeks(), 'shelf'))
    const question = questionOfJob(leeks(), place(), PUBLISHED)
    const asked = { rules: { maxParts: 4 }, volume: null, easyWater: null }
    const problem = good(finderProblem(question, shelf, asked))
    const lists: Found[][] = []
    const run = findMixes({ problem, question, looks: 12, chances: 0 })
    let step = run.next()
    for (; !step.done; step = run.next()) if (step.value.found) lists.push(step.value.found)
    // From eight on with every fourth.
    expect(lists.map((l) => l.length)).toEqual([8, 12])
    const all = new Set(good(step.value).found.map((f) => keyOf(f.candidate)))
    for (const list of lists) {
      expect(list).toEqual(rankFound(list))
      for (const { candidate } of list) expect(all.has(keyOf(candidate))).toBe(true)
    }
  })
  test.runIf(isLong)(
    'the chance of a recipe found is the one the bench shows for it, and counts whole lots',
    () => {
      const look = lookAt(questionOfJob(leeks(), place(), PUBLISHED), {
        parts: leeks().parts.map((p) => ({ id: p.materialId, parts: p.twelfths })),
      })!
      const { input, bands } = atRest(leeks())[0]
      const onBench = good(rangesAtOnce({ input, bands, years: [] }))
      expect(onBench.draws).toBe(500)
      expect(look.chance).toBe(onBench.chance)
      expect(look.chance).toBeLessThan(0.2) // five per cent of air, where a pot so low wants seven
      const easy = { ...bands, airFilledPorosity: { low: 0, high: 1 }, pH: { low: 0, high: 14 } }
      const all = {
        ...easy,
        easilyAvailableWater: null,
        electricalConductivity: null,
        daysBetweenWaterings: null,
      }
      expect(good(rangesAtOnce({ input, bands: all, draws: 20, years: [] })).chance).toBe(1)
      expect(good(rangesAtOnce({ input, draws: 20, years: [] })).chance).toBeNull()
    },
  )
  test('fine and medium peat are one kind: a second of a kind only where it is much cheaper', () => {
    const any = (id: string, costPerLitre: number) =>
      ({
        parts: [
          { id, parts: 2 },
          { id: 'perlite_coarse', parts: 1 },
        ],
        misses: {},
        score: 0,
        figures: { costPerLitre },
      }) as unknown as Candidate
    const ids = (list: Candidate[]) => list.map((c) => c.parts[0]!.id)
    expect(ids(distinctKinds([any('peat_medium', 0.2), any('peat_fine', 0.19)], PUBLISHED))).toEqual([
      'peat_medium',
    ])
    expect(ids(distinctKinds([any('peat_medium', 0.2), any('peat_fine', 0.15)], PUBLISHED))).toHaveLength(2)
    expect(ids(distinctKinds([any('peat_medium', 0.2), any('coir_pith', 0.2)], PUBLISHED))).toHaveLength(2)
  })
  test('to water less often it has to hold more: twice the days, about twice the water', () => {
    const e = good(evaluateJob(peppers(), place(), PUBLISHED))
    const needed = waterByDays(peppers(), place(), PUBLISHED)!
    const [one, two] = [needed(1), needed(2)]
    expect(two).toBeGreaterThan(one)
    const now = e.growing!.watering[e.growing!.thirstiestMonth! - 1]!.days.value
    expect(Math.abs(needed(now) - e.mix.drainedToEasy)).toBeLessThan(0.05)
    expect(waterByDays({ ...peppers(), cropId: null }, place(), PUBLISHED)).toBeNull()
  })
})

describe('versions', () => {
  const kept = once(() =>
    after(peppers(), {
      type: 'version/keep',
      jobId: peppers().id,
      version: versionOf(peppers(), 'v1', '2026-11-25T08:00:00.000Z', 'First'),
    }),
  )
  test('are kept, gone on from, and never lose what is on the bench', () => {
    expect(isUnkept(peppers())).toBe(true)
    expect(isUnkept(kept())).toBe(false)
    expect(kept().versionId).toBe('v1')
    const changed = after(kept(), {
      type: 'part/change',
      jobId: kept().id,
      materialId: 'perlite_coarse',
      by: 12,
    })
    expect(isUnkept(changed)).toBe(true)
    const back = after(changed, {
      type: 'recipe/replace',
      jobId: kept().id,
      recipe: recipeOf(kept().versions[0]!),
      what: 'back',
      keep: versionOf(changed, 'v2', '2026-11-25T09:00:00.000Z', 'Before'),
      versionId: 'v1',
    })
    expect(sameRecipe(back, peppers())).toBe(true)
    expect(back.versions.map((v) => [v.id, v.from])).toEqual([
      ['v1', null],
      ['v2', 'v1'],
    ])
    expect(sameRecipe(back.versions[1]!, changed)).toBe(true)
    expect(jobSchema.safeParse(back).success).toBe(true)
    const less = after(back, { type: 'version/remove', jobId: back.id, versionId: 'v1' })
    expect(less.versions.map((v) => [v.id, v.from])).toEqual([['v2', null]])
    expect(less.versionId).toBeNull()
    const named = after(back, {
      type: 'version/edit',
      jobId: back.id,
      versionId: 'v2',
      change: { note: 'too wet' },
    })
    expect(named.versions[1]!.note).toBe('too wet')
  })
  test('neither long names nor many versions make a job that could not be read back', () => {
    const long = versionOf(
      peppers(),
      'v',
      '2026-11-25T08:00:00.000Z',
      `Before going on from “${'x'.repeat(120)}”`,
    )
    expect(long.name).toHaveLength(120)
    const full = { ...peppers(), versions: Array.from({ length: 200 }, (_, i) => ({ ...long, id: `v${i}` })) }
    const more = after(full, { type: 'version/keep', jobId: peppers().id, version: { ...long, id: 'last' } })
    expect(more.versions).toHaveLength(200)
    expect(more.versions.at(-1)!.id).toBe('last')
    const many = Array.from({ length: 25 }, (_, i) => feed(`d${i}`)).reduce(
      (j, line) => after(j, { type: 'dressing/set', jobId: j.id, line }),
      more,
    )
    expect(many.dressings).toHaveLength(20)
    const stuffed = MATERIALS.reduce(
      (j, m) => after(j, { type: 'part/add', jobId: j.id, materialId: m.id, twelfths: 12 }),
      many,
    )
    expect(stuffed.parts).toHaveLength(40)
    expect(jobSchema.safeParse(stuffed).success).toBe(true)
    expect(jobSchema.safeParse(many).success).toBe(true)
  })
  test('what a mix costs is the same on the bench, in the finder and side by side', () => {
    const { perLitre, missing } = mixCost(garden(), peppers())
    expect(missing).toEqual([])
    const beside = compare(garden(), peppers(), place(), [
      { id: 'a', name: 'a', recipe: recipeOf(peppers()), corners: [] },
    ])
    expect(beside[0]!.costPerLitre).toBeCloseTo(perLitre!, 9)
    expect(moves(leeks(), 'shelf', 1).moves[0]!.before.cost).toBeNaN() // one part without a price
  })
  test('a warning is answered with a reason and can be asked for again', () => {
    const answered = after(leeks(), {
      type: 'warning/answer',
      jobId: leeks().id,
      code: 'foot-drowned',
      reason: 'on sand',
    })
    expect(answered.dismissed).toEqual([{ code: 'foot-drowned', reason: 'on sand' }])
    expect(
      after(answered, { type: 'warning/answer', jobId: leeks().id, code: 'foot-drowned', reason: null })
        .dismissed,
    ).toEqual([])
    const codes = judgementsOf(...atRest(leeks())).map((j) => j.code)
    expect(codes).toContain('too-little-air')
    expect(codes).not.toContain('tips-in-wind')
  })
})

describe('dressings', () => {
  const dressed = (lines: DressingLine[]) =>
    lines.reduce((j, line) => after(j, { type: 'dressing/set', jobId: j.id, line }), peppers())
  test('change salts and feed, and go with every batch by weight', () => {
    const plain = good(evaluateJob(peppers(), place(), PUBLISHED))
    const j = dressed([feed('crf_5_6', { gramsPerLitre: 4 })])
    const fed = good(evaluateJob(j, place(), PUBLISHED))
    expect(fed.growing!.feeding.met.nitrogen).toBeGreaterThan(plain.growing!.feeding.met.nitrogen)
    const q = good(quantitiesOf(j, prepareJob(j, undefined, PUBLISHED)))
    const lines = batchCards(j, q).flatMap((c) => c.lines.filter((l) => l.id === 'crf_5_6'))
    expect(lines).toHaveLength(q.plan.batches.length)
    const grams = lines.reduce((s, l) => s + (l.kind === 'dose' ? l.grams : 0), 0)
    expect(grams).toBeCloseTo(4 * q.plan.blendLitres, 6)
    expect(doseTotals(j, q).find((d) => d.id === 'crf_5_6')!.grams).toBeCloseTo(grams, 6)
  })
  test('lime is offered to a mix that is too acid and given none, as much as brings it there', () => {
    const peat = [
      { materialId: 'peat_medium', twelfths: 48 },
      { materialId: 'perlite_coarse', twelfths: 24 },
    ]
    const bare = { ...peppers(), parts: peat, lime: { ...peppers().lime, mode: 'none' as const } }
    const offer = limeOffer(...atRest(bare))!
    expect(offer.target).toBe(6.2)
    const limed = {
      ...bare,
      lime: { ...bare.lime, mode: 'fixed' as const, gramsPerLitre: offer.gramsPerLitre },
    }
    expect(good(evaluateJob(limed, place(), PUBLISHED)).lime.pH).toBeCloseTo(6.2, 2)
    expect(limeOffer(...atRest(limed))).toBeNull()
    expect(limeOffer(...atRest(within(bare, { low: 4, high: 5 })))).toBeNull()
  })
  test('are offered for what is lacking, and the lack is gone when they are taken', () => {
    const [prepared, e] = atRest(peppers())
    const offers = doseOffers(prepared, e)
    expect(offers.map((o) => o.line.dressingId)).toEqual(['crf_3_4', 'hoof_horn'])
    const fed = atRest(dressed([offers[0]!.line]))[1]
    expect(fed.growing!.feeding.met.nitrogen).toBeGreaterThan(e.growing!.feeding.met.nitrogen + 0.1)
    expect(doseOffers(atRest(dressed([offers[0]!.line]))[0], e).map((o) => o.line.dressingId)).toEqual([
      'hoof_horn',
    ])
    // Too sweet and no lime in it: sulfur, never more than is usually given.
    const sweet = { ...peppers(), lime: { ...peppers().lime, mode: 'none' as const } }
    const sour = doseOffers(...atRest(within(sweet, { low: 4, high: 4.6 }))).find(
      (o) => o.why.code === 'acid',
    )!
    expect(sour.line.gramsPerLitre).toBeGreaterThan(0.1)
    expect(sour.line.gramsPerLitre).toBeLessThanOrEqual(1)
  })
  test('for half of the mix go into half of the batches', () => {
    const j = dressed([feed('bone_meal', { share: 0.5 })])
    const q = good(quantitiesOf(j, prepareJob(j, undefined, PUBLISHED)))
    const with_ = batchCards(j, q).filter((c) => c.lines.some((l) => l.id === 'bone_meal'))
    expect(with_).toHaveLength(Math.max(1, Math.round(q.plan.batches.length / 2)))
  })
  test('for the top go on at filling, held back come up in the season, neither in a batch', () => {
    const j = {
      ...dressed([
        feed('bone_meal', { place: { kind: 'top', depth: 10 } }),
        feed('blood_meal', { place: { kind: 'heldBack', from: 30 } }),
      ]),
      plantedOn: '2027-05-20',
    }
    const q = good(quantitiesOf(j, prepareJob(j, undefined, PUBLISHED)))
    expect(
      batchCards(j, q)
        .flatMap((c) => c.lines)
        .some((l) => l.id.endsWith('_meal')),
    ).toBe(false)
    const step = fillingCards(j, q)[0]!.steps.find((s) => s.do.code === 'dress')!.do
    expect(step).toMatchObject({ dressingId: 'bone_meal', depth: 10 })
    // A bag of 38 cm with a little bulge: 10 cm of it hold 11 to 13 L, at 2 g each.
    expect(step.code === 'dress' && step.grams).toBeGreaterThan(22)
    expect(step.code === 'dress' && step.grams).toBeLessThan(26)
    const due = seasonPlan(
      j,
      { mixOn: null, planted: plantingDay(j, place(), '2027-05-01') },
      null,
      place(),
    ).due.find((d) => d.code === 'dress')!
    expect(due).toMatchObject({ dressingId: 'blood_meal', on: '2027-06-19' })
    const places = doseTotals(j, q)
      .filter((d) => !d.isLime)
      .map((d) => d.place.kind)
    expect(places).toEqual(['top', 'heldBack'])
  })
  test('that are unknown or negative are named; too much is worked out', () => {
    expect(evaluateJob(dressed([feed('pixie_dust')]), undefined, PUBLISHED)).toMatchObject({
      ok: false,
      problem: { code: 'unknown-dressing' },
    })
    expect(
      evaluateJob(dressed([feed('bone_meal', { gramsPerLitre: -1 })]), undefined, PUBLISHED),
    ).toMatchObject({
      ok: false,
      problem: { code: 'amount-negative' },
    })
    expect(
      evaluateJob(dressed([feed('bone_meal', { gramsPerLitre: 500 })]), undefined, PUBLISHED),
    ).toMatchObject({ ok: true })
  })
})

describe('a recipe shared', () => {
  const recipes = once(() =>
    fc.record({
      parts: fc.array(
        fc.record({
          materialId: fc.constantFrom(...MATERIALS.map((m) => m.id)),
          twelfths: fc.integer({ min: 1, max: 12_000 }),
        }),
        { minLength: 1, maxLength: 12 },
      ),
      mixes: fc.array(
        fc.record({
          id: fc.uuid().map((id) => `mix:${id}`),
          name: fc.string({ maxLength: 40 }),
          parts: fc.constant<Part[]>([{ materialId: 'peat_medium', twelfths: 24 }]),
          lime: fc.record({
            gramsPerLitre: fc.double({ min: 0, max: 9, noNaN: true }),
            dolomiteShare: fc.constant(1),
          }),
          dressings: fc.constant<InnerMix['dressings']>([{ dressingId: 'bone_meal', gramsPerLitre: 1 }]),
          origin: fc.constantFrom<MixOrigin>({ kind: 'made' }, { kind: 'bag', litres: 50, price: null }),
        }),
        { maxLength: 2 },
      ),
      lime: fc.record({
        mode: fc.constantFrom('toTarget' as const, 'fixed' as const, 'none' as const),
        target: fc.double({ min: 4, max: 8, noNaN: true }),
        gramsPerLitre: fc.double({ min: 0, max: 20, noNaN: true }),
        dolomiteShare: fc.constantFrom(0, 0.5, 1),
        limeId: fc.constantFrom('lime_calcitic', 'oyster_shell'),
      }),
      dressings: fc.array(
        fc.record({
          id: fc.uuid(),
          dressingId: fc.constantFrom('bone_meal', 'crf_3_4'),
          gramsPerLitre: fc.double({ min: 0, max: 9, noNaN: true }),
          place: fc.constant({ kind: 'throughout' as const }),
          share: fc.constant(1),
        }),
        { maxLength: 2 },
      ),
    }),
  )
  test('comes back the same by link and by file, whatever it is called', () => {
    fc.assert(
      fc.property(
        recipes(),
        fc.string({ maxLength: 100, unit: 'grapheme' }).filter((s) => s.length <= 120),
        (recipe, name) => {
          const shared = sharedRecipe(recipe, name, 'a note')
          const link = readFragment(`#${shareFragment(shared)}`)
          const file = readShared(shareFile(shared))
          for (const back of [link, file]) {
            if (!back?.ok) throw new Error(JSON.stringify(back))
            // JSON has no minus zero.
            expect(back.shared).toEqual({ ...JSON.parse(JSON.stringify(shared)), name: oneLine(name) })
          }
        },
      ),
      draws(60),
    )
  })
  test('K15: a small link that holds very much is left as soon as that shows', () => {
    const push = vi.spyOn(Unzlib.prototype, 'push')
    const holding = (megabytes: number) => {
      push.mockClear()
      let letters = ''
      for (const b of zlibSync(new Uint8Array(megabytes * 1e6), { level: 9 }))
        letters += String.fromCharCode(b)
      const link = btoa(letters).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '')
      expect(readFragment(`#mix=${link}`)).toEqual({ ok: false, problem: { code: 'not-readable' } })
      return push.mock.calls.length
    }
    // Deflate packs at most 1,032 to one: 256 bytes are a quarter of a megabyte, so that a megabyte shows within six
    // pushes, however much follows.
    expect(holding(4)).toBeLessThanOrEqual(6)
    expect(holding(16)).toBeLessThanOrEqual(6)
    push.mockRestore()
  })
  test('that is cut short, not ours, newer, empty or broken is reported, not taken', () => {
    const whole = shareFragment(sharedRecipe(recipeOf(peppers()), 'x', ''))
    expect(whole.length).toBeLessThan(900)
    expect(readFragment(`#${whole.slice(0, -9)}`)).toEqual({ ok: false, problem: { code: 'not-readable' } })
    expect(readFragment('#mix=%%%')).toEqual({ ok: false, problem: { code: 'not-readable' } })
    expect(readFragment('#top')).toBeNull()
    expect(readShared('[]')).toMatchObject({ ok: false, problem: { code: 'not-a-recipe' } })
    const file = sharedRecipe(recipeOf(peppers()), 'x', '')
    // Files and links of the first version know no finished mixes among the parts.
    const before = { ...file.recipe, mixes: undefined }
    expect(readShared(JSON.stringify({ ...file, formatVersion: 1, recipe: before }))).toEqual({
      ok: true,
      shared: file,
      unknown: [],
    })
    expect(readShared(JSON.stringify({ ...file, formatVersion: 4 }))).toEqual({
      ok: false,
      problem: { code: 'newer', version: 4 },
    })
    expect(readShared(JSON.stringify({ ...file, recipe: { ...file.recipe, parts: [] } }))).toEqual({
      ok: false,
      problem: { code: 'empty' },
    })
    const odd = readShared(
      JSON.stringify({
        ...file,
        recipe: { ...file.recipe, parts: [{ materialId: 'moon_dust', twelfths: 12 }] },
      }),
    )
    expect(odd).toMatchObject({ ok: true, unknown: ['moon_dust'] })
    const bad = readShared(
      JSON.stringify({
        ...file,
        recipe: { ...file.recipe, parts: [{ materialId: 'pumice', twelfths: 'two' }] },
      }),
    )
    expect(bad).toMatchObject({
      ok: false,
      problem: {
        code: 'not-a-recipe',
        where: 'recipe.parts.0.twelfths',
        misfit: { code: 'no-number' },
      },
    })
  })
})

describe('comparing', () => {
  const rival = (id: string, recipe = recipeOf(peppers())): Rival => ({
    id,
    name: id,
    recipe,
    corners: [],
  })
  test('puts first what differs most, in the same bed and season', () => {
    const rows = differences(
      compare(garden(), peppers(), place(), [
        rival('a'),
        rival('b', starterRecipe(STARTERS.find((s) => s.id === 'stand-fast')!)),
      ]),
    )
    const steps = rows.map((r) => r.steps)
    expect([...steps].sort((a, b) => b - a)).toEqual(steps)
    expect(rows[0]!.key).toBe('weight')
    expect(rows.every((r) => r.values.length === 2)).toBe(true)
  })
  test('a mix against itself differs in nothing', () => {
    const same = compare(garden(), peppers(), place(), [rival('a'), rival('b')])
    expect(differences(same).every((r) => r.steps === 0)).toBe(true)
  })
  test('one that cannot be worked out says so and leaves the others alone', () => {
    const broken = rival('x', { ...recipeOf(peppers()), parts: [{ materialId: 'moon_dust', twelfths: 12 }] })
    const [one, two] = compare(garden(), peppers(), place(), [broken, rival('a')])
    expect(one!.answer.ok).toBe(false)
    expect(two!.answer.ok).toBe(true)
  })
})
