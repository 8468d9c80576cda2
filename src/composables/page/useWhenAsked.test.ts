import { effectScope, nextTick, ref } from 'vue'
import { describe, expect, test, vi } from 'vitest'
import { useWhenAsked } from './useWhenAsked'

const things = Array.from({ length: 5 }, (_, i) => ({ id: `${i}` }))
const inScope = <T>(work: () => T) => {
  const scope = effectScope()
  return { scope, value: scope.run(work)! }
}

describe('what is worked out when it is asked for', () => {
  test('nothing before it is asked for, each thing once, the answer when it is there', async () => {
    const work = vi.fn((thing: { id: string }) => `about ${thing.id}`)
    const { value: about } = inScope(() => useWhenAsked(() => work))
    expect(things.map(about)).toEqual(things.map(() => undefined))
    about(things[0]!)
    await vi.waitFor(() => expect(about(things[4]!)).toBe('about 4'), { timeout: 10_000 })
    expect(things.map(about)).toEqual(things.map((t) => `about ${t.id}`))
    expect(work).toHaveBeenCalledTimes(things.length)
  })
  test('another question forgets the answers, and one on its way is not shown', async () => {
    const which = ref('first')
    const answers = { first: () => 'first', second: () => 'second' }
    const { value: about } = inScope(() => useWhenAsked(() => answers[which.value as 'first']))
    about(things[0]!)
    which.value = 'second'
    await nextTick()
    expect(about(things[0]!)).toBeUndefined()
    await vi.waitFor(() => expect(about(things[0]!)).toBe('second'), { timeout: 10_000 })
  })
  test('what nobody looks at any more is not worked out', async () => {
    const work = vi.fn(() => 1)
    const { scope, value: about } = inScope(() => useWhenAsked(() => work))
    about(things[0]!)
    scope.stop()
    await new Promise((done) => setTimeout(done, 30))
    expect(work).not.toHaveBeenCalled()
  })
})
