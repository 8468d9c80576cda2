import { ref, shallowRef } from 'vue'
import { startingBag } from '@/model/garden/starting'
import type { Bag } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'

/** The bagged mix whose label is being read, if any; for every place where one can be described. */
export function useBags() {
  const garden = useGarden()
  const reading = shallowRef<Bag | null>(null)
  const listed = ref(false)
  function describe(bag?: Bag) {
    listed.value = bag !== undefined
    reading.value = bag ?? startingBag(crypto.randomUUID(), new Date().toISOString())
  }
  function keep(bag: Bag) {
    garden.run({ type: 'bag/set', bag })
    reading.value = null
  }
  function remove(bagId: string) {
    garden.run({ type: 'bag/remove', bagId })
    reading.value = null
  }
  const close = () => (reading.value = null)
  return { reading, listed, describe, keep, remove, close }
}
