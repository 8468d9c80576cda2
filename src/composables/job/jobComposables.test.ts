import { PUBLISHED } from '@/core/data'
import { useNewVersion } from '../page/useNewVersion'
import { useBags } from '../shelf/useBags'
import { useNewJob } from './useNewJob'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, nextTick, ref, shallowRef } from 'vue'
import { countProblem } from '@/core/amounts'
import { demoGarden } from '@/demo/demoGarden'
import { changesOf, type Command } from '@/model/garden/commands'
import { bedsOf, jobKey, jobsOf, settingsOf, shelfItemOf } from '@/model/garden/garden'
import type { AnyData, Job } from '@/model/garden/schemas'
import { startingSpec } from '@/model/garden/starting'
import type { findInWorker, inTheWayInWorker } from '@/workers/core.client'
import { batchCards } from '@/model/make/batchCard'
import { firstRefusal } from '@/model/garden/commands/refusal'
import { useTubChecks } from '../make/useTubChecks'
import { useBedProblems } from './useBedProblems'
import { toEnd } from '@/core/toEnd'
import { atRest } from '@/model/mix/rest'
import { movesAtOnce } from '@/model/find/nextMoves'
import { useBench } from '../bench/useBench'
import { useDues } from '../season/useDues'
import { useLog } from '../season/useLog'
import { useFinder } from '../find/useFinder'
import { useFinderWishes } from '../find/useFinderWishes'
import { useFirstOpen } from '../page/useFirstOpen'
import { useJobIn } from './useJob'
import { useJobBeds } from './useJobBeds'
import { useQuantities } from '../make/useQuantities'
import { useReplaceRecipe } from '../bench/useReplaceRecipe'

beforeEach(() => void vi.useFakeTimers())
afterEach(async () => {
  // What waits for a frame waits for it in all composables together: none is left over for the next test.
  await vi.runOnlyPendingTimersAsync()
  vi.useRealTimers()
})

/** The demo garden without a store: records, settings and one way to change them. */
function garden() {
  const records = shallowRef<ReadonlyMap<string, AnyData>>(demoGarden())
  const done: Command[] = []
  return {
    done,
    get records() {
      return records.value
    },
    get settings() {
      return settingsOf(records.value)
    },
    run(command: Command) {
      done.push(command)
      const next = new Map(records.value)
      for (const { key, after } of changesOf(records.value, command))
        if (after === null) next.delete(key)
        else next.set(key, after)
      records.value = next
    },
  }
}
const scope = effectScope()
/** A job of the demo garden in hand, and a composable on it. */
function using<T>(
  make: (inHand: ReturnType<typeof useJobIn<ReturnType<typeof garden>>>) => T,
  jobId?: string,
) {
  const door = garden()
  const id = jobId ?? jobsOf(door.records).find((j) => j.parts.length > 2)!.id
  const inHand = scope.run(() => useJobIn(door, ref(id)))!
  return { door, inHand, id, made: scope.run(() => make(inHand))! }
}
const rest = async (ms = 1000) => {
  await nextTick()
  await vi.advanceTimersByTimeAsync(ms)
  await nextTick()
}

describe('the log of a job', () => {
  test('what is noted for one day that is over is in the order it was noted, the newest first', () => {
    const { made: log } = using((inHand) => useLog(inHand))
    for (const note of ['first', 'second', 'third']) {
      log.begin('note')
      Object.assign(log.draft.value!, { day: '2026-06-01', note })
      log.keep()
    }
    const notes = () => log.all.value.filter((e) => e.at.startsWith('2026-06-01')).map((e) => e.note)
    expect(notes()).toEqual(['third', 'second', 'first'])
    // One that is moved to that day comes last of it; one that stays keeps its moment.
    log.begin('note')
    Object.assign(log.draft.value!, { day: '2026-06-02', note: 'moved' })
    log.keep()
    log.change(log.all.value.find((e) => e.note === 'moved')!)
    log.draft.value!.day = '2026-06-01'
    log.keep()
    expect(notes()).toEqual(['moved', 'third', 'second', 'first'])
  })
})

