import rows from '../data/heapInputs.json'
import type { Fraction, Kilograms, Litres } from '../units'
import { HEAP_LEFT, HEAP_LIMITS as L } from './limits'

interface Spread {
  low: number
  value: number
  high: number
}
/**
 * What goes on a heap: C:N and nitrogen of its dry matter, water by weight, kg/L as it is heaped, days to lose its
 * look.
 */
export interface HeapInput {
  id: string
  kind: string
  carbonToNitrogen: Spread
  moisture: Spread
  bulkDensity: Spread
  nitrogen: Spread
  days: Spread
}
/** Source: NRAES-54, Rynk 1992 (from memory); days our assumption. */
export const HEAP_INPUTS: readonly HeapInput[] = rows

/**
 * What goes on a heap, by its id; undefined where it is none.
 *
 * @example
 * heapInput('straw_wheat')?.kind // 'brown'
 */
export const heapInput = (id: string): HeapInput | undefined => HEAP_INPUTS.find((r) => r.id === id)

/** So many litres of it, as it is heaped. */
export interface HeapLoad {
  id: string
  litres: Litres
}
/** A heap as it is built. */
export interface Heap {
  litres: Litres
  /** All of it, and of that without water. */
  weight: Kilograms
  dry: Kilograms
  carbon: Kilograms
  nitrogen: Kilograms
  /** By weight, dry; null where there is no nitrogen. */
  carbonToNitrogen: number | null
  /** Of its weight. */
  moisture: Fraction
  bulkDensity: number
}

/**
 * A heap from what goes on it, and litres of water poured over it. Loads the tables do not know are left out.
 *
 *   dry = litres x bulk density x (1 - moisture),   N = dry x nitrogen,   C = N x C:N
 *
 * Litres, kg. Errors: none. Source: mass balance; NRAES-54, Rynk 1992 (from memory).
 *
 * @example
 * heapOf([{ id: 'straw_wheat', litres: 100 }]).carbonToNitrogen > 50 // true
 */
export function heapOf(loads: readonly HeapLoad[], water: Litres = 0): Heap {
  const sum = { litres: 0, weight: water, dry: 0, carbon: 0, nitrogen: 0 }
  for (const { id, litres } of loads) {
    const row = heapInput(id)
    if (!row) continue
    const weight = litres * row.bulkDensity.value
    const dry = weight * (1 - row.moisture.value)
    sum.litres += litres
    sum.weight += weight
    sum.dry += dry
    sum.nitrogen += dry * row.nitrogen.value
    sum.carbon += dry * row.nitrogen.value * row.carbonToNitrogen.value
  }
  return {
    ...sum,
    carbonToNitrogen: sum.nitrogen > 0 ? sum.carbon / sum.nitrogen : null,
    moisture: sum.weight > 0 ? 1 - sum.dry / sum.weight : 0,
    bulkDensity: sum.litres > 0 ? sum.weight / sum.litres : 0,
  }
}

/**
 * Litres of one more load that bring a heap to a C:N; null where that load cannot.
 *
 *   x = (wanted N - C) / (c - wanted n),   c and n in a litre of it
 *
 * Errors: none. Source: mass balance.
 *
 * @example
 * litresForCarbon({ carbon: 2, nitrogen: 0.1 }, { id: 'no_such_thing' }, 30) // null
 */
export function litresForCarbon(
  { carbon, nitrogen }: Pick<Heap, 'carbon' | 'nitrogen'>,
  { id }: Pick<HeapLoad, 'id'>,
  wanted: number = L.bestCarbon.value,
): Litres | null {
  const row = heapInput(id)
  if (!row) return null
  const one = heapOf([{ id, litres: 1 }])
  const gap = one.carbon - wanted * one.nitrogen
  const litres = gap === 0 ? Infinity : (wanted * nitrogen - carbon) / gap
  return litres > 0 && Number.isFinite(litres) ? litres : null
}

