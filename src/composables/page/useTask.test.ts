import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { effectScope } from 'vue'
import { runOnce, useTask, type TaskControls } from './useTask'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** Runs that answer, fail and speak when the test lets them. */
function runs() {
  const all: (TaskControls<number> & { of: string; answer: (v: string | null) => void; fail: () => void })[] =
    []
  const scope = effectScope()
  const task = scope.run(() =>
    useTask<string, number, string>(
      (of, controls) =>
        new Promise((answer, reject) =>
          all.push({ ...controls, of, answer, fail: () => reject(new Error('gone')) }),
        ),
      1000,
    ),
  )!
  const settle = () => vi.advanceTimersByTimeAsync(0)
  return { all, task, scope, settle }
}

test('a run answers once, with what was asked', async () => {
  const { all, task, settle } = runs()
  expect([task.status.value, task.answer.value]).toEqual(['idle', null])
  task.start('a')
  await settle()
  all[0]!.onProgress(3)
  expect([task.status.value, task.progress.value]).toEqual(['running', 3])
  all[0]!.answer('A')
  await settle()
  expect([task.status.value, task.progress.value]).toEqual(['done', null])
  expect(task.answer.value).toEqual({ of: 'a', value: 'A' })
})

test('the newest question wins: the older one is cancelled, and what it still says is dropped', async () => {
  const { all, task, settle } = runs()
  task.start('a')
  await settle()
  task.start('b')
  await settle()
  expect([all[0]!.signal.aborted, all[1]!.signal.aborted]).toEqual([true, false])
  all[0]!.onProgress(9)
  all[0]!.answer('A')
  await settle()
  expect([task.status.value, task.progress.value, task.answer.value]).toEqual(['running', null, null])
  all[1]!.answer('B')
  await settle()
  expect(task.answer.value?.value).toBe('B')
})

test('a run that breaks says so, and can be asked again', async () => {
  const { all, task, settle } = runs()
  task.start('a')
  await settle()
  all[0]!.fail()
  await settle()
  expect([task.status.value, task.failure.value, task.answer.value]).toEqual(['failed', 'lost', null])
  task.again()
  await settle()
  expect([task.status.value, task.failure.value, all[1]!.of]).toEqual(['running', null, 'a'])
  all[1]!.answer('A')
  await settle()
  expect(task.answer.value).toEqual({ of: 'a', value: 'A' })
})

test('a run that falls silent fails; one that keeps speaking does not', async () => {
  const { all, task, settle } = runs()
  task.start('a')
  await settle()
  for (let i = 0; i < 5; i++) {
    await vi.advanceTimersByTimeAsync(900)
    all[0]!.onProgress(i)
  }
  expect(task.status.value).toBe('running')
  await vi.advanceTimersByTimeAsync(1001)
  expect([task.status.value, task.failure.value, all[0]!.signal.aborted]).toEqual(['failed', 'silent', true])
})

test('a run that throws at once fails like one that throws later', async () => {
  const scope = effectScope()
  const task = scope.run(() =>
    useTask<string, number, string>(() => {
      throw new Error('no worker')
    }),
  )!
  task.start('a')
  await vi.advanceTimersByTimeAsync(0)
  expect(task.failure.value).toBe('lost')
})

test('a cancel leaves nothing behind; null counts as cancelled; the end of its page ends the run', async () => {
  const { all, task, scope, settle } = runs()
  task.again()
  expect(task.status.value).toBe('idle')
  task.start('a')
  await settle()
  task.cancel()
  expect([task.status.value, all[0]!.signal.aborted]).toEqual(['idle', true])
  task.start('b')
  await settle()
  all[1]!.answer(null)
  await settle()
  expect([task.status.value, task.answer.value]).toEqual(['idle', null])
  task.start('c')
  await settle()
  scope.stop()
  expect(all[2]!.signal.aborted).toBe(true)
})

test('once beside the page: its answer, why there is none, and given up where nothing is heard of it', async () => {
  expect(await runOnce(async () => 'A')).toEqual({ value: 'A' })
  expect(await runOnce(async () => null)).toEqual({ value: null })
  expect(await runOnce(() => Promise.reject(new Error('gone')))).toEqual({ failure: 'lost' })
  const thrown = runOnce(() => {
    throw new Error('before its first wait')
  })
  expect(await thrown).toEqual({ failure: 'lost' })
  let controls: TaskControls<number> | undefined
  const hung = runOnce<number, string>((given) => {
    controls = given
    return new Promise(() => {})
  }, 1000)
  await vi.advanceTimersByTimeAsync(900)
  controls!.onProgress(1)
  await vi.advanceTimersByTimeAsync(900)
  expect(controls!.signal.aborted).toBe(false)
  await vi.advanceTimersByTimeAsync(200)
  expect(await hung).toEqual({ failure: 'silent' })
  expect(controls!.signal.aborted).toBe(true)
})

test('a page that was held up, or asleep, hears the answer that came meanwhile', async () => {
  vi.useRealTimers()
  const answered = runOnce<never, string>(
    () =>
      new Promise((answer) => {
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => {
          port1.close()
          answer('there')
        }
        port2.postMessage('there')
      }),
    40,
  )
  await Promise.resolve()
  // Nothing else gets a turn for longer than the silence.
  for (const until = performance.now() + 120; performance.now() < until;);
  expect(await answered).toEqual({ value: 'there' })
})
