/** How much a value is to be trusted. */
export type Confidence = 'high' | 'medium' | 'low'

/**
 * Where a value comes from. `tabulated` is recalled from the work named, `practice` is a fact of the trade,
 * `memory` has no source, `estimated` was worked out by a rule or from kindred rows, `measured` is the grower's own.
 */
export type ValueKind = 'tabulated' | 'practice' | 'memory' | 'estimated' | 'measured'

/** A property is never bare: best value, the range it likely lies in (about 9 in 10), where it comes from. */
export interface Property {
  low: number
  value: number
  high: number
  /** Key into sources.json, or `family:<name>` where it was worked out from kindred rows. */
  source: string
  kind: ValueKind
  confidence: Confidence
}

/** A row whose figures were learned from readings keeps what it was before. */
export interface Learnable<Row> {
  unlearned?: Row
}
