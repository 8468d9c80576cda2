import { dressingIn } from '@/core/data/dressings'
import type { MixNeeded } from '@/core/filling'
import { USUAL_LEACHING } from '@/core/growing'
import { dosesOfFeed } from '@/core/liquid'
import { seasonDays, type DressingDose } from '@/core/nutrients'
import type { MixQuestion } from './question'

/**
 * What the liquid feeds of a question bring to its mix, week by week; nothing where no crop is chosen, and nothing of a
 * feed the tables do not know.
 */
export function liquidDoses({ bed, crops, care, tables }: MixQuestion, { space }: MixNeeded): DressingDose[] {
  const crop = crops[0]
  const feeds = care.liquidFeeds ?? []
  if (!crop || feeds.length === 0 || !(space > 0)) return []
  // Doses are for a litre of mix as it is made; firmed in, the container holds more of it.
  const mixVolume = space / (1 - (bed.pressed ?? 0))
  const fed = { mixVolume, leaching: care.leachingFraction ?? USUAL_LEACHING }
  const end = seasonDays(crop)
  return feeds.flatMap(({ dressingId, everyDays, fromDay, untilDay, ...amounts }) => {
    const dressing = dressingIn(tables, dressingId)
    const until = Math.min(untilDay ?? end, end)
    return dressing ? dosesOfFeed({ ...amounts, dressing, every: everyDays, from: fromDay, until }, fed) : []
  })
}
