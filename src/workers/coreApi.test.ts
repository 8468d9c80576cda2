import { PUBLISHED } from '@/core/data'
import { expose, proxy, wrap } from 'comlink'
import { describe, expect, test } from 'vitest'
import { LIMES } from '@/core/data'
import type { FinderProblem, FinderProgress } from '@/core/finder'
import type { RangeRequest } from '@/core/ranges'
import { material, parts } from '@/core/testing/arbitraries'
import type { FindRequest } from '@/model/find/findMixes'
import { startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { makeCoreApi, type CoreApi } from './coreApi'
import { drive } from './drive'

const container = {
  shape: { kind: 'roundPot' as const, topDiameter: 30, baseDiameter: 22, height: 28 },
  headspace: 3,
  base: { kind: 'drainHoles' as const },
}
const request: RangeRequest = {
  input: {
    container,
    parts: parts({ peat_medium: 2, perlite_coarse: 1 }),
    limes: [{ lime: LIMES[0]!, share: 1 }],
    limeGramsPerLitre: 3,
  },
  draws: 40,
  years: [],
}
const shelf = (ids: string[]) =>
  ids.map((id) => ({ material: material(id), pricePerLitre: 0.1, stock: 0, packLitres: 50 }))
const problem: FinderProblem = {
  container,
  shelf: shelf(['peat_medium', 'compost_green', 'perlite_coarse']),
  targets: { airFilledPorosity: { low: 0.2, high: 0.25 } },
}
const LONG: FinderProblem = {
  ...problem,
  shelf: shelf([
    'peat_medium',
    'compost_green',
    'perlite_coarse',
    'coir_pith',
    'pumice',
    'leaf_mould',
    'sand_sharp',
    'soil_loam',
    'bark_composted',
    'vermicompost',
    'grit_2_6',
    'wood_fibre',
  ]),
}

/** A search as the page asks for it, with the bed its recipes are looked at in. */
const asked = (of: FinderProblem): FindRequest => ({
  problem: of,
  question: questionOfJob(
    startingJob('j', '2026-03-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
    undefined,
    PUBLISHED,
  ),
})

/** The api as a page has it: through messages, so that everything is cloned as it is on its way to a worker. */
function remote() {
  const { port1, port2 } = new MessageChannel()
  // Comlink knows Node's ports by their events only once they are started.
  port1.start()
  port2.start()
  expose(makeCoreApi(), port1)
  return { api: wrap<CoreApi>(port2), close: () => (port1.close(), port2.close()) }
}

describe('the worker’s api over messages', () => {
  test('every answer can cross, and is the answer', async () => {
    const { api, close } = remote()
    const here = makeCoreApi()
    const ranges = await api.ranges(1, request)
    expect(ranges).toEqual(await here.ranges(1, request))
    expect(ranges?.ok && ranges.value.ranges.pH).toBeDefined()
    const found = await api.find(2, asked(problem))
    expect(found).toEqual(await here.find(2, asked(problem)))
    const way = await api.inTheWay(3, { ...problem, targets: { airFilledPorosity: { low: 0.8, high: 0.9 } } })
    expect(way?.ok).toBe(true)
    const refused = await api.ranges(4, { ...request, input: { ...request.input, parts: [] } })
    expect(refused).toEqual({ ok: false, problem: { code: 'no-parts' } })
    close()
  })
  test('progress comes while it works, and a cancel ends it with null', async () => {
    const { api, close } = remote()
    const heard: FinderProgress[] = []
    const running = api.find(
      7,
      asked(LONG),
      proxy((p: FinderProgress) => {
        heard.push(p)
        if (heard.length === 2) void api.cancel(7)
      }),
    )
    expect(await running).toBeNull()
    expect(heard.length).toBeGreaterThanOrEqual(2)
    expect(heard[1]!.tried).toBeGreaterThan(heard[0]!.tried)
    expect(heard.at(-1)!.tried).toBeLessThan(heard[0]!.total)
    expect(heard[0]!.best?.parts.length).toBeGreaterThan(0)
    // Another task is not touched by it.
    expect((await api.find(8, asked(problem)))?.ok).toBe(true)
    close()
  })
})

describe('driving a long run', () => {
  function* steps(n: number): Generator<number, string> {
    for (let i = 1; i <= n; i++) yield i
    return 'done'
  }
  const clock = (perStep: number) => {
    let t = 0
    return () => (t += perStep)
  }
  test('pauses by the clock, not by the step', async () => {
    let pauses = 0
    const heard: number[] = []
    const answer = await drive(steps(100), {
      onProgress: (p) => heard.push(p),
      pause: async () => void pauses++,
      now: clock(1),
      every: 10,
    })
    expect(answer).toBe('done')
    expect(pauses).toBeGreaterThan(3)
    expect(pauses).toBeLessThan(20)
    expect(heard).toHaveLength(pauses)
  })
  test('asks at each pause whether to go on', async () => {
    let asked = 0
    const answer = await drive(steps(100), {
      isCancelled: () => ++asked === 3,
      pause: async () => {},
      now: clock(50),
    })
    expect(answer).toBeNull()
    expect(asked).toBe(3)
  })
})
