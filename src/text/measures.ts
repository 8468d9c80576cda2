import { levelSpoons, METRIC_SPOONS, US_SPOONS, type SpoonMeasure } from '@/core/batch'
import { isMeasurable, measureText } from '@/core/mixing'
import type { CardLine } from '@/model/batchCard'
import { shortName } from './labels'
import { doseWeightText, volumeText, type UnitSystem } from './units'

/** "2½ buckets", "½ bucket"; sums no scoop can measure read as "2.1 buckets". */
export const bucketsText = (twelfths: number) =>
  `${isMeasurable(twelfths) ? measureText(twelfths) : (twelfths / 12).toFixed(1)} ${twelfths > 12 ? 'buckets' : 'bucket'}`

const plural = (n: string, one: string, many: string) => `${n} ${n === '1' || /^[¼½¾]$/.test(n) ? one : many}`

/** "1 cup + 2 tablespoons + ¾ teaspoon", level. */
export function spoonText({ cups, tablespoons, teaspoons }: SpoonMeasure): string {
  const words = [
    cups && plural(String(cups), 'cup', 'cups'),
    tablespoons && plural(String(tablespoons), 'tablespoon', 'tablespoons'),
    teaspoons && plural(measureText(teaspoons * 12), 'teaspoon', 'teaspoons'),
  ].filter(Boolean)
  return words.length ? `${words.join(' + ')}, level` : 'a pinch'
}

/** Spoons for a line of lime, in the grower's own spoons. */
export const limeSpoons = (grams: number, bulkDensity: number, units: UnitSystem) =>
  spoonText(levelSpoons(grams, bulkDensity, units === 'us' ? US_SPOONS : METRIC_SPOONS))

/** A whole line of a batch card in words. */
export function lineText(line: CardLine, units: UnitSystem): string {
  return line.kind === 'measure'
    ? `${bucketsText(line.twelfths)} ${shortName(line.id)} (${volumeText(line.litres, units)})`
    : `${doseWeightText(line.grams, units)} ${line.lime.name.toLowerCase()} (${limeSpoons(line.grams, line.lime.bulkDensity.value, units)})`
}
