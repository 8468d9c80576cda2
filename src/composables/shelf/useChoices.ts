import { computed } from 'vue'
import { dressingsToChoose, materialsToChoose } from '@/model/garden/tables'
import type { GardenDoor } from '../garden/gardenDoor'

/** The list there was, as long as the new one holds the same rows: what shows it is not drawn anew. */
const kept = <T>(old: T[] | undefined, now: T[]): T[] =>
  old && old.length === now.length && now.every((row, i) => row === old[i]) ? old : now

/** Materials and dressings of a garden to choose from: the same lists as long as they hold the same rows. */
export const useChoices = (garden: Pick<GardenDoor, 'records'>) => ({
  materials: computed<ReturnType<typeof materialsToChoose>>((old) =>
    kept(old, materialsToChoose(garden.records)),
  ),
  dressings: computed<ReturnType<typeof dressingsToChoose>>((old) =>
    kept(old, dressingsToChoose(garden.records)),
  ),
})
