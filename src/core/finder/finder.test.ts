import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CROPS, LIMES, type Band } from '../data'
import { DRESSINGS } from '../data/dressings'
import { evaluate } from '../evaluate'
import type { Container } from '../geometry'
import { blend } from '../mixing'
import { lostStructure } from '../structure'
import { containerProfile } from '../water'
import { anyContainer, anyParts, material } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import {
  candidateCount,
  finish,
  Front,
  gaussLegendre,
  inTheWay,
  singleChanges,
  worthALook,
  search,
  searchAtOnce,
  STEP_OF,
  TARGET_NAMES,
  type Candidate,
  type FinderProblem,
  type Rules,
  type TargetName,
  type FinderTargets,
} from '.'

const container: Container = {
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
  headspace: 3,
  base: { kind: 'drainHoles' },
}
const shelf = (prices: Record<string, number | null>, more: object = {}) =>
  Object.entries(prices).map(([id, pricePerLitre]) => ({
    material: material(id),
    pricePerLitre,
    stock: 0,
    packLitres: 50,
    ...more,
  }))
const SMALL = { peat_medium: 0.12, compost_green: 0.02, perlite_coarse: 0.25, sand_sharp: 0.05 }
const targets: FinderTargets = {
  airFilledPorosity: { low: 0.2, high: 0.25 },
  easilyAvailableWater: { low: 0.2, high: 0.3 },
  pH: { low: 5.8, high: 6.8 },
  electricalConductivity: { low: 0.5, high: 1.2 },
  drainedDensity: { low: 0.6, high: 0.85 },
  structureLost: { low: 0, high: 0.3 },
}
const problem: FinderProblem = {
  container,
  shelf: shelf(SMALL),
  targets,
  rules: { maxParts: 7, maxMaterials: 4 },
}
const found = (p: FinderProblem) => {
  const answer = searchAtOnce(p)
  if (!answer.ok) throw new Error(answer.problem.code)
  return answer.value
}

/**
 * Score of a recipe by the plain functions of the core: no features, no bounds, nothing shared with the finder but
 * the steps.
 */
function plainly(p: FinderProblem, parts: { id: string; parts: number }[]) {
  const mixed = blend(parts.map(({ id, parts: n }) => ({ material: material(id), parts: n })))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  const { totalPorosity, waterAt } = mixed.value
  const profile = containerProfile(p.container, [{ top: 1000, totalPorosity, waterAt }])
  const price = (id: string) => p.shelf.find((s) => s.material.material.id === id)!.pricePerLitre ?? NaN
  const figures: Record<TargetName, number> = {
    airFilledPorosity: profile.airFilledPorosity,
    easilyAvailableWater: profile.easilyAvailableWater,
    drainedToEasy: profile.drainedToEasy,
    pH: mixed.value.pH,
    electricalConductivity: mixed.value.electricalConductivity,
    drainedDensity: mixed.value.dryBulkDensity + profile.containerCapacity,
    structureLost: mixed.value.shares.reduce((s, x) => s + x.share * lostStructure(x.material, 2, 15), 0),
  }
  const miss = (x: number, b: Band) => Math.max(0, b.low - x, x - b.high)
  const score = TARGET_NAMES.reduce((sum, name) => {
    const band = p.targets[name]
    if (!band) return sum
    const liftable = name === 'pH' ? { low: band.low - 3, high: band.high } : band
    return sum + ((p.weights?.[name] ?? 1) * miss(figures[name], liftable)) / STEP_OF[name]
  }, 0)
  const cost =
    mixed.value.shares.reduce((s, x) => s + x.share * price(x.material.id), 0) /
    (1 - mixed.value.blendingLoss)
  return { score, cost, figures }
}
const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a)
/** Every recipe on the grid, by plain counting. */
function* everyRecipe(ids: string[], most: number): Generator<{ id: string; parts: number }[]> {
  const counts = ids.map(() => 0)
  function* at(i: number, left: number): Generator<{ id: string; parts: number }[]> {
    if (i === ids.length) {
      const used = counts.filter((c) => c > 0)
      if (used.length > 0 && used.reduce(gcd) === 1)
        yield ids.flatMap((id, k) => (counts[k]! > 0 ? [{ id, parts: counts[k]! }] : []))
      return
    }
    for (let n = 0; n <= left; n++) {
      counts[i] = n
      yield* at(i + 1, left - n)
    }
    counts[i] = 0
  }
  yield* at(0, most)
}