describe('a job in hand', () => {
  test('gives what a station shows, and nothing of a job that is not there', () => {
    const { inHand, door } = using(() => null)
    const { job, lead, crop, place, bands, container, fill, materials, quantities, units } = inHand
    expect(inHand.evaluation.value?.ok).toBe(true)
    expect(inHand.mixInput.value?.parts.length).toBe(job.value!.parts.length)
    expect(lead.value?.spec).toEqual(job.value!.fills[0]!.spec)
    expect(crop.value?.id).toBe(job.value!.cropId)
    expect(place.value).toBeDefined()
    expect(Object.keys(bands.value)).toContain('airFilledPorosity')
    expect(container.value?.headspace).toBe(lead.value!.spec.vessel.headspace)
    expect(fill.value?.ok && fill.value.value.net).toBeGreaterThan(1)
    expect(materials.value.length).toBeGreaterThanOrEqual(job.value!.parts.length)
    expect(quantities.value?.ok).toBe(true)
    expect(units.value).toBe(door.settings.units)
    const none = scope.run(() => useJobIn(door, 'no-such-job'))!
    expect([none.job.value, none.question.value, none.evaluation.value, none.mixInput.value]).toEqual([
      undefined,
      null,
      null,
      null,
    ])
    expect(none.bands.value).toBeDefined()
    expect(none.materials.value).toEqual([])
  })
  test('says a problem beside its own field alone', () => {
    const { inHand } = using(() => null)
    const wrong = { ok: false as const, problem: countProblem(6000)! }
    expect(inHand.beside('count', wrong)?.why).toMatch(/\w/)
    expect(inHand.beside('headspace', wrong)).toBeNull()
    expect(inHand.beside('plants', { ok: true, value: 1, notes: [] })).toBeNull()
    expect(inHand.beside('plants', null)).toBeNull()
  })
  test('its quantities, or the sentence of what is in the way', () => {
    const { inHand, made, door, id } = using(useQuantities)
    expect(made.q.value?.plan.batches.length).toBeGreaterThan(0)
    expect(made.problem.value).toBeNull()
    for (const { materialId } of inHand.job.value!.parts)
      door.run({ type: 'part/remove', jobId: id, materialId })
    expect(made.q.value).toBeNull()
    expect(made.problem.value?.why).toMatch(/\w/)
  })
})

/** The bench with its worker's work done on the spot. */
const onBench = (inHand: Parameters<typeof useBench>[0]) =>
  useBench(inHand, {
    moves: (request) => Promise.resolve(movesAtOnce(request)),
    rest: (request) => Promise.resolve(toEnd(atRest(request))),
  })

