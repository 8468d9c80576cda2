import { z } from 'zod/mini'
import { GARDEN_LIMITS } from '../limits'
import { id, text } from './basics'

/** A picture of what was made or grew, shrunk before it is kept. */
export const photoSchema = z.object({
  id,
  /** The job it belongs to, and so the record of it; or the field test it shows. */
  jobId: id,
  takenAt: z.iso.datetime(),
  /** A JPEG as a data address. */
  jpeg: text(GARDEN_LIMITS.photoLetters.value).check(z.regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/)),
})

export type Photo = z.infer<typeof photoSchema>
