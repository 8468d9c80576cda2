import { dressingIn } from '../../../core/data/dressings'
import {
  checkStrength,
  drawnFor,
  feedFromStock,
  feedSolution,
  gramsForStrength,
  stocksFor,
  type FeedPart,
} from '../../../core/liquid'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'
import { tablesOfCase, type RowsAtHand } from '../tablesOfCase'

/**
 * Each feed as g in a litre of water. Errors: those of `tablesOfCase`; a dressing nobody knows or without the element.
 */
function partsOf(c: CaseOf<'feed'>, rows: RowsAtHand): Outcome<FeedPart[]> {
  const tables = tablesOfCase(c, rows)
  if (!tables.ok) return tables
  const parts: FeedPart[] = []
  for (const feed of c.feeds) {
    const dressing = dressingIn(tables.value, feed.dressing)
    if (!dressing) return fail({ code: 'unknown-dressing', dressing: feed.dressing })
    if ('gramsPerLitre' in feed) {
      parts.push({ dressing, gramsPerLitre: feed.gramsPerLitre })
      continue
    }
    const gramsPerLitre = gramsForStrength(dressing, feed.element, feed.mgPerLitre)
    if (gramsPerLitre === null) return fail({ code: 'no-dressing-for-target', wanted: feed.element })
    parts.push({ dressing, gramsPerLitre })
  }
  return succeed(parts)
}

/** Feeds in water: strength, conductivity, stock in one tank or two, and what a meter says of it. */
export function runFeed(c: CaseOf<'feed'>, rows: RowsAtHand): Outcome<object> {
  const parts = partsOf(c, rows)
  if (!parts.ok) return parts
  const solution = feedSolution(parts.value)
  const { tanks, clashes } = stocksFor(parts.value, c.ratio)
  const written = ({ dressing, gramsPerLitre }: FeedPart) => ({ dressing: dressing.id, gramsPerLitre })
  return succeed({
    feeds: parts.value.map((p) => ({
      ...written(p),
      mLPerLitre: p.gramsPerLitre / p.dressing.bulkDensity.value,
    })),
    mgPerLitre: solution.charge,
    ammoniumShare: solution.ammoniumShare,
    conductivityAdded: solution.conductivity,
    conductivity: c.waterConductivity + solution.conductivity,
    stock: {
      ratio: c.ratio,
      tanks: tanks.map((tank) => ({
        parts: tank.parts.map(written),
        tooStrong: tank.tooStrong.map((t) => ({ dressing: t.dressing.id, dissolves: t.dissolves })),
      })),
      clashes: clashes.map((k) => ({ calcium: k.calcium.id, other: k.other.id, with: k.with })),
      feedPerLitre: feedFromStock(1, c.ratio),
      drawnPerLitre: drawnFor(1, c.ratio),
    },
    ...(c.meterReads === undefined || !(solution.conductivity > 0)
      ? {}
      : {
          meter: checkStrength({
            read: c.meterReads,
            water: c.waterConductivity,
            adds: solution.conductivity,
            ratio: c.ratio,
          }),
        }),
  })
}
