import { copied } from '@/text/shelf/own'
import { shallowRef, type ShallowRef } from 'vue'
import { startingOwnDressing, startingOwnMaterial } from '@/model/garden/starting'
import type { OwnDressingRecord, OwnMaterialRecord } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import type { GardenDoor } from '../garden/gardenDoor'

export interface OwnInHand {
  /** The material or dressing being described; null when none is. */
  material: Readonly<ShallowRef<OwnMaterialRecord | null>>
  dressing: Readonly<ShallowRef<OwnDressingRecord | null>>
  /** Opens one of the garden's, or a new one; a copy gets a name and an id of its own. */
  describeMaterial: (from?: OwnMaterialRecord, copy?: boolean) => void
  describeDressing: (from?: OwnDressingRecord, copy?: boolean) => void
  keepMaterial: (material: OwnMaterialRecord) => void
  keepDressing: (dressing: OwnDressingRecord) => void
  close: () => void
}

const copyOf = <R extends { id: string; name: string; createdAt: string; retired: boolean }>(
  from: R,
  fresh: { id: string; createdAt: string },
): R => ({ ...from, id: fresh.id, createdAt: fresh.createdAt, name: copied(from.name), retired: false })

/** The grower's own material or dressing being described, if any; for every place where one can be. */
export function useOwn(garden: Pick<GardenDoor, 'run' | 'records'> = useGarden()): OwnInHand {
  const material = shallowRef<OwnMaterialRecord | null>(null)
  const dressing = shallowRef<OwnDressingRecord | null>(null)
  const fresh = () => ({ id: `own:${crypto.randomUUID()}`, createdAt: new Date().toISOString() })
  return {
    material,
    dressing,
    describeMaterial(from, copy = false) {
      const { id, createdAt } = fresh()
      material.value = from
        ? copy
          ? copyOf(from, { id, createdAt })
          : from
        : startingOwnMaterial(id, createdAt)
    },
    describeDressing(from, copy = false) {
      const { id, createdAt } = fresh()
      dressing.value = from
        ? copy
          ? copyOf(from, { id, createdAt })
          : from
        : startingOwnDressing(id, createdAt)
    },
    keepMaterial(own) {
      garden.run({ type: 'ownMaterial/set', material: own })
      material.value = null
    },
    keepDressing(own) {
      garden.run({ type: 'ownDressing/set', dressing: own })
      dressing.value = null
    },
    close() {
      material.value = null
      dressing.value = null
    },
  }
}
