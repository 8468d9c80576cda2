import type { CardLine } from '@/model/make/batchCard'
import { tintOfLine } from './tub'

/** More buckets than these are shown by number alone. */
const MOST = 5

/** The buckets of a line as they are drawn: whole ones, then the part of one, in the tint of what is in them. */
export function bucketsOf(line: CardLine): { glyphs: number[]; tint: string } {
  if (line.kind !== 'measure') return { glyphs: [], tint: '' }
  const whole = Math.floor(line.twelfths / 12)
  const rest = line.twelfths % 12
  const glyphs = whole > MOST ? [12] : [...Array.from({ length: whole }, () => 12), ...(rest ? [rest] : [])]
  return { glyphs, tint: tintOfLine(line) }
}
