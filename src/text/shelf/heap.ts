import { HEAP_INPUTS, litresForCarbon, waterForMoisture, type Heap, type HeapFault } from '@/core/heap'
import type { HeapRecord } from '@/model/garden/schemas'
import type { HeapAnswer } from '@/model/heap/heaps'
import { counted, numberText } from '../base/counted'
import { dayText } from '../base/dates'
import { percentText, temperatureText, volumeText, type UnitSystem } from '../base/units'

/** What goes on a heap, as growers say it. */
export const HEAP_NAMES: Record<string, string> = {
  grass_clippings: 'grass clippings',
  kitchen_scraps: 'kitchen scraps',
  vegetable_residue: 'vegetable tops and weeds',
  fruit_waste: 'fallen fruit',
  coffee_grounds: 'coffee grounds',
  tea_leaves: 'tea leaves',
  cattle_manure_fresh: 'cow manure, fresh',
  cattle_manure_strawy: 'cow manure with straw',
  horse_manure_strawy: 'horse manure with straw',
  horse_manure_shavings: 'horse manure with shavings',
  sheep_goat_manure: 'sheep or goat manure',
  poultry_manure_layer: 'hen manure',
  poultry_litter: 'poultry litter',
  rabbit_manure: 'rabbit manure',
  pig_manure: 'pig manure',
  hay: 'hay',
  straw_wheat: 'wheat straw',
  straw_oat_barley: 'oat or barley straw',
  leaves_autumn_dry: 'autumn leaves, dry',
  leaves_green_fresh: 'green leaves',
  sawdust_softwood: 'sawdust',
  wood_chips: 'wood chips',
  wood_chips_ramial: 'chips of young branches',
  bark_soft: 'bark',
  cardboard: 'cardboard, torn',
  newspaper: 'newspaper, torn',
  shrub_trimmings_shredded: 'hedge trimmings, shredded',
  seaweed: 'seaweed',
  brewers_grains: 'brewer’s grains',
  comfrey_nettle: 'comfrey and nettles',
  soil_sods: 'sods',
  urea: 'urea',
  finished_compost: 'finished compost',
}
export const heapChoices = HEAP_INPUTS.map(({ id }) => ({ value: id, label: HEAP_NAMES[id] ?? id }))

/** Litres of a heaped barrow, and US gallons of one. Source: common practice. */
export const BARROW = 90

/** "C:N 28, 58 % water, 0.35 kg/L, 450 L". */
export const heapLine = (
  { carbonToNitrogen, moisture, bulkDensity, litres }: Heap,
  units: UnitSystem,
): string =>
  `${volumeText(litres, units)}, C:N ${carbonToNitrogen === null ? '–' : numberText(carbonToNitrogen)}, ${percentText(moisture)} water, ${numberText(bulkDensity, 2)} kg/L`

/** What brings a heap right, a sentence for each fault. */
export function faultText(fault: HeapFault, heap: Heap, units: UnitSystem): string {
  const more = (id: string) => {
    const litres = litresForCarbon(heap, { id })
    return litres === null ? '' : ` ${volumeText(litres, units)} of ${HEAP_NAMES[id]} bring it right.`
  }
  switch (fault) {
    case 'too-green':
      return `Too much green: nitrogen goes off as ammonia.${more('leaves_autumn_dry')}`
    case 'too-brown':
      return `Too much brown: it rots slowly.${more('grass_clippings')}`
    case 'too-wet':
      return 'Too wet: air does not get in. Fork in something dry, and cover it.'
    case 'too-dry':
      return `Too dry: nothing rots. ${volumeText(waterForMoisture(heap), units)} of water bring it right; pour as you build.`
    case 'too-dense':
      return 'Too heavy: it lacks air. Fork in sticks or shredded trimmings.'
    case 'too-small':
      return 'Too small to heat: it rots cold, which takes a year.'
  }
}

/** "6 Apr: 60 °C, turned". */
export const readingText = ({ on, temperature, turned }: HeapRecord['readings'][number], units: UnitSystem) =>
  `${dayText(on)}: ${temperatureText(temperature, units)}${turned ? ', turned' : ''}`

/** What readings of its heat say. */
export function heatText(
  { hotDays, turns, sanitised, peak, next }: HeapAnswer['heat'],
  units: UnitSystem,
): string[] {
  if (peak === null) return []
  const said = [
    `Hottest ${temperatureText(peak, units)}; ${numberText(hotDays, 1)} days at ${temperatureText(55, units)} and above, turned ${counted(turns, 'time')} while hot.`,
  ]
  said.push(
    sanitised.open
      ? 'Hot for long enough in an open heap: weed seed and germs are dead.'
      : sanitised.closed
        ? 'Hot for long enough in a closed bin. An open heap wants fifteen days and five turns.'
        : 'Not hot for long enough to kill weed seed and germs: not for seed trays, and treat manure in it as raw.',
  )
  if (next === 'turn-it-is-hot') said.push('Turn it now, and water it: it is too hot.')
  if (next === 'turn-it-has-cooled') said.push('Turn it now: it has cooled.')
  return said
}

const RIPE: Record<NonNullable<HeapAnswer['ripe']>, string> = {
  ripe: 'Ripe: fit for mixes.',
  nearly: 'Nearly ripe: fit for beds and mulch; wait a month before it goes into pots.',
  unripe: 'Not ripe: turn it, and wait.',
}
export const ripeText = (ripe: HeapAnswer['ripe']): string => (ripe ? RIPE[ripe] : '')

/** What it leaves. */
export const yieldText = (
  { litres, carbonToNitrogen, nitrogen }: HeapAnswer['comesTo'],
  units: UnitSystem,
): string =>
  `It comes to about ${volumeText(litres.value, units)} (${volumeText(litres.low, units)} to ${volumeText(litres.high, units)}), C:N ${
    carbonToNitrogen ? numberText(carbonToNitrogen.value) : '–'
  }, ${percentText(nitrogen.value, 1)} nitrogen.`
