import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { useDebouncedWork } from './useDebouncedWork'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

test('works once the hand rests, says what is stale meanwhile, and forgets what is gone', async () => {
  const of = shallowRef<number | null>(1)
  const worked: number[] = []
  const scope = effectScope()
  const { value, stale } = scope.run(() => useDebouncedWork(of, (n: number) => (worked.push(n), n * 10), 50))!
  await vi.advanceTimersByTimeAsync(60)
  expect([value.value, stale.value]).toEqual([10, false])
  for (const n of [2, 3, 4]) {
    of.value = n
    await nextTick()
    await vi.advanceTimersByTimeAsync(20)
    expect([value.value, stale.value]).toEqual([10, true])
  }
  await vi.advanceTimersByTimeAsync(60)
  expect([value.value, stale.value]).toEqual([40, false])
  expect(worked).toEqual([1, 4])
  of.value = null
  expect([value.value, stale.value]).toEqual([null, false])
  scope.stop()
})
