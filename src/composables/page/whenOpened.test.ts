import { nextTick, ref, shallowRef } from 'vue'
import { expect, test } from 'vitest'
import { whenOpened } from './whenOpened'

test('T19: what is typed in a dialog stays, though the thing it is about is handed over anew', async () => {
  const item = shallowRef<{ id: string; price: number } | null>(null)
  const typed = ref(0)
  whenOpened(
    () => item.value?.id ?? null,
    () => (typed.value = item.value!.price),
  )
  item.value = { id: 'peat', price: 9 }
  await nextTick()
  expect(typed.value).toBe(9)
  typed.value = 25
  // The garden changes behind the dialog: the same thing, another object.
  item.value = { id: 'peat', price: 9 }
  await nextTick()
  expect(typed.value).toBe(25)
  // Shut and opened again, it begins with what is kept.
  item.value = null
  await nextTick()
  item.value = { id: 'peat', price: 9 }
  await nextTick()
  expect(typed.value).toBe(9)
})