/**
 * Litres of water that bring a heap to a moisture; 0 where it is as moist already.
 *
 *   w = (wanted weight - water) / (1 - wanted)
 *
 * Errors: none. Source: mass balance.
 *
 * @example
 * waterForMoisture({ weight: 100, dry: 70 }, 0.5) // 40
 */
export const waterForMoisture = (
  { weight, dry }: Pick<Heap, 'weight' | 'dry'>,
  wanted: Fraction = L.bestMoisture.value,
): Litres => Math.max(0, (wanted * weight - (weight - dry)) / (1 - wanted))

/** What is wrong with a heap as it is built. */
export type HeapFault = 'too-green' | 'too-brown' | 'too-wet' | 'too-dry' | 'too-dense' | 'too-small'

/**
 * What keeps a heap from heating well; empty where nothing does, and for an empty heap. Source: `HEAP_LIMITS`.
 *
 * @example
 * heapFaults(heapOf([{ id: 'grass_clippings', litres: 1000 }]))[0] // 'too-green'
 */
export function heapFaults({ carbonToNitrogen: cn, moisture, bulkDensity, litres }: Heap): HeapFault[] {
  if (litres === 0) return []
  const found: (HeapFault | false)[] = [
    cn !== null && cn < L.leastCarbon.value && 'too-green',
    cn !== null && cn > L.mostCarbon.value && 'too-brown',
    moisture > L.wettest.value && 'too-wet',
    moisture < L.driest.value && 'too-dry',
    bulkDensity > L.densest.value && 'too-dense',
    litres < L.leastVolume.value && 'too-small',
  ]
  return found.filter((f): f is HeapFault => f !== false)
}

/** What a heap leaves when it is ripe. */
export interface HeapYield {
  litres: Spread
  /** By weight, dry. */
  carbonToNitrogen: Spread | null
  /** Of its dry matter. */
  nitrogen: Spread
}

/**
 * What a heap comes to: half of its volume and dry matter, and seven tenths of its nitrogen. Ranges by the least and
 * most of each. Errors: none. Source: NRAES-54, Rynk 1992 (from memory).
 *
 * @example
 * heapYield(heapOf([{ id: 'leaves_autumn_dry', litres: 1000 }])).litres.value // 500
 */
export function heapYield({ litres, dry, carbon, nitrogen }: Heap): HeapYield {
  const { volume: v, dry: d, nitrogen: n } = HEAP_LEFT
  const share = (nitrogenLeft: number, dryLeft: number) =>
    dry > 0 ? (nitrogen * nitrogenLeft) / (dry * dryLeft) : 0
  // What rots away is plant matter: it has as much carbon as the heap at least, more where soil or ash dilutes the
  // heap.
  const ofLost = Math.max(CARBON, carbon / dry)
  const ratio = (nitrogenLeft: number, dryLeft: number) =>
    Math.max(LEAST_RATIO, (carbon - ofLost * dry * (1 - dryLeft)) / (nitrogen * nitrogenLeft))
  return {
    litres: { low: litres * v.low, value: litres * v.value, high: litres * v.high },
    nitrogen: { low: share(n.low, d.high), value: share(n.value, d.value), high: share(n.high, d.low) },
    carbonToNitrogen:
      nitrogen > 0
        ? {
            low: ratio(n.high, d.low),
            value: ratio(n.value, d.value),
            // Carbon leaves a heap faster than nitrogen does: what it comes to is never browner than what went on.
            high: Math.max(ratio(n.value, d.value), Math.min(carbon / nitrogen, ratio(n.low, d.high))),
          }
        : null,
  }
}
/** Carbon of the dry matter that rots away. Source: common practice, some 0.45 to 0.5 of plant matter. */
const CARBON = 0.47
/** No ripe compost has less carbon for its nitrogen: microbes themselves have 8 to 10. Source: common practice. */
const LEAST_RATIO = 10
