import { describe, expect, test } from 'vitest'
import { materialById, PUBLISHED } from '@/core/data'
import { demoGarden } from '@/demo/demoGarden'
import { isLong } from '@/core/testing/draws'
import { toEnd } from '@/core/toEnd'
import { jobsOf, placeOf } from '../garden/garden'
import { evaluateJob } from '../mix/evaluateJob'
import { mixFootprint } from '../mix/footprint'
import { findMixes } from './findMixes'
import { afterFinding } from './nextMoves'
import { alike, ALIKE_LIMITS, hasPeat, withoutPeatRequest } from './withoutPeat'

const garden = demoGarden()
const peaty = jobsOf(garden).find((job) => hasPeat(job, garden))!

describe('a mix without peat that behaves like one with it', () => {
  const request = withoutPeatRequest(garden, peaty)
  if (!request.ok) throw new Error(request.problem.code)
  test('is asked for near the air and the water of the first, within what the crop wants', () => {
    const answer = evaluateJob(peaty, placeOf(garden), PUBLISHED)
    if (!answer.ok) throw new Error(answer.problem.code)
    const air = request.value.problem.targets.airFilledPorosity!
    const { airFilledPorosity } = answer.value.mix
    expect(air.low).toBeGreaterThanOrEqual(airFilledPorosity - ALIKE_LIMITS.air.value - 1e-12)
    expect(air.high).toBeLessThanOrEqual(airFilledPorosity + ALIKE_LIMITS.air.value + 1e-12)
    // What the crop wants is kept to where the two meet, and left where they do not.
    const e = answer.value
    const far = alike({ airFilledPorosity: { low: 0.9, high: 0.95 } }, e, 0.2)
    expect(far.airFilledPorosity!.low).toBeCloseTo(
      Math.max(0, airFilledPorosity - ALIKE_LIMITS.air.value),
      12,
    )
    expect(far.easilyAvailableWater).toEqual({
      low: 0.2 - ALIKE_LIMITS.water.value,
      high: 0.2 + ALIKE_LIMITS.water.value,
    })
  })
  test('what is found has none, comes near it, and weighs less on the air', { timeout: 60_000 }, () => {
    const found = toEnd(findMixes({ ...request.value, looks: isLong ? 12 : 4, chances: 0 }))
    if (!found.ok) throw new Error(found.problem.code)
    const best = found.value.found.find((f) => f.look)!
    for (const { id } of best.candidate.parts) expect(materialById(id)?.family).not.toBe('peat')
    // Common practice: worm compost and manure are strong, no part to fill a pot with.
    const { parts } = best.candidate
    const strong = parts
      .filter((p) => /^(vermicompost|manure)/.test(p.id))
      .reduce((sum, p) => sum + p.parts, 0)
    expect(strong / parts.reduce((sum, p) => sum + p.parts, 0)).toBeLessThanOrEqual(0.25)
    const after = afterFinding(peaty, best.candidate, best.look!.feeds)
    const before = mixFootprint(peaty, PUBLISHED)
    const then = mixFootprint(after, PUBLISHED)
    if (before && then) expect(then.value).toBeLessThan(before.value)
  })
})
