import { once } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { effectScope, nextTick, shallowReactive } from 'vue'
import { useBench } from '@/composables/bench/useBench'
import { useJobIn } from '@/composables/job/useJob'
import { acidForTarget } from '@/core/chemistry'
import { dressingById } from '@/core/data/dressings'
import { demoGarden } from '@/demo/demoGarden'
import { changesOf, type Command } from '@/model/garden/commands'
import { DEFAULT_SETTINGS, jobOf, liveJob, placeOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { runCase } from '@/model/headless/run'
import { doseOffers } from './doses'
import { prepareJob } from './evaluateJob'
import { AT_REST, evaluatePrepared, prepare } from './prepare'

const garden = once(() => demoGarden())
const place = once(() => placeOf(garden()))
const peppers = once(() => liveJob(garden(), jobOf(garden(), 'peppers-27')!))

/** A job as a case of the headless door. */
const caseOf = (job: Job) => ({
  mix: job.parts.map((p) => ({ material: p.materialId, parts: p.twelfths / 12 })),
  container: {
    shape: job.fills[0]!.spec.vessel.shape,
    headspace: job.fills[0]!.spec.vessel.headspace,
    base: job.fills[0]!.spec.vessel.base,
  },
  lime: { gramsPerLitre: 2, dolomiteShare: 0.5 },
  dressings: job.dressings.map((d) => ({
    dressing: d.dressingId,
    gramsPerLitre: d.gramsPerLitre,
    place: d.place,
  })),
})
const fed: Job = {
  ...peppers(),
  lime: { ...peppers().lime, mode: 'fixed', gramsPerLitre: 2, dolomiteShare: 0.5 },
  dressings: [
    {
      id: 'ammonium_sulfate',
      dressingId: 'ammonium_sulfate',
      gramsPerLitre: 0.5,
      place: { kind: 'throughout' },
      share: 1,
    },
    {
      id: 'bone_meal',
      dressingId: 'bone_meal',
      gramsPerLitre: 2,
      place: { kind: 'top', depth: 8 },
      share: 1,
    },
  ],
}

describe('the app and the headless door', () => {
  test('give the same figures for the same mix', () => {
    const prepared = prepareJob({ ...fed, cropId: null }, undefined, PUBLISHED)
    const here = prepared.ok ? evaluatePrepared(prepared.value) : prepared
    const there = runCase('evaluate', caseOf(fed))
    if (!here.ok || !there.ok) throw new Error('one of them has no answer')
    const { figures } = there.value as { figures: Record<string, number> }
    expect(figures.airFilledPorosity).toBeCloseTo(here.value.mix.airFilledPorosity, 3)
    expect(figures.pH).toBeCloseTo(here.value.lime.pH, 9)
    expect(figures.blendingLoss).toBeCloseTo(here.value.blend.blendingLoss, 12)
  })

  // 2026-11-25: the app offered 2.01 g/L of sulfur where the headless door said 1.42; it forgot the acid of the feed.
  test('offer the same sulfur, the acid of dressings counted', () => {
    const sweet: Job = { ...fed, lime: { ...fed.lime, mode: 'none' }, bands: { pH: { low: 4.4, high: 4.8 } } }
    const prepared = prepareJob(sweet, place(), PUBLISHED)
    if (!prepared.ok) throw new Error(prepared.problem.code)
    const later = evaluatePrepared(prepared.value, AT_REST)
    if (!later.ok) throw new Error(later.problem.code)
    const offer = doseOffers(prepared.value, later.value).find((o) => o.why.code === 'acid')!
    const sulfur = dressingById('sulfur_elemental')!
    const { blend, given } = prepared.value
    const asked = acidForTarget(blend, { dressing: sulfur, target: 4.6 }, 84, given)
    const without = acidForTarget(blend, { dressing: sulfur, target: 4.6 }, 84, {
      temperature: given.temperature,
    })
    if (!asked.ok || !without.ok) throw new Error('out of reach')
    expect(without.value.gramsPerLitre - asked.value.gramsPerLitre).toBeGreaterThan(0.1)
    const most = Math.min(asked.value.gramsPerLitre, sulfur.dose.high)
    expect(offer.line.gramsPerLitre).toBeCloseTo(most, 1)
  })
})

describe('one press', () => {
  test('prepares the mix once, whatever is asked of it', async () => {
    const job = jobOf(garden(), 'peppers-27')!
    const door = shallowReactive({
      records: garden() as Garden,
      settings: DEFAULT_SETTINGS,
      run(command: Command) {
        const next = new Map(door.records)
        for (const { key, after } of changesOf(door.records, command)) if (after) next.set(key, after)
        door.records = next
      },
    })
    let worked = 0
    const scope = effectScope()
    const [inHand, bench] = scope.run(() => {
      const of = useJobIn(door, job.id, (question) => (worked++, prepare(question)))
      return [of, useBench(of)] as const
    })!
    /** Everything the pages of a job read. */
    const readAll = () => [
      inHand.evaluation.value?.ok,
      inHand.mixInput.value,
      inHand.targets.value,
      inHand.bands.value,
      inHand.quantities.value?.ok,
      bench.later.stale.value,
      bench.next.stale.value,
      bench.whatIf.value,
    ]
    const first = readAll()
    expect(first[0]).toBe(true)
    expect(worked).toBe(1)
    door.run({ type: 'part/change', jobId: job.id, materialId: job.parts[0]!.materialId, by: 12 })
    await nextTick()
    expect(readAll()[0]).toBe(true)
    expect(worked).toBe(2)
    // A note changes nothing that is worked out.
    door.run({ type: 'job/rename', jobId: job.id, name: 'Other' })
    readAll()
    expect(worked).toBe(2)
    scope.stop()
  })
})
