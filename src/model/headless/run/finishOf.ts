import type { FinishWishes } from '../../../core/finder'
import type { Dressing, Tables } from '../../../core/data'
import { chargeOfLabel, type FeedTarget } from '../../../core/nutrients'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'
import { dressingIn } from '@/core/data/dressings'
import { limesOf } from '../../mix/prepareRecipe'
import { USUAL_LIMES } from '../../mix/question'

type Wishes = Pick<CaseOf<'dose'>, 'lime' | 'feed' | 'temperature'>

/**
 * The lime and feed a case asks for, as the core takes them. A label is copied as it is; a charge may count the
 * parts' own.
 */
export function wishesOf(c: Wishes, tables: Tables): Outcome<FinishWishes> {
  const limes = limesOf(c.lime ?? USUAL_LIMES, tables)
  if (!limes.ok) return limes
  const dressings: Dressing[] = []
  for (const id of c.feed?.dressings ?? []) {
    const found = dressingIn(tables, id)
    if (!found) return fail({ code: 'unknown-dressing', dressing: id })
    dressings.push(found)
  }
  const label = c.feed?.likeLabel
  const feed: FeedTarget[] | undefined = label
    ? Object.entries(chargeOfLabel(label, label.gramsPerLitre)).map(([element, mgPerLitre]) => ({
        element: element as FeedTarget['element'],
        mgPerLitre,
      }))
    : c.feed?.targets
  return succeed({
    pH: c.lime?.targetPH ?? null,
    limes: limes.value,
    calciumToMagnesium: c.lime?.calciumToMagnesium,
    feed,
    countParts: !label && c.feed?.countParts,
    dressings,
    temperature: c.temperature,
  })
}
