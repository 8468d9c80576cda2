import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { LIMES } from './data'
import { evaluate, type MixInContainer } from './evaluate'
import { parts } from './testing/arbitraries'
import { outsideCheck } from './testing/outsideCheck'
import { FLOOR_DESIGN_LOAD } from './weight'

const input: MixInContainer = {
  container: {
    shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  parts: parts({ peat_medium: 4, compost_green: 2, perlite_coarse: 2 }),
  limes: [{ lime: LIMES[0]!, share: 1 }],
  limeGramsPerLitre: 2.5,
}
const answer = (change: Partial<MixInContainer> = {}) => {
  const result = evaluate({ ...input, ...change })
  if (!result.ok) throw new Error(result.problem.code)
  return result.value
}
const box = (height: number): MixInContainer['container'] => ({
  shape: { kind: 'box', topLength: 100, topWidth: 100, baseLength: 100, baseWidth: 100, height },
  headspace: 0,
  base: { kind: 'drainHoles' },
})

describe('one mix in one container', () => {
  test('parts of the answer agree with each other', () => {
    const a = answer()
    expect(a.profile.mixVolume).toBeCloseTo(a.fill.mixVolume, 6)
    expect(a.profile.totalPorosity).toBeCloseTo(a.blend.totalPorosity, 9)
    expect(a.weights.dry).toBeLessThan(a.weights.drained)
    expect(a.weights.drained).toBeLessThan(a.weights.saturated)
    expect(a.lime.pH).toBeGreaterThan(a.blend.pH)
    expect(answer({ limeGramsPerLitre: 0 }).lime.pH).toBeCloseTo(a.blend.pH, 9)
  })
  outsideCheck({
    module: 'weight',
    what: '100 L of loam at 1.15 kg/L, all of 54 % pores filled',
    source: 'mass balance',
    basis: 'closed form',
    unit: 'kg',
    expected: 169,
    tolerance: 0.1,
    computed: () => answer({ container: box(10), parts: parts({ soil_loam: 1 }) }).weights.saturated,
  })
  outsideCheck({
    module: 'weight',
    what: '30 cm of saturated loam on a floor',
    source: 'mass balance',
    basis: 'closed form',
    unit: 'kg/m2',
    expected: 507,
    tolerance: 0.5,
    computed: () => answer({ container: box(30), parts: parts({ soil_loam: 1 }) }).weights.floorLoad,
  })
  outsideCheck({
    module: 'weight',
    what: 'peat-lite A, peat and vermiculite 1:1, at container capacity in a 25 cm pot',
    source: 'mass balance on published curves (from memory)',
    basis: 'from memory',
    unit: 'kg/L',
    expected: { low: 0.6, high: 0.95 },
    tolerance: 0,
    computed: () => {
      const a = answer({ parts: parts({ peat_medium: 1, vermiculite_medium: 1 }) })
      return a.weights.drained / a.fill.mixVolume
    },
  })
  outsideCheck({
    module: 'weight',
    what: 'usual design live load of a dwelling’s floor, 40 lb per square foot',
    source: 'ASCE 7',
    basis: 'standard',
    unit: 'kg/m2',
    expected: (40 * 0.45359237) / 0.3048 ** 2,
    tolerance: 1,
    computed: () => FLOOR_DESIGN_LOAD,
  })
  test('says which part is wrong', () => {
    const bad = evaluate({ ...input, container: { ...input.container, headspace: 40 } })
    expect(!bad.ok && bad.problem.code).toBe('headspace-fills-container')
    const empty = evaluate({ ...input, parts: [] })
    expect(!empty.ok && empty.problem.code).toBe('no-parts')
  })
  test('notes that a bed is judged as its soil drains it', () => {
    const bed = evaluate({ ...input, container: { ...box(30), base: { kind: 'onSoil', texture: 'loam' } } })
    expect(bed.ok && bed.notes.map((n) => n.code)).toEqual(['bed-drained-by-soil'])
  })
})

describe('the core stands alone', () => {
  const files = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
      e.isDirectory() ? files(join(folder, e.name)) : [join(folder, e.name)],
    )
  const sources = files('src/core').filter(
    (f) => f.endsWith('.ts') && !f.includes('testing') && !f.endsWith('.test.ts'),
  )
  test.each(sources)('%s imports nothing but the core, and is short', (file) => {
    const text = readFileSync(file, 'utf8')
    // The core must run in a page, a worker, a server and a test alike, and be read in one sitting.
    for (const [, from] of text.matchAll(/from '([^']+)'/g)) expect(from).toMatch(/^\.\.?(\/|$)/)
    expect(text).not.toMatch(/Math\.random|Date\.now|new Date|document\.|window\./)
    expect(text.split('\n').length).toBeLessThanOrEqual(300)
  })
})
