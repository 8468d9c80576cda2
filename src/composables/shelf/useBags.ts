import { ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { Dressing, Material } from '@/core/data'
import { startingBag } from '@/model/garden/starting'
import type { Bag } from '@/model/garden/schemas'
import type { GardenDoor } from '../garden/gardenDoor'
import { useGarden } from '@/stores/garden'
import { useChoices } from './useChoices'

export interface BagsInHand {
  /** The bag whose label is being read; null when none is. */
  reading: Readonly<ShallowRef<Bag | null>>
  /** Whether it is in the garden's list already. */
  listed: Readonly<Ref<boolean>>
  /** What its label can name. */
  materials: ComputedRef<Material[]>
  dressings: ComputedRef<Dressing[]>
  /** Opens a bag's label, a new one without it. */
  describe: (bag?: Bag) => void
  keep: (bag: Bag) => void
  remove: (bagId: string) => void
  close: () => void
}

/** The bagged mix whose label is being read, if any; for every place where one can be described. */
export function useBags(garden: Pick<GardenDoor, 'run' | 'records'> = useGarden()): BagsInHand {
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
  const close = () => void (reading.value = null)
  return { reading, listed, ...useChoices(garden), describe, keep, remove, close }
}
