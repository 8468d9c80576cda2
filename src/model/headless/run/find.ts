import { toEnd } from '../../../core/toEnd'
import {
  finish,
  inTheWay,
  searchAtOnce,
  type Candidate,
  type FinderProblem,
  type FinderTargets,
} from '../../../core/finder'
import type { BlendPart } from '../../../core/mixing'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'
import { writtenDoses } from './dose'
import { wishesOf } from './finishOf'
import { USUAL_TEMPERATURE } from '@/core/evaluate'
import { shapeHeight } from '@/core/geometry'
import { preparedMaterial } from '@/core/mixing'
import { bandsOf, targetsFor } from '@/core/targets'
import { cropTargets } from '../../find/finderProblem'
import { materialIn, type Tables } from '@/core/data'
import { tablesOfCase, type RowsAtHand } from '../tablesOfCase'
import { cropOf } from '../questionOfCase'

/** A find case as the core takes it; the crop's bands stand where targets leave them out. */
function problemOf(c: CaseOf<'find'>, tables: Tables): Outcome<FinderProblem> {
  const shelf: FinderProblem['shelf'][number][] = []
  for (const { material, ...rest } of c.shelf) {
    const row = materialIn(tables, material)
    if (!row) return fail({ code: 'unknown-material', material })
    shelf.push({ material: preparedMaterial(row), ...rest })
  }
  let targets: FinderTargets = c.targets
  if (c.crop !== undefined) {
    const crop = cropOf(c.crop)
    if (!crop.ok) return crop
    const bands = bandsOf(
      targetsFor({
        crops: [crop.value],
        inGround: c.container.base.kind === 'onSoil',
        height: shapeHeight(c.container.shape) - c.container.headspace,
        carried: false,
        waterEvery: null,
      }),
    )
    targets = { ...cropTargets(bands), ...c.targets }
  }
  return succeed({
    container: c.container,
    shelf,
    targets,
    weights: c.weights,
    rules: c.rules,
    volume: c.volume,
  })
}

/** Lime and feed for each recipe found, in the same order. */
function finished(c: CaseOf<'find'>, found: readonly Candidate[], tables: Tables): Outcome<object[]> {
  const wishes = wishesOf({ ...c.finish, temperature: USUAL_TEMPERATURE }, tables)
  if (!wishes.ok) return wishes
  const list: object[] = []
  for (const candidate of found) {
    const parts: BlendPart[] = []
    for (const { id, parts: n } of candidate.parts) {
      const row = materialIn(tables, id)
      if (!row) return fail({ code: 'unknown-material', material: id })
      parts.push({ material: preparedMaterial(row), parts: n })
    }
    const done = finish(parts, wishes.value)
    // What cannot be limed or fed says so in its place; the others stand.
    list.push({ ...candidate, ...(done.ok ? writtenDoses(done.value) : { problem: done.problem }) })
  }
  return succeed(list)
}

/**
 * Answers a find case. With `finish` each family gets its lime and feed; with `explain` the answer says what stands
 * in the way.
 */
export function runFind(c: CaseOf<'find'>, rows: RowsAtHand): Outcome<object> {
  const tables = tablesOfCase(c, rows)
  if (!tables.ok) return tables
  const problem = problemOf(c, tables.value)
  if (!problem.ok) return problem
  const found = searchAtOnce(problem.value)
  if (!found.ok) return found
  const { families, front, tried, allowed } = found.value
  const most = families.slice(0, c.most)
  const best = c.finish ? finished(c, most, tables.value) : succeed(most)
  if (!best.ok) return best
  const answer = { families: best.value, front, tried, allowed, familiesFound: families.length }
  if (!c.explain || (families[0]?.score ?? 1) === 0) return succeed(answer)
  const blocked = toEnd(inTheWay(problem.value))
  return blocked.ok ? succeed({ ...answer, inTheWay: blocked.value }) : blocked
}
