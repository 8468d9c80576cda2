import { ref } from 'vue'
import { expect, test } from 'vitest'
import { useBriefly } from './useBriefly'

test('of a list of steps the first that is not done is in full; asked for, all are', () => {
  const steps = ref(['a', 'b', 'c'].map((id) => ({ id, done: id === 'a' })))
  const { whole, isBrief } = useBriefly('steps of a test', steps)
  const inFull = () => steps.value.filter((s) => !isBrief(s)).map((s) => s.id)
  expect(inFull()).toEqual(['b'])
  steps.value[1]!.done = true
  expect(inFull()).toEqual(['c'])
  steps.value[2]!.done = true
  expect(inFull()).toEqual([])
  whole.value = true
  expect(inFull()).toEqual(['a', 'b', 'c'])
})
