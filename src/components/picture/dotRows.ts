/** A row of dots on a scale that all rows share. */
export interface DotRow {
  id: string
  name: string
  dots: readonly number[]
  /** Its mean or answer, marked and written beside its line. */
  at: number
  text: string
  /** What it likely lies between. */
  range?: { low: number; high: number } | undefined
  /** The other of two, drawn in another colour and with another mark. */
  isOther?: boolean
}

/** Values of a scale and where they lie in a width, px: from the least to the most, zero too where asked. */
export function dotScale(
  rows: readonly DotRow[],
  width: number,
  { zero = true, also = [] as number[] } = {},
) {
  const all = rows.flatMap((r) => [...r.dots, r.at, ...(r.range ? [r.range.low, r.range.high] : [])])
  const values = [...all, ...also, ...(zero ? [0] : [])].filter(Number.isFinite)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const span = high - low || 1
  return (value: number) => EDGE + ((value - low) / span) * (width - 2 * EDGE)
}
/** Room at the ends of a scale, px. */
export const EDGE = 10