describe('the bench', () => {
  test('works the rest out when the hand rests, and makes a next move', async () => {
    // Leeks in soil and peat: short of air.
    const { made, inHand, door } = using(onBench, 'leeks')
    await rest()
    expect(made.later.stale.value).toBe(false)
    expect(made.later.value.value!.seasons.length).toBe(3)
    const moves = made.next.value.value?.moves ?? []
    expect(moves.length).toBeGreaterThan(0)
    const before = inHand.job.value!
    made.look.value = { kind: 'move', index: 0 }
    await rest()
    expect(made.whatIf.value?.mix.airFilledPorosity).not.toBe(
      inHand.evaluation.value?.ok && inHand.evaluation.value.value.mix.airFilledPorosity,
    )
    made.take(99)
    expect(door.done).toHaveLength(0)
    made.take(0)
    expect(door.done.map((c) => c.type)).toEqual(['recipe/replace'])
    expect(inHand.job.value).not.toEqual(before)
    expect(made.look.value).toBeNull()
  })
  test('shows what one press would do, and nothing while that is not known yet', async () => {
    const { made, inHand, door, id } = using(onBench)
    await rest()
    const { materialId } = inHand.job.value!.parts[0]!
    made.look.value = { kind: 'part', materialId, direction: 1 }
    await rest()
    const seen = made.whatIf.value!
    expect(made.undecided.value).toBe(false)
    door.run({ type: 'part/change', jobId: id, materialId, by: made.step.value })
    expect(made.undecided.value).toBe(true)
    const shown = inHand.evaluation.value
    expect(shown?.ok && shown.value.mix.airFilledPorosity).toBeCloseTo(seen.mix.airFilledPorosity, 9)
    await rest()
    expect(made.undecided.value).toBe(false)
  })
  test('a shelf without what is in the mix, the same as long as it says the same; the cost of a litre', async () => {
    const { made, inHand, door, id } = using(onBench)
    const ids = () => made.shelf.value.map((s) => s.material.id)
    const shelf = made.shelf.value
    expect(shelf.length).toBeGreaterThan(3)
    for (const { materialId } of inHand.job.value!.parts) expect(ids()).not.toContain(materialId)
    expect(made.cost.value.perLitre === null).toBe(made.cost.value.missing.length > 0)
    const { materialId } = inHand.job.value!.parts[0]!
    door.run({ type: 'part/change', jobId: id, materialId, by: 12 })
    await rest()
    expect(made.shelf.value).toBe(shelf)
    const stocked = inHand.job.value!.parts.find((p) => shelfItemOf(door.records, p.materialId)?.stock)!
    door.run({ type: 'part/remove', jobId: id, materialId: stocked.materialId })
    await rest()
    expect(ids()).toContain(stocked.materialId)
  })
})

describe('the beds of a job', () => {
  test('are added, chosen, changed, counted and taken away', () => {
    const { made, inHand, door } = using(useJobBeds)
    const first = made.chosen.value!
    const count = made.rows.value.length
    expect(made.whole.value).toBe(true)
    expect(made.counted.value).toHaveLength(count)
    made.addNew()
    expect(made.rows.value).toHaveLength(count + 1)
    const added = made.chosen.value!
    expect(added.id).not.toBe(first.id)
    made.set({ count: 3 })
    const row = () => made.rows.value.find((r) => r.fill.id === added.id)!
    const threefold = row().litres!
    made.set({ count: 1 })
    expect(threefold).toBeCloseTo(3 * row().litres!, 9)
    expect(made.wrongCount.value).toBeNull()
    made.set({ count: 0 })
    expect(made.wrongCount.value?.why).toMatch(/\w/)
    expect([row().litres, made.whole.value]).toEqual([null, false])
    made.set({ count: 2 })
    made.change({ name: 'Test wall' })
    expect(made.chosen.value!.spec.name).toBe('Test wall')
    made.choose(first.id)
    expect(made.chosen.value!.id).toBe(first.id)
    made.remove(added.id)
    expect(made.rows.value).toHaveLength(count)
    expect(bedsOf(door.records).map((b) => b.id)).toContain(added.bedId)
    expect(made.offered.value.map((b) => b.id)).toContain(added.bedId)
    made.add(made.offered.value.find((b) => b.id === added.bedId)!)
    expect(made.chosen.value!.bedId).toBe(added.bedId)
    expect(inHand.job.value!.fills).toHaveLength(count + 1)
  })
  test('one that is not on the list can be put there', () => {
    const { made, inHand, door, id } = using(useJobBeds)
    const loose = { ...inHand.job.value!.fills[0]!, id: 'loose', bedId: null }
    door.run({ type: 'jobBed/add', jobId: id, fill: loose })
    made.choose('loose')
    const before = bedsOf(door.records).length
    made.keepInList()
    expect(bedsOf(door.records)).toHaveLength(before + 1)
    expect(made.chosen.value!.bedId).not.toBeNull()
  })
  test('a size out of range is said beside its field', () => {
    const good = startingSpec('roundPot')
    const spec = ref(good)
    const { plan, problem, beside } = scope.run(() => useBedProblems(spec, PUBLISHED, 'metric'))!
    expect([plan.value?.ok, problem.value, beside('headspace')]).toEqual([true, null, null])
    spec.value = { ...good, vessel: { ...good.vessel, headspace: 500 } }
    expect(problem.value?.why).toMatch(/\w/)
    expect(beside('headspace')).toEqual(problem.value)
    expect(beside('height')).toBeNull()
    spec.value = { ...good, vessel: { ...good.vessel, count: 0 } }
    expect(beside('bedCount')?.why).toMatch(/\w/)
  })
})

