import { z } from 'zod/mini'
import { fromFragment, toFragment } from '../fragment'
import { oneLine } from '../plainText'

/** A sheet for who waters: words alone, so that it can be read without the garden. */
const awaySheetSchema = z.object({
  format: z.literal('open-bed-away'),
  formatVersion: z.literal(1),
  title: z.string().check(z.maxLength(200)),
  beds: z
    .array(
      z.object({
        name: z.string().check(z.maxLength(200)),
        does: z.array(z.string().check(z.maxLength(400))).check(z.maxLength(6)),
      }),
    )
    .check(z.maxLength(200)),
  notes: z.array(z.string().check(z.maxLength(400))).check(z.maxLength(20)),
})
export type AwaySheet = z.infer<typeof awaySheetSchema>

export const awayFragment = (sheet: Omit<AwaySheet, 'format' | 'formatVersion'>): string =>
  toFragment('away', { format: 'open-bed-away', formatVersion: 1, ...sheet })

/** A sheet from the fragment of a link; null where the link is broken, cut short or about something else. */
export function readAwaySheet(hash: string): AwaySheet | null {
  const read = fromFragment('away', hash)
  if (!read?.ok) return null
  try {
    const sheet = awaySheetSchema.safeParse(JSON.parse(read.text))
    if (!sheet.success) return null
    const { title, beds, notes } = sheet.data
    return {
      ...sheet.data,
      title: oneLine(title),
      beds: beds.map((b) => ({ name: oneLine(b.name), does: b.does.map(oneLine) })),
      notes: notes.map(oneLine),
    }
  } catch {
    return null
  }
}