test('at least so many kinds: two peats are one; equally good ones stand well inside their bands', () => {
  const container: Container = {
    shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 30, height: 25 },
    headspace: 0,
    base: { kind: 'drainHoles' },
  }
  const shelf = ['peat_medium', 'peat_fine', 'perlite_coarse', 'pine_bark_fine', 'coir_pith'].map((id) => ({
    material: material(id),
    pricePerLitre: 0.1,
    stock: 0,
    packLitres: 50,
  }))
  const targets = {
    airFilledPorosity: { low: 0.15, high: 0.35 },
    easilyAvailableWater: { low: 0.15, high: 0.35 },
  }
  const found = searchAtOnce({ container, shelf, targets, rules: { minFamilies: 3, maxParts: 8 } })
  if (!found.ok) throw new Error(found.problem.code)
  expect(found.value.families.length).toBeGreaterThan(0)
  const off = (x: number) => Math.abs(x - 0.25) / 0.1
  for (const c of found.value.families) {
    const kinds = new Set(c.parts.map((p) => material(p.id).material.family))
    expect(kinds.size).toBeGreaterThanOrEqual(3)
    const { airFilledPorosity, easilyAvailableWater } = c.figures
    expect(c.balance).toBeCloseTo((off(airFilledPorosity) + off(easilyAvailableWater)) / 2, 9)
  }
  const even = found.value.families.filter((c) => c.score === 0).map((c) => Math.round(c.balance * 10))
  expect(even.length).toBeGreaterThan(0)
  expect([...even].sort((a, b) => a - b)).toEqual(even)
})

describe('quadrature', () => {
  for (const [i, expected] of [
    [0, 0.9061798459],
    [1, 0.5384693101],
  ] as const)
    outsideCheck({
      module: 'finder',
      what: `node ${i + 1} of Gauss-Legendre quadrature with five points`,
      source: 'Abramowitz & Stegun 1964, table 25.4',
      basis: 'published',
      unit: '1',
      expected,
      tolerance: 5e-11,
      computed: () => 1 - 2 * gaussLegendre(5).nodes[i]!,
    })
  outsideCheck({
    module: 'finder',
    what: 'weight of the middle point of five',
    source: 'Abramowitz & Stegun 1964, table 25.4',
    basis: 'published',
    unit: '1',
    expected: 0.5688888889,
    tolerance: 5e-11,
    computed: () => 2 * gaussLegendre(5).weights[2]!,
  })
  test('twelve points integrate a polynomial of degree 23', () => {
    const { nodes, weights } = gaussLegendre(12)
    expect(nodes.reduce((s, x, i) => s + weights[i]! * x ** 23, 0)).toBeCloseTo(1 / 24, 12)
  })
})

