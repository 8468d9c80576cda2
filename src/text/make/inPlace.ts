import type { InPlace } from '@/model/make/inPlace'
import { counted, lowerFirst } from '../base/counted'
import { bedTitle, shortName } from '../base/titles'
import { doseWeightText, lengthText, volumeText, type UnitSystem } from '../base/units'
import { bucketsText, doseSpoons } from './measures'

/** How a bed is mixed where it lies, in the words of a card. */
export function inPlaceText(
  { bed, layers, depth, spread, scatter }: InPlace,
  bucket: number,
  units: UnitSystem,
): { title: string; lines: string[]; then: string } {
  const buckets = (litres: number) => bucketsText(Math.round((12 * litres) / bucket))
  return {
    title: `${bedTitle(bed.spec)}: ${counted(layers, 'layer')} of ${lengthText(depth, units)}`,
    lines: [
      ...spread.map(
        ({ id, mix, litres }) =>
          `${volumeText(litres, units)} ${lowerFirst(mix ? mix.name : shortName(id))}, ${buckets(litres)}`,
      ),
      ...scatter.map(
        ({ name, grams, bulkDensity }) =>
          `${doseWeightText(grams, units)} ${lowerFirst(name)} (${doseSpoons(grams, bulkDensity, units)})`,
      ),
    ],
    then: 'Spread each layer, scatter lime and feed over it, and fork it over twice before the next. Do not tread on it.',
  }
}