describe('a recipe put in another’s place', () => {
  test('keeps what no version holds', () => {
    const { made, inHand, door, id } = using(useReplaceRecipe)
    door.run({ type: 'part/change', jobId: id, materialId: inHand.job.value!.parts[0]!.materialId, by: 12 })
    const [job, kept] = [inHand.job.value!, inHand.job.value!.versions.length]
    made({ ...job, parts: job.parts.slice(1) }, 'the test')
    expect(inHand.job.value!.parts).toHaveLength(job.parts.length - 1)
    expect(inHand.job.value!.versions).toHaveLength(kept + 1)
    expect(inHand.job.value!.versions.at(-1)!.name).toBe('Before the test')
  })
})

describe('at the tub', () => {
  test('2026-11-29: what was put in after a reading is noted as a job keeps it, and nothing else with it', () => {
    const kept: Partial<Pick<Job, 'readings' | 'corrections'>>[] = []
    const { inHand, made, door, id } = using((inHand) => {
      const quantities = inHand.quantities.value
      if (!quantities?.ok) throw new Error('no quantities')
      const card = batchCards(inHand.job.value!, quantities.value).find((c) => c.mix === null)
      return useTubChecks(inHand, shallowRef(card) as never, shallowRef(new Map()) as never, (change) => {
        kept.push(change)
        door.run({ type: 'job/marks', jobId: id, change, what: '' })
      })
    })
    // Two whole units too acid, a week after mixing: lime is missing.
    made.read('pH', 4, 7)
    made.correct(inHand.job.value!.readings.at(-1)!.id)
    const [correction] = kept.at(-1)!.corrections!.slice(-1)
    expect(Object.keys(correction!).sort()).toEqual(['at', 'batch', 'dressingId', 'grams', 'id'])
    expect(correction!.grams).toBeGreaterThan(0)
    const after = inHand.job.value!
    expect(firstRefusal([{ key: jobKey(id), before: null, after }])).toBeNull()
  })
})