describe('quick figures', () => {
  test('are those of the full evaluation, for any mix in any container', () => {
    fc.assert(
      fc.property(anyContainer, anyParts, (of, list) => {
        const recipe = list.map((p) => ({ id: p.material.material.id, parts: p.parts }))
        const p: FinderProblem = {
          container: of,
          shelf: shelf(Object.fromEntries(recipe.map((r) => [r.id, 0.1]))),
          targets,
        }
        const moves = singleChanges(p, recipe)
        if (!moves.ok) throw new Error(moves.problem.code)
        const { figures } = moves.value
        const plain = plainly(p, recipe)
        // Twelve points of depth against a hundred and twenty slices.
        expect(Math.abs(figures.airFilledPorosity - plain.figures.airFilledPorosity)).toBeLessThan(0.006)
        expect(Math.abs(figures.easilyAvailableWater - plain.figures.easilyAvailableWater)).toBeLessThan(
          0.006,
        )
        expect(Math.abs(figures.drainedDensity - plain.figures.drainedDensity)).toBeLessThan(0.006)
        expect(figures.pH).toBeCloseTo(plain.figures.pH, 9)
        expect(figures.electricalConductivity).toBeCloseTo(plain.figures.electricalConductivity, 6)
        expect(figures.structureLost).toBeCloseTo(plain.figures.structureLost, 9)
        expect(figures.costPerLitre).toBeCloseTo(plain.cost, 6)
      }),
      draws(60),
    )
  })
  test('know side holes and layers below', () => {
    const holes: FinderProblem = {
      ...problem,
      container: { ...container, base: { kind: 'sideHoles', height: 5 } },
    }
    const recipe = [
      { id: 'peat_medium', parts: 2 },
      { id: 'perlite_coarse', parts: 1 },
    ]
    const of = (p: FinderProblem) => {
      const moves = singleChanges(p, recipe)
      if (!moves.ok) throw new Error(moves.problem.code)
      return moves.value.figures
    }
    expect(
      Math.abs(of(holes).airFilledPorosity - plainly(holes, recipe).figures.airFilledPorosity),
    ).toBeLessThan(0.006)
    const lifted = evaluate({
      container,
      parts: recipe.map(({ id, parts: n }) => ({ material: material(id), parts: n })),
      limes: [],
      limeGramsPerLitre: 0,
      bottomLayers: [{ thickness: 5, parts: [{ material: material('gravel_pea'), parts: 1 }] }],
    })
    if (!lifted.ok) throw new Error(lifted.problem.code)
    const base = lifted.value.profile.baseTension
    expect(of({ ...problem, floor: 5, base }).airFilledPorosity).toBeCloseTo(
      lifted.value.mix.airFilledPorosity,
      2,
    )
  })
})

