import { expect, test } from 'vitest'
import { inStretches } from './stretches'

test('long work lets the page draw when its stretch is over, and only then', async () => {
  expect(inStretches(Infinity)()).toBeUndefined()
  let drew = false
  setTimeout(() => (drew = true))
  await inStretches(0)()
  expect(drew).toBe(true)
})
test('after a rest the stretch begins anew', async () => {
  const turn = inStretches(40)
  const begun = performance.now()
  while (performance.now() - begun < 45);
  await turn()
  expect(turn()).toBeUndefined()
})
