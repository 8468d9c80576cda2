import {
  finish,
  inTheWay,
  searchAtOnce,
  type Candidate,
  type FinderProblem,
  type FinderTargets,
} from '../../../core/finder'
import type { BlendPart } from '../../../core/mixing'
import { saltBand } from '../../../core/nutrients'
import { succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'
import { writtenDoses } from './dose'
import { wishesOf } from './finishOf'
import { containerOf, cropOf, Lookup } from './lookup'

/** A find case as the core takes it; the crop's bands stand where targets leave them out. */
function problemOf(c: CaseOf<'find'>, lookup: Lookup): Outcome<FinderProblem> {
  const shelf: FinderProblem['shelf'][number][] = []
  for (const { material, ...rest } of c.shelf) {
    const found = lookup.material(material)
    if (!found.ok) return found
    shelf.push({ material: found.value, ...rest })
  }
  let targets: FinderTargets = c.targets
  if (c.crop !== undefined) {
    const crop = cropOf(c.crop)
    if (!crop.ok) return crop
    targets = {
      airFilledPorosity: crop.value.airFilledPorosity,
      pH: crop.value.pH,
      electricalConductivity: { low: 0, high: saltBand(crop.value.properties).high },
      ...c.targets,
    }
  }
  return succeed({
    container: containerOf(c.container),
    shelf,
    targets,
    weights: c.weights,
    rules: c.rules,
    volume: c.volume,
  })
}

/** Lime and feed for each recipe found, in the same order. */
function finished(c: CaseOf<'find'>, found: readonly Candidate[], lookup: Lookup): Outcome<object[]> {
  const wishes = wishesOf({ ...c.finish, temperature: 20 }, lookup)
  if (!wishes.ok) return wishes
  const list: object[] = []
  for (const candidate of found) {
    const parts: BlendPart[] = []
    for (const { id, parts: n } of candidate.parts) {
      const material = lookup.material(id)
      if (!material.ok) return material
      parts.push({ material: material.value, parts: n })
    }
    const done = finish(parts, wishes.value)
    // What cannot be limed or fed says so in its place; the others stand.
    list.push({ ...candidate, ...(done.ok ? writtenDoses(done.value) : { problem: done.problem }) })
  }
  return succeed(list)
}

/** Works a find case out; with `finish` each family gets its lime and feed, with `explain` what stands in the way is told. */
export function runFind(c: CaseOf<'find'>): Outcome<object> {
  const lookup = Lookup.of(c)
  if (!lookup.ok) return lookup
  const problem = problemOf(c, lookup.value)
  if (!problem.ok) return problem
  const found = searchAtOnce(problem.value)
  if (!found.ok) return found
  const { families, front, tried, allowed } = found.value
  const most = families.slice(0, c.most)
  const best = c.finish ? finished(c, most, lookup.value) : succeed(most)
  if (!best.ok) return best
  const answer = { families: best.value, front, tried, allowed, familiesFound: families.length }
  if (!c.explain || (families[0]?.score ?? 1) === 0) return succeed(answer)
  const run = inTheWay(problem.value)
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value.ok ? succeed({ ...answer, inTheWay: step.value.value }) : step.value
}