describe('the finder', () => {
  test('told that it is enough, it ends with what it has; every report before was of fewer', () => {
    let reports = 0
    const run = search({ ...problem, rules: { maxParts: 24 } }, () => reports >= 1)
    for (;;) {
      const step = run.next()
      if (!step.done) {
        reports++
        continue
      }
      const { value: early } = step
      if (!early.ok) throw new Error(early.problem.code)
      expect(reports).toBe(1)
      expect(early.value.complete).toBe(false)
      expect(early.value.families.length).toBeGreaterThan(0)
      const whole = searchAtOnce({ ...problem, rules: { maxParts: 24 } })
      expect(whole.ok && whole.value.complete).toBe(true)
      expect(whole.ok && whole.value.tried).toBeGreaterThan(early.value.tried)
      break
    }
  })
  test('finds what brute force finds, and its front has no dominated point', () => {
    // Wanting more water than such a mix can hold, so that no score is zero.
    const hard: FinderProblem = {
      ...problem,
      targets: { ...targets, easilyAvailableWater: { low: 0.3, high: 0.35 } },
    }
    const answer = found(hard)
    let best = Infinity
    const all: { cost: number; score: number }[] = []
    for (const recipe of everyRecipe(Object.keys(SMALL), 7)) {
      const { score, cost } = plainly(hard, recipe)
      best = Math.min(best, score)
      all.push({ cost, score })
    }
    expect(answer.tried).toBe(candidateCount(4, 4, 7))
    // The finder's twelve depths may move a score by a third of a step.
    expect(answer.families[0]!.score).toBeGreaterThan(0)
    expect(Math.abs(answer.families[0]!.score - best)).toBeLessThan(0.3)
    expect(Math.abs(plainly(hard, answer.families[0]!.parts).score - best)).toBeLessThan(0.3)
    const { front } = answer
    front.forEach((c, i) => {
      if (i > 0) {
        expect(c.figures.costPerLitre).toBeGreaterThan(front[i - 1]!.figures.costPerLitre)
        expect(c.score).toBeLessThan(front[i - 1]!.score)
      }
      // Nothing on the grid is both cheaper and better by more than the depths can move it.
      for (const other of all)
        expect(other.cost < c.figures.costPerLitre - 1e-9 && other.score < c.score - 0.3).toBe(false)
    })
  })
  test('families are distinct, best first, and keep the best of each', () => {
    const { families } = found(problem)
    const keys = families.map((c) =>
      c.parts
        .map((p) => material(p.id).material.family)
        .sort()
        .join(),
    )
    expect(new Set(keys).size).toBe(keys.length)
    expect(families.map((c) => c.score)).toEqual([...families.map((c) => c.score)].sort((a, b) => a - b))
    for (const c of families) {
      expect(c.parts.map((p) => p.parts).reduce(gcd)).toBe(1)
      expect(Object.values(c.misses).reduce((s, m) => s + m, 0)).toBeCloseTo(c.score, 9)
    }
  })
  test('skipping what is beaten changes nothing', () => {
    // Bounds work on pH, salts and rot: with those weighing most, most candidates are passed over.
    const heavy: FinderProblem = {
      ...problem,
      weights: { pH: 20, electricalConductivity: 20, structureLost: 20 },
    }
    const answer = found(heavy)
    let best = Infinity
    for (const recipe of everyRecipe(Object.keys(SMALL), 7))
      best = Math.min(best, plainly(heavy, recipe).score)
    expect(Math.abs(answer.families[0]!.score - best)).toBeLessThan(0.3)
  })
  test.each<[string, Rules, (c: Candidate) => boolean]>([
    ['must use', { mustUse: ['sand_sharp'] }, (c) => c.parts.some((p) => p.id === 'sand_sharp')],
    ['must not use', { mustNotUse: ['peat_medium'] }, (c) => c.parts.every((p) => p.id !== 'peat_medium')],
    ['peat-free', { without: ['peat'] }, (c) => c.parts.every((p) => p.id !== 'peat_medium')],
    [
      'nothing that floats',
      { without: ['floating'] },
      (c) => c.parts.every((p) => p.id !== 'perlite_coarse'),
    ],
    [
      'free of weeds and disease',
      { without: ['unsterile'] },
      (c) => c.parts.every((p) => p.id === 'perlite_coarse'),
    ],
    ['at most two materials', { maxMaterials: 2 }, (c) => c.parts.length <= 2],
    ['budget', { maxCostPerLitre: 0.08 }, (c) => c.figures.costPerLitre <= 0.08],
  ])('keeps the rule: %s', (_name, rules, holds) => {
    const { families, front } = found({ ...problem, rules: { ...problem.rules, ...rules } })
    expect(families.length).toBeGreaterThan(0)
    for (const c of [...families, ...front]) expect(holds(c)).toBe(true)
  })
  test('counts packs and uses up stock for the volume wanted', () => {
    const packed: FinderProblem = {
      ...problem,
      volume: 100,
      shelf: shelf(SMALL).map((s) => (s.material.material.id === 'compost_green' ? { ...s, stock: 40 } : s)),
    }
    const need = (c: Candidate, id: string) => {
      const total = c.parts.reduce((s, p) => s + p.parts, 0)
      return ((c.parts.find((p) => p.id === id)?.parts ?? 0) / total) * (100 / (1 - c.figures.blendingLoss))
    }
    for (const c of found({ ...packed, rules: { ...problem.rules, maxPacks: 2 } }).families) {
      const packs = Object.keys(SMALL).reduce(
        (s, id) => s + Math.ceil(Math.max(0, need(c, id) - (id === 'compost_green' ? 40 : 0)) / 50 - 1e-9),
        0,
      )
      expect(packs).toBeLessThanOrEqual(2)
    }
    for (const c of found({ ...packed, rules: { ...problem.rules, useUp: ['compost_green'] } }).families)
      expect(need(c, 'compost_green')).toBeGreaterThanOrEqual(40 - 1e-6)
  })
  test('a material of unknown price may be used, but not set against cost', () => {
    const { families, front } = found({ ...problem, shelf: shelf({ ...SMALL, peat_medium: null }) })
    expect(families.some((c) => c.parts.some((p) => p.id === 'peat_medium'))).toBe(true)
    for (const c of front) expect(c.parts.every((p) => p.id !== 'peat_medium')).toBe(true)
  })
  test('tells how far it is, and can be left', () => {
    const wide = {
      ...problem,
      shelf: shelf({ ...SMALL, pumice: 0.2, coir_pith: 0.1, leaf_mould: 0, bark_composted: 0.08 }),
      rules: {},
    }
    const run = search(wide)
    let tried = -1
    let steps = 0
    for (let step = run.next(); !step.done; step = run.next()) {
      expect(step.value.tried).toBeGreaterThan(tried)
      tried = step.value.tried
      expect(step.value.tried).toBeLessThanOrEqual(step.value.total)
      if (++steps === 3) break
    }
    expect(run.return(undefined as never).done).toBe(true)
  })
  test('says what makes a search senseless', () => {
    const code = (rules: Rules) => {
      const answer = searchAtOnce({ ...problem, rules })
      return answer.ok ? null : answer.problem.code
    }
    expect(code({ mustNotUse: Object.keys(SMALL) })).toBe('nothing-to-choose-from')
    expect(code({ mustUse: ['peat_medium'], without: ['peat'] })).toBe('rules-contradict')
    expect(code({ mustUse: ['peat_medium', 'sand_sharp'], maxMaterials: 1 })).toBe('rules-contradict')
    expect(code({ mustUse: ['moon_dust'] })).toBe('rules-contradict')
  })
})

