import { z } from 'zod'
import { GARDEN_LIMITS } from '../limits'
import { id, number } from './basics'

/** What a bed of the list grew in years past, and what the grower has decided for years to come. */
export const bedYearsSchema = z.object({
  /** The bed of the list. */
  id,
  years: z
    .array(
      z.object({
        year: z.int().min(1900).max(2200),
        /** Null where nothing grew, or nothing is decided. */
        cropId: id.nullable(),
        /** Compost or manure spread that year, cm deep. */
        compost: number,
      }),
    )
    .max(GARDEN_LIMITS.bedYears.value),
})
export type BedYears = z.infer<typeof bedYearsSchema>