describe('the finder', () => {
  type Finding = Parameters<typeof findInWorker>
  /** Calls of a worker that answer when the test lets them. */
  function workers() {
    const asked: {
      request: Finding[0]
      following: NonNullable<Finding[1]>
      answer: (of: unknown) => void
    }[] = []
    const find = ((request, following) =>
      new Promise((answer) =>
        asked.push({ request, following: following!, answer: answer as never }),
      )) as typeof findInWorker
    const inTheWay = (() => Promise.reject(new Error('gone'))) as typeof inTheWayInWorker
    return { asked, find, inTheWay }
  }
  test('wishes make its question', () => {
    const { made, door, inHand } = using((of) => useFinderWishes(of, of.job.value!.id))
    expect(made.request.value?.ok).toBe(true)
    expect(made.materials.value.map((m) => m.value)).toEqual(made.ids.value)
    expect(made.total.value).toBeGreaterThan(10)
    const all = made.total.value
    made.wish.value = { ...made.wish.value, maxMaterials: 2 }
    expect(made.total.value).toBeLessThan(all)
    made.budget.value = 2
    const perLitre = () => made.request.value?.ok && made.request.value.value.problem.rules?.maxCostPerLitre
    expect(perLitre()).toBeCloseTo(2 / (door.settings.units === 'us' ? 3.785411784 : 1), 6)
    expect(made.budget.value).toBeCloseTo(2, 9)
    const stocked = made.inStock.value[0]!
    expect(stocked.label).toMatch(/\d/)
    made.wish.value = { ...made.wish.value, useUp: made.inStock.value.map((s) => s.value) }
    const id = made.inStock.value[0]!.value
    const withStock = (stock: number) => {
      door.run({ type: 'shelf/set', item: { ...shelfItemOf(door.records, id)!, stock } })
      made.wish.value = { ...made.wish.value, useUp: [id] }
      return made.tooMuch.value
    }
    expect([withStock(1), withStock(1e6)?.left]).toEqual([null, 1e6])
    expect(made.canAskWater.value).toBe(Boolean(inHand.place.value && inHand.crop.value))
  })
  test('asks the worker, says what it hears, and forgets it when the wishes change', async () => {
    const { asked, find, inTheWay } = workers()
    const { made } = using((of) => {
      const wishing = useFinderWishes(of, 'test-2')
      return { wishing, ...useFinder(wishing, { find, inTheWay }) }
    })
    expect([made.running.value, made.result.value, made.trouble.value]).toEqual([false, null, null])
    made.find()
    await rest(0)
    expect(made.running.value).toBe(true)
    asked[0]!.following.onProgress!({ tried: 5, total: 10, best: null } as never)
    expect(made.progress.value?.tried).toBe(5)
    made.show()
    expect(asked[0]!.following.enough!.aborted).toBe(true)
    asked[0]!.answer({ ok: true, notes: [], value: { found: [{ id: 'x' }] } })
    await rest(0)
    expect([made.running.value, made.found.value.length]).toEqual([false, 1])
    made.wishing.wish.value = { ...made.wishing.wish.value, maxMaterials: 3 }
    await rest(0)
    expect([made.result.value, made.found.value]).toEqual([null, []])
  })
  test('a worker that fails is said, and can be asked again', async () => {
    const { asked, inTheWay } = workers()
    let dead = true
    const find = (() =>
      dead
        ? Promise.reject(new Error('gone'))
        : Promise.resolve({ ok: true, notes: [], value: { found: [] } })) as unknown as typeof findInWorker
    const { made } = using((of) => useFinder(useFinderWishes(of, 'test-3'), { find, inTheWay }))
    made.find()
    await rest(0)
    expect([made.running.value, made.canTryAgain.value]).toEqual([false, true])
    expect(made.trouble.value?.why).toMatch(/\w/)
    dead = false
    made.again()
    await rest(0)
    expect([made.trouble.value, made.result.value]).toEqual([null, { found: [] }])
    made.askWay()
    await rest(0)
    expect([made.asking.value, made.way.value, made.canTryAgain.value]).toEqual([false, null, true])
    expect(asked).toHaveLength(0)
  })
})

describe('ways to begin', () => {
  test('a job for a new bed, for one of the list, and the same again next year', async () => {
    const door = garden()
    const opened: unknown[] = []
    const push = (async (to: unknown) => void opened.push(to)) as never
    const { forKind, forBed, again } = useNewJob(
      { name: 'my', run: door.run, settings: { ...door.settings, units: 'us' } },
      { push },
    )
    const [jobs, beds] = [jobsOf(door.records).length, bedsOf(door.records).length]
    await forKind('box')
    // Round in the grower's own measures.
    const begun = door.done[0]!
    expect(begun.type === 'job/create' && begun.job.plan.bucket).toBeCloseTo(5 * 3.785411784, 9)
    expect([jobsOf(door.records).length, bedsOf(door.records).length]).toEqual([jobs + 1, beds + 1])
    await forBed(bedsOf(door.records)[0]!)
    expect(bedsOf(door.records)).toHaveLength(beds + 1)
    const old = jobsOf(door.records).find((j) => j.parts.length > 2)!
    await again(old)
    const created = door.done.flatMap((c) => (c.type === 'job/create' ? [c.job] : []))
    expect(created.at(-1)!.parts).toEqual(old.parts)
    expect(opened).toEqual(created.map((job) => ({ name: 'job', params: { garden: 'my', jobId: job.id } })))
  })
  test('a bag’s label is read, kept and removed', () => {
    const door = garden()
    const { reading, listed, describe: read, keep, remove, close } = useBags(door)
    const bagsNow = () => [...door.records.keys()].filter((key) => key.startsWith('bag/')).length
    const before = bagsNow()
    read()
    expect([listed.value, reading.value !== null]).toEqual([false, true])
    const bag = { ...reading.value!, name: 'Bag of the test' }
    keep(bag)
    expect([bagsNow(), reading.value]).toEqual([before + 1, null])
    read(bag)
    expect(listed.value).toBe(true)
    close()
    expect(reading.value).toBeNull()
    remove(bag.id)
    expect(bagsNow()).toBe(before)
  })
})