describe('the front', () => {
  test('keeps exactly what nothing beats', () => {
    const point = fc.record({ cost: fc.integer({ min: 0, max: 12 }), score: fc.integer({ min: 0, max: 12 }) })
    fc.assert(
      fc.property(fc.array(point, { minLength: 1, maxLength: 60 }), (points) => {
        const front = new Front()
        for (const { cost, score } of points)
          front.add({
            parts: [],
            score,
            misses: {},
            balance: 0,
            figures: { costPerLitre: cost } as Candidate['figures'],
          })
        const kept = front.members.map((m) => `${m.figures.costPerLitre} ${m.score}`)
        const best = points.filter(
          (p) =>
            !points.some(
              (q) => q.cost <= p.cost && q.score <= p.score && (q.cost < p.cost || q.score < p.score),
            ),
        )
        expect(new Set(kept)).toEqual(new Set(best.map((p) => `${p.cost} ${p.score}`)))
        expect(kept.length).toBe(new Set(kept).size)
      }),
      draws(),
    )
  })
})

describe('one grade of a kind', () => {
  test('no recipe has two peats, but where both have to be in it', () => {
    const two: FinderProblem = {
      ...problem,
      shelf: shelf({ peat_fine: 0.1, peat_medium: 0.1, perlite_coarse: 0.2 }),
      rules: { maxParts: 6, oneGrade: true },
    }
    const peats = (p: FinderProblem) => {
      const answer = searchAtOnce(p)
      if (!answer.ok) throw new Error(answer.problem.code)
      return [...answer.value.families, ...answer.value.front].map(
        (c) => c.parts.filter((x) => x.id.startsWith('peat')).length,
      )
    }
    expect(Math.max(...peats(two))).toBe(1)
    const both = { ...two, rules: { ...two.rules, mustUse: ['peat_fine', 'peat_medium'] } }
    expect(Math.min(...peats(both))).toBe(2)
  })
})

