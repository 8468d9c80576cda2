import { once } from '@/core/testing/once'
import { isLong } from '@/core/testing/draws'
import { describe, expect, test } from 'vitest'
import type { Finding } from '@/core/appraisal'
import { materialIn } from '@/core/data'
import type { Found } from '@/core/finder'
import { useNextYear } from '@/composables/season/useNextYear'
import { demoGarden } from '@/demo/demoGarden'
import { makeCoreApi } from '@/workers/coreApi'
import { changesOf, type Command } from '../garden/commands'
import { entryKey, jobOf, jobsOf, ownMaterialKey, recordOf, shelfItemOf, type Garden } from '../garden/garden'
import { materialOfOwn } from '../garden/ownRows'
import { tablesOf } from '../garden/tables'
import type { AnyData, Entry } from '../garden/schemas'
import { ownMaterialSchema } from '../garden/schemas'
import { evaluateJob } from '../mix/evaluateJob'
import {
  freshenedJob,
  freshenOffers,
  freshenRequest,
  freshest,
  oldMixId,
  oldMixOf,
  reuseVerdict,
} from './nextYear'
import { linesOf } from './testing/lines'

const demo = once(() => new Map([...demoGarden()].filter(([key]) => !/^(entry|test)\//.test(key))))
const job = once(() => jobOf(demo(), 'peppers-26')!)
const record = once(() => recordOf(demo(), job().recordId!)!)
const { on, entry } = linesOf(job(), record().madeOn)
const withEntries = (...entries: Entry[]): Garden =>
  new Map<string, AnyData>([
    ...[...demo()].filter(([k]) => !k.startsWith('entry/')),
    ...entries.map((e) => [entryKey(e.id), e] as const),
  ])
const oldAfter = (days: number, garden: Garden = withEntries()) => {
  const old = oldMixOf(garden, job(), record(), on(days))
  if (!old.ok) throw new Error(old.problem.code)
  return old.value
}

describe('an old mix', () => {
  test('has sunk, lost air and some of its volume, more so each year', () => {
    const one = oldAfter(200)
    const two = oldAfter(560)
    expect(one.airNow).toBeLessThan(one.airWas)
    expect(two.airNow).toBeLessThan(one.airNow)
    expect(two.litres).toBeLessThan(one.litres)
    expect(two.sunk.value).toBeGreaterThan(one.sunk.value)
    expect(one.nitrogen).toBeGreaterThanOrEqual(0)
  })
  test('goes by its last readings first, and by its course where nobody read', () => {
    const plain = oldAfter(200)
    expect([plain.pH.isRead, plain.salts.isRead, plain.sunk.isRead]).toEqual([false, false, false])
    const read = oldAfter(
      200,
      withEntries(entry('pH', 190, 5.4), entry('salts', 190, 0.9), entry('sunk', 190, 5)),
    )
    expect(read.pH).toEqual({ value: 5.4, isRead: true })
    expect(read.salts.isRead).toBe(true)
    expect(read.sunk).toEqual({ value: 5, isRead: true })
    // A reading of spring does not say how autumn ends.
    expect(oldAfter(200, withEntries(entry('pH', 10, 5.4))).pH.isRead).toBe(false)
  })
  test('is a material like any other: kept, completed, weighed and blended', () => {
    const { material } = oldAfter(220, withEntries(entry('pH', 210, 5.9)))
    expect(ownMaterialSchema.safeParse(material).success).toBe(true)
    const row = materialOfOwn(material)
    if (!row.ok) throw new Error(row.problem.code)
    const p = row.value.properties
    expect(p.pH.value).toBe(5.9)
    expect(p.waterAt10Cm.value).toBeLessThanOrEqual(p.totalPorosity.value)
    expect(p.waterAt100Cm).toMatchObject({ kind: 'estimated', source: 'aged-mix' })
    expect(row.value.sizeShares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 2)
    // Alone in the same bed it is, within its ranges, what its record was expected to become.
    const garden = new Map([...demo(), [`material/${material.id}`, material] as const])
    const tables = tablesOf(garden)
    expect(materialIn(tables, material.id)?.family).toBe('mix')
    const again = evaluateJob(
      {
        ...job(),
        parts: [{ materialId: material.id, twelfths: 12 }],
        mixes: [],
        dressings: [],
      },
      undefined,
      tables,
    )
    const old = oldAfter(220)
    expect(again.ok && Math.abs(again.value.mix.airFilledPorosity - old.airNow)).toBeLessThan(0.06)
  })
  test('a record of today is no old mix yet', () => {
    expect(oldMixOf(demo(), job(), record(), `${record().madeOn}T10:00:00Z`).ok).toBe(false)
  })
  test('what must not be used again is asked: never with weedkiller or lead, for other families after a disease', () => {
    const no = { diseased: false, weedkiller: false, tainted: false }
    expect(reuseVerdict(no)).toBe('yes')
    expect(reuseVerdict({ ...no, diseased: true })).toBe('otherFamily')
    expect(reuseVerdict({ ...no, diseased: true, weedkiller: true })).toBe('never')
    expect(reuseVerdict({ ...no, tainted: true })).toBe('never')
  })
})

describe('next year', () => {
  function door(start: Garden) {
    const state = { records: start }
    return {
      get records() {
        return state.records
      },
      settings: { units: 'metric' } as never,
      run(command: Command) {
        const next = new Map(state.records)
        for (const c of changesOf(state.records, command))
          if (c.after) next.set(c.key, c.after)
          else next.delete(c.key)
        state.records = next
      },
    }
  }
  test('the page has one sinking: what tops it up is what is said to have sunk, read or predicted', () => {
    // The demo's season is long over: what was read in it no longer says how it ends.
    const garden = door(demo())
    const inHand = { garden, job: { value: job() } } as never
    const { old, sunk, topUp } = useNextYear(inHand, () => Promise.reject(new Error('not asked for')))
    if (!old.value?.ok) throw new Error('no old mix')
    expect(sunk.value).toBeCloseTo(old.value.value.sunk.value, 1)
    const id = topUp()!
    const topped = jobOf(garden.records, id)!
    expect(topped.fills.every((f) => f.sunkBy === sunk.value)).toBe(true)
  })
  test('the question of freshening holds the old mix, always in it, and few parts; its job begins with it alone', () => {
    const old = oldAfter(200)
    const garden = withEntries()
    const own = ownMaterialKey(old.material.id)
    const kept: Garden = new Map<string, AnyData>([...garden, [own, old.material]])
    const next = freshenedJob(job(), old.material.id, { id: 'n', createdAt: on(200), cropId: 'lettuce' })
    expect(next.parts).toEqual([{ materialId: old.material.id, twelfths: 12 }])
    expect([next.mixes, next.dressings, next.versions, next.companionIds]).toEqual([[], [], [], []])
    expect([next.id, next.cropId, next.lime.mode]).toEqual(['n', 'lettuce', 'toTarget'])
    expect(next.fills.map((f) => f.bedId)).toEqual(job().fills.map((f) => f.bedId))
    const request = freshenRequest(kept, next, old.material.id)
    if (!request.ok) throw new Error(request.problem.code)
    expect(request.value.problem.rules).toMatchObject({
      mustUse: [old.material.id],
      maxParts: 8,
      maxMaterials: 4,
      oneGrade: true,
    })
    expect(request.value.problem.shelf.some((s) => s.material.material.id === old.material.id)).toBe(true)
  })
  test('with a shelf of two things or none, an old mix is freshened from everything; with more, from the shelf', () => {
    const old = oldAfter(200)
    const kept = new Map<string, AnyData>([...withEntries(), [ownMaterialKey(old.material.id), old.material]])
    const bare = new Map([...kept].filter(([key]) => !key.startsWith('shelf/')))
    expect(bare.size).toBeLessThan(kept.size)
    const next = freshenedJob(job(), old.material.id, { id: 'n', createdAt: on(200), cropId: 'lettuce' })
    const shelf = (garden: Garden) => {
      const request = freshenRequest(garden, next, old.material.id)
      if (!request.ok) throw new Error(request.problem.code)
      return request.value.problem.shelf.map((s) => s.material.material.id)
    }
    const [all, some] = [shelf(bare), shelf(kept)]
    expect(some.length).toBeGreaterThan(2)
    expect(all.length).toBeGreaterThan(some.length)
  })
  test('an offer is a mix that leaves nothing graver than the old one alone; what nobody looked at is none', () => {
    const old = oldAfter(200)
    const kept: Garden = new Map<string, AnyData>([
      ...withEntries(),
      [ownMaterialKey(old.material.id), old.material],
    ])
    const next = freshenedJob(job(), old.material.id, { id: 'n', createdAt: on(200), cropId: 'lettuce' })
    const request = freshenRequest(kept, next, old.material.id)
    if (!request.ok) throw new Error(request.problem.code)
    const found = (id: string, findings: Finding[] | null) =>
      ({
        candidate: {
          parts: [
            { id: old.material.id, parts: 1 },
            { id, parts: 1 },
          ],
        },
        look: findings && { findings },
      }) as unknown as Found
    const grave: Finding = { topic: 'salts-high', severity: 'grave' }
    const list = [
      found('pumice', []),
      found('sand_sharp', [grave, { ...grave, topic: 'ph-low' }]),
      found('coir_pith', null),
    ]
    const offers = freshenOffers({ found: list }, request.value, old.material.id)
    expect(offers.map((f) => f.candidate.parts[1]!.id)).toEqual(['pumice'])
    // Of a mix that is not known nothing is offered.
    expect(freshenOffers({ found: list }, request.value, 'no such mix')).toEqual([])
  })
  test.runIf(isLong)(
    'freshening finds what to add so that the next crop is met, and begins its job with the old mix in it',
    async () => {
      const garden = door(withEntries(entry('pH', 190, 6.2), entry('sunk', 190, 4)))
      const inHand = { garden, job: { value: job() } } as never
      const api = makeCoreApi()
      const next = useNextYear(inHand, (request, following) => api.find(1, request, following?.onProgress))
      expect(next.verdict.value).toBeNull()
      next.asked.value = true
      expect(next.verdict.value).toBe('yes')
      const oldId = oldMixId(record().id)
      await next.freshen()
      expect(next.trouble.value).toBe('')
      // It is on the shelf, with what is left of it.
      expect(shelfItemOf(garden.records, oldId)!.stock).toBeGreaterThan(10)
      const [best] = next.options.value
      expect(best!.candidate.parts.map((p) => p.id)).toContain(oldId)
      expect(best!.candidate.parts.length).toBeGreaterThan(1)
      const id = next.begin(best!.candidate)!
      const begun = jobOf(garden.records, id)!
      expect(begun.parts.some((p) => p.materialId === oldId)).toBe(true)
      expect(begun.plantedOn).toBeNull()
      // It comes with the feed it was found and judged with, and leaves nothing graver than the old mix alone.
      expect(begun.dressings.map((d) => d.dressingId)).toEqual(best!.look!.feeds.map((f) => f.dressingId))
      expect(best!.look!.findings.filter((f) => f.severity === 'grave')).toEqual([])
      // Inside every band of the crop, or next to it.
      expect(best!.candidate.score).toBeLessThan(0.5)
      const toppedId = next.topUp()!
      const topped = jobOf(garden.records, toppedId)!
      expect(topped.fills.every((f) => f.sunkBy === 4)).toBe(true)
      expect(jobsOf(garden.records).length).toBe(jobsOf(demo()).length + 2)
    },
    60_000,
  )
  test('mixes that are half of the old come first, in their order', () => {
    const of = (old: number, other: number) => ({
      candidate: {
        parts: [
          { id: 'o', parts: old },
          { id: 'x', parts: other },
        ],
      },
    })
    // A half of many parts: what counts is the share, not the parts.
    const [a, b, c] = [of(2, 8), of(2, 1), of(4, 4)]
    const none = { candidate: { parts: [{ id: 'x', parts: 1 }] } }
    expect(freshest([a!, none, b!, c!], 'o')).toEqual([b, c, a, none])
  })
})
