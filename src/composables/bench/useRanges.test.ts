import { effectScope, nextTick, shallowRef } from 'vue'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { MixInContainer } from '@/core/evaluate'
import type { rangesInWorker } from '@/workers/core.client'
import { useRanges } from './useRanges'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const mix = (lime: number) => ({ limeGramsPerLitre: lime }) as MixInContainer

/** A worker whose answers come when the test lets them. */
function slowWorker() {
  const asked: { lime: number; signal: AbortSignal; answer: (low: number) => Promise<void> }[] = []
  const run = ((request, following) =>
    new Promise((resolve) => {
      asked.push({
        lime: request.input.limeGramsPerLitre,
        signal: following!.signal!,
        answer: async (low) => {
          resolve({
            ok: true,
            notes: [],
            value: { ranges: { pH: { low, middle: low, high: low } } },
          } as never)
          await nextTick()
          await nextTick()
        },
      })
    })) as typeof rangesInWorker
  return { asked, run }
}

test('waits for the hand to rest, shows only what belongs to the mix in hand, and drops older answers', async () => {
  const { asked, run } = slowWorker()
  const wanted = shallowRef<MixInContainer | null>(mix(1))
  const scope = effectScope()
  const { ranges } = scope.run(() => useRanges(() => wanted.value && { input: wanted.value }, run))!
  const rest = async () => {
    await nextTick()
    await vi.advanceTimersByTimeAsync(200)
    await nextTick()
  }
  await rest()
  expect(asked.map((a) => a.lime)).toEqual([1])
  await asked[0]!.answer(5)
  expect(ranges.value?.pH!.low).toBe(5)

  // Three quick changes are one question; until it is answered nothing stale is shown.
  wanted.value = mix(2)
  wanted.value = mix(3)
  wanted.value = mix(4)
  await nextTick()
  expect(ranges.value).toBeNull()
  await rest()
  expect(asked.map((a) => a.lime)).toEqual([1, 4])
  wanted.value = mix(6)
  await rest()
  expect(asked[1]!.signal.aborted).toBe(true)
  await asked[2]!.answer(7)
  await asked[1]!.answer(6)
  expect(ranges.value?.pH!.low).toBe(7)

  wanted.value = null
  await rest()
  expect(ranges.value).toBeNull()
  expect(asked).toHaveLength(3)
  scope.stop()
})