describe('single changes', () => {
  const recipe = [
    { id: 'compost_green', parts: 3 },
    { id: 'sand_sharp', parts: 2 },
  ]
  const moves = (p: FinderProblem = problem) => {
    const answer = singleChanges(p, recipe)
    if (!answer.ok) throw new Error(answer.problem.code)
    return answer.value
  }
  test('are ranked by gain, each truly what it says', () => {
    const { score, changes: list } = moves()
    expect(list.length).toBeGreaterThan(3)
    const gains = list.map((m) => Math.round(m.gain * 20))
    expect(gains).toEqual([...gains].sort((a, b) => b - a))
    for (const m of list) {
      expect(m.gain).toBeCloseTo(score - m.score, 9)
      expect(Math.abs(plainly(problem, m.parts).score - m.score)).toBeLessThan(0.7)
      if (m.move.kind === 'add') expect(total(m.parts)).toBeCloseTo(5.5, 9)
      if (m.move.kind === 'takeAway') expect(total(m.parts)).toBeCloseTo(4.5, 9)
      if (m.move.kind === 'swap') expect(total(m.parts)).toBeCloseTo(5, 9)
    }
  })
  const total = (parts: { parts: number }[]) => parts.reduce((s, p) => s + p.parts, 0)
  test('none beats the best of them by a single change', () => {
    const best = moves().changes[0]!
    for (const id of Object.keys(SMALL)) {
      const added = recipe.some((r) => r.id === id)
        ? recipe.map((r) => (r.id === id ? { ...r, parts: r.parts + 0.5 } : r))
        : [...recipe, { id, parts: 0.5 }]
      expect(plainly(problem, added).score).toBeGreaterThan(best.score - 0.7)
    }
  })
  test('obey the rules: what is forbidden may only go, what must stay stays', () => {
    const forbidden = moves({ ...problem, rules: { mustNotUse: ['sand_sharp'], mustUse: ['compost_green'] } })
    for (const { move, parts } of forbidden.changes) {
      if (move.kind === 'add') expect(move.material).not.toBe('sand_sharp')
      if (move.kind === 'swap') expect(move.to).not.toBe('sand_sharp')
      expect(parts.some((p) => p.id === 'compost_green')).toBe(true)
    }
  })
  test('worth a look are the best, and the heaviest, airiest and cheapest whatever they score', () => {
    const { changes } = moves()
    const looked = worthALook(changes)
    expect(new Set(looked).size).toBe(looked.length)
    expect(looked.slice(0, 5)).toEqual(changes.slice(0, 5))
    for (const of of ['drainedDensity', 'airFilledPorosity'] as const) {
      const most = Math.max(...changes.map((m) => m.after[of]))
      expect(looked.some((m) => m.after[of] === most)).toBe(true)
    }
    const cheapest = Math.min(...changes.map((m) => m.after.costPerLitre))
    expect(looked.some((m) => m.after.costPerLitre === cheapest)).toBe(true)
  })
  test('refuse a recipe that is none', () => {
    const code = (list: { id: string; parts: number }[]) => {
      const answer = singleChanges(problem, list)
      return answer.ok ? null : answer.problem.code
    }
    expect(code([])).toBe('no-parts')
    expect(code([{ id: 'moon_dust', parts: 1 }])).toBe('unknown-material')
    expect(code([{ id: 'peat_medium', parts: 0 }])).toBe('part-not-positive')
  })
})