test('a part of the app that is gone is known by what browsers say of it, and nothing else is', () => {
  for (const words of [
    'TypeError: Failed to fetch dynamically imported module: /assets/x.js',
    'TypeError: error loading dynamically imported module: /assets/x.js',
    'TypeError: Importing a module script failed.',
    'Error: Unable to preload CSS for /assets/x.css',
  ]) {
    let onError: (error: unknown) => void = () => undefined
    const page = new EventTarget()
    const router = { onError: (handler: typeof onError) => ((onError = handler), () => undefined) }
    const missing = scope.run(() => useNewVersion(router as never, page))!
    onError(new Error('Something else'))
    page.dispatchEvent(Object.assign(new Event('unhandledrejection'), { reason: 'else' }))
    expect(missing.value).toBe(false)
    onError(new TypeError(words))
    expect(missing.value).toBe(true)
    const again = scope.run(() => useNewVersion(router as never, page))!
    const event = Object.assign(new Event('unhandledrejection', { cancelable: true }), { reason: words })
    page.dispatchEvent(event)
    expect([again.value, event.defaultPrevented]).toEqual([true, true])
    const third = scope.run(() => useNewVersion(router as never, page))!
    page.dispatchEvent(new Event('vite:preloadError'))
    expect(third.value).toBe(true)
  }
})

test('one card at a time, from where the work has got to', async () => {
  const cards = ref([{ done: true }, { done: false }, { done: false }])
  const { chosen, card, allDone } = scope.run(() => useFirstOpen(cards, (c) => c.done))!
  expect([chosen.value, card.value, allDone.value]).toEqual([1, { done: false }, false])
  cards.value[1]!.done = true
  expect(chosen.value).toBe(1)
  cards.value = [{ done: true }]
  await nextTick()
  expect([chosen.value, allDone.value]).toEqual([0, true])
  cards.value = []
  await nextTick()
  expect([card.value, allDone.value]).toEqual([undefined, false])
})

test('what planted jobs ask for comes bit by bit and whole; a later garden takes the place of an earlier one', async () => {
  const door = garden()
  const jobs = shallowRef<readonly Job[]>(jobsOf(door.records))
  const dues = scope.run(() => useDues(() => door.records, jobs))!
  expect(dues.value.size).toBe(0)
  await vi.waitUntil(() => dues.value.size > 0, { timeout: 20_000 })
  const planted = jobs.value.filter((j) => j.plantedOn).map((j) => j.id)
  expect(planted.length).toBeGreaterThan(1)
  expect(planted).toEqual(expect.arrayContaining([...dues.value.keys()]))
  const alone = jobs.value.filter((j) => j.id === [...dues.value.keys()][0])
  // Two changes in a row: only the last one is answered.
  jobs.value = []
  jobs.value = alone
  await vi.waitUntil(() => dues.value.size === 1, { timeout: 20_000 })
  expect([...dues.value.keys()]).toEqual([alone[0]!.id])
  jobs.value = []
  await vi.waitUntil(() => dues.value.size === 0, { timeout: 20_000 })
})
