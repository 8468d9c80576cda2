import { computed, type ComputedRef } from 'vue'
import type { Tables } from '@/core/data'
import { sameTables, tablesOf } from '@/model/garden/tables'
import type { GardenDoor } from './gardenDoor'

/** The tables of a garden: the same value as long as they hold the same rows. */
export const useTables = (garden: Pick<GardenDoor, 'records'>): ComputedRef<Tables> =>
  computed<Tables>((old) => {
    const now = tablesOf(garden.records)
    return old && sameTables(old, now) ? old : now
  })