describe('what is in the way', () => {
  const run = (p: FinderProblem) => {
    const steps = inTheWay(p)
    for (;;) {
      const step = steps.next()
      if (step.done) return step.value
    }
  }
  test('names the rule whose giving up buys most', () => {
    const tied: FinderProblem = {
      ...problem,
      shelf: shelf({ ...SMALL, soil_clay_loam: 0.01 }),
      targets: { airFilledPorosity: { low: 0.22, high: 0.3 } },
      rules: { mustNotUse: ['perlite_coarse', 'peat_medium'], mustUse: ['soil_clay_loam'], maxParts: 6 },
    }
    const answer = run(tied)
    if (!answer.ok) throw new Error(answer.problem.code)
    const best = answer.value[0]!
    expect(best.givenUp).toMatchObject({ kind: 'rule' })
    expect(best.gain).toBeGreaterThan(0)
    expect(answer.value.map((r) => r.gain)).toEqual(
      [...answer.value.map((r) => r.gain)].sort((a, b) => b - a),
    )
    // Truly what a search without it finds.
    const { givenUp } = best
    if (givenUp.kind !== 'rule') throw new Error('a target')
    const list = (tied.rules![givenUp.rule] as string[]).filter((x) => x !== givenUp.what)
    expect(found({ ...tied, rules: { ...tied.rules, [givenUp.rule]: list } }).families[0]!.score).toBeCloseTo(
      best.best.score,
      9,
    )
  })
  test('of rules that leave nothing, tells the one to drop', () => {
    const answer = run({ ...problem, rules: { mustUse: ['peat_medium'], without: ['peat'] } })
    expect(answer.ok && answer.value.map((r) => r.givenUp)).toContainEqual({
      kind: 'rule',
      rule: 'without',
      what: 'peat',
    })
  })
})

describe('finishing a recipe', () => {
  const lime = (id: string) => LIMES.find((l) => l.id === id)!
  const limes = { calcitic: lime('lime_calcitic'), dolomitic: lime('lime_dolomitic') }
  const recipe = [
    { material: material('peat_medium'), parts: 3 },
    { material: material('perlite_coarse'), parts: 1 },
  ]
  test('feeds to the charge and limes to the pH, the feed’s acid counted', () => {
    const dressings = DRESSINGS.filter((d) => ['ammonium_sulfate', 'ssp', 'potassium_sulfate'].includes(d.id))
    const feed = [
      { element: 'nitrogen', mgPerLitre: 100 },
      { element: 'phosphorus', mgPerLitre: 50 },
      { element: 'potassium', mgPerLitre: 120 },
    ] as const
    const done = finish(recipe, { pH: 6.2, limes, feed, dressings })
    const plain = finish(recipe, { pH: 6.2, limes })
    if (!done.ok || !plain.ok) throw new Error('not finished')
    expect(done.value.feed!.largestMiss).toBeLessThan(0.01)
    expect(done.value.lime!.plan.pH).toBeCloseTo(6.2, 2)
    expect(done.value.lime!.plan.gramsPerLitre).toBeGreaterThan(plain.value.lime!.plan.gramsPerLitre)
    expect(plain.value.feed).toBeNull()
    const twice = { ...feed[0], mgPerLitre: 2 * feed[0].mgPerLitre }
    const copied = finish(recipe, { pH: null, limes, feed: [twice], countParts: false, dressings })
    expect(copied.ok && copied.value.feed!.reached[0]!.mgPerLitre).toBeGreaterThan(150)
    expect(finish(recipe, { pH: null, limes })).toMatchObject({ value: { lime: null, feed: null } })
  })
  test('passes on what cannot be', () => {
    expect(finish([], { pH: 6, limes }).ok).toBe(false)
    expect(finish(recipe, { pH: 9, limes }).ok).toBe(false)
    expect(
      finish(recipe, { pH: 6, limes, feed: [{ element: 'boron', mgPerLitre: 1 }], dressings: [] }).ok,
    ).toBe(false)
  })
  test('every crop’s pH can be reached from peat', () => {
    for (const crop of CROPS) {
      const done = finish(recipe, { pH: (crop.pH.low + crop.pH.high) / 2, limes })
      expect(done.ok, crop.id).toBe(true)
    }
  })
})
