import { effectScope, nextTick, shallowRef } from 'vue'
import { expect, test } from 'vitest'
import { LIMES } from '@/core/data'
import { bandsOf, targetsFor } from '@/core/targets'
import { parts } from '@/core/testing/arbitraries'
import { makeCoreApi } from '@/workers/coreApi'
import type { rangesInWorker } from '@/workers/core.client'
import { useChances, type Drawn } from './useChances'

const bands = bandsOf(
  targetsFor({ crops: [], inGround: false, height: null, carried: false, waterEvery: null }),
)
const drawn = (id: string, recipe: Record<string, number>): Drawn => ({
  id,
  request: {
    bands,
    input: {
      container: {
        shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
        headspace: 3,
        base: { kind: 'drainHoles' },
      },
      parts: parts(recipe),
      limes: [{ lime: LIMES[0]!, share: 1 }],
      limeGramsPerLitre: 4,
    },
  },
})
const api = makeCoreApi()
const run: typeof rangesInWorker = (request) => api.ranges(1, request)

test('the chance of each mix, one after another; a new list begins anew; what breaks is left out', async () => {
  const list = shallowRef([drawn('a', { peat_medium: 3, perlite_coarse: 1 }), drawn('b', { gravel_pea: 1 })])
  const scope = effectScope()
  const chances = scope.run(() => useChances(list, run))!
  await expect.poll(() => chances.value.size).toBe(2)
  expect(chances.value.get('a')).toBeGreaterThan(0.1)
  expect(chances.value.get('b')).toBe(0)
  list.value = [drawn('c', { peat_medium: 1 })]
  await nextTick()
  expect(chances.value.has('a')).toBe(false)
  await expect.poll(() => [...chances.value.keys()]).toEqual(['c'])
  scope.stop()
  const broken = effectScope()
  const none = broken.run(() => useChances(list, () => Promise.reject(new Error('gone'))))!
  await nextTick()
  expect(none.value.size).toBe(0)
  broken.stop()
})
