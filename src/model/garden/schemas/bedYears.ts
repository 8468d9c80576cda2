import { z } from 'zod/mini'
import { GARDEN_LIMITS } from '../limits'
import { id, number } from './basics'

/** What a bed of the list grew in years past, and what the grower has decided for years to come. */
export const bedYearsSchema = z.object({
  /** The bed of the list. */
  id,
  years: z
    .array(
      z.object({
        year: z.int().check(z.minimum(1900), z.maximum(2200)),
        /** Null where nothing grew, or nothing is decided. */
        cropId: z.nullable(id),
        /** Compost or manure spread that year, cm deep. */
        compost: number,
      }),
    )
    .check(z.maxLength(GARDEN_LIMITS.bedYears.value)),
})
export type BedYears = z.infer<typeof bedYearsSchema>
