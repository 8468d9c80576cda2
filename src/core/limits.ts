/**
 * A number that decides something, with where it comes from. `low` and `high` are what a careful grower might put
 * instead.
 */
export interface Limit {
  value: number
  low: number
  high: number
  unit: string
  source: string
}

/**
 * A table of limits by id, one for each subject. A test tries every row from both sides
 * (`src/core/testing/limits.test.ts`). The program knows the values alone: ranges, units and sources are for readers,
 * and the page is built without them.
 */
export const defineLimits = <Id extends string>(
  rows: Record<Id, Limit>,
): Readonly<Record<Id, Pick<Limit, 'value'>>> => rows
