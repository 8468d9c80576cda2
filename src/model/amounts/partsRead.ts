import { GARDEN_LIMITS } from '../garden/limits'
import { readMeasure } from './measure'
import { numberAt, plainly } from './numberAt'
import type { UnitSystem } from './units'

const TWELFTHS = 12

/**
 * Twelfths of a part as people type them: "9", "2½", "1/3", "half a", or a volume, counted in buckets: "5.5 cu ft".
 * Null for what is no amount above zero, or more than a recipe takes.
 */
export function readParts(text: string, bucket: number, units: UnitSystem): number | null {
  const plain = plainly(text).replace(/ ?(?:parts?|buckets?)$/, '')
  const number = numberAt(plain)
  const whole = number?.kind === 'number' && plain.slice(number.length).trim() === '' ? number.value : null
  const volume = whole === null ? readMeasure(plain, 'volume', units) : null
  const parts = whole ?? (volume?.kind === 'value' ? volume.value / bucket : NaN)
  const twelfths = Math.round(parts * TWELFTHS)
  return twelfths >= 1 && twelfths <= GARDEN_LIMITS.twelfths.value ? twelfths : null
}
