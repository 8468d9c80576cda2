import { differenceInCalendarDays, parseISO } from 'date-fns'
import { heapFaults, heapOf, heapYield, heatLog, ripeness } from '@/core/heap'
import type { HeapRecord, OwnMaterialRecord } from '../garden/schemas'
import { startingOwnMaterial } from '../garden/starting'

/** A heap that is just begun. */
export const startingHeap = (id: string, createdAt: string, builtOn: string): HeapRecord => ({
  id,
  name: '',
  builtOn,
  createdAt,
  loads: [],
  water: 0,
  readings: [],
  rise: null,
  cress: null,
  note: '',
})

/** A heap worked out. */
export const heapAnswer = ({ builtOn, loads, water, readings, rise, cress }: HeapRecord) => {
  const heap = heapOf(loads, water)
  const day = (on: string) => differenceInCalendarDays(parseISO(on), parseISO(builtOn))
  return {
    heap,
    faults: heapFaults(heap),
    heat: heatLog(readings.map(({ on, temperature, turned }) => ({ day: day(on), temperature, turned }))),
    ripe: ripeness({ ...(rise === null ? {} : { rise }), ...(cress === null ? {} : { cress }) }),
    comesTo: heapYield(heap),
  }
}
export type HeapAnswer = ReturnType<typeof heapAnswer>

/**
 * What a heap leaves as a material of the grower's own: nitrogen and C:N from what went on it, the rest as compost is.
 */
export function compostOf(
  { name }: Pick<HeapRecord, 'name'>,
  { comesTo }: Pick<HeapAnswer, 'comesTo'>,
  { id, createdAt }: { id: string; createdAt: string },
): OwnMaterialRecord {
  const { carbonToNitrogen, nitrogen } = comesTo
  return {
    ...startingOwnMaterial(id, createdAt),
    name,
    family: 'compost',
    figures: [
      { name: 'nitrogen', ...nitrogen },
      ...(carbonToNitrogen ? [{ name: 'carbonToNitrogen', ...carbonToNitrogen }] : []),
    ],
  }
}
