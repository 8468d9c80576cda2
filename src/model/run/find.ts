import { inTheWay, searchAtOnce, type FinderProblem, type Targets } from '../../core/finder'
import { saltBand } from '../../core/nutrients'
import { succeed, type Outcome } from '../../core/outcome'
import type { CaseOf } from '../cases'
import { containerOf, cropOf, Lookup } from './lookup'

/** A find case as the core takes it; the crop's bands stand where targets leave them out. */
export function problemOf(c: CaseOf<'find'>): Outcome<FinderProblem> {
  const lookup = Lookup.of(c)
  if (!lookup.ok) return lookup
  const shelf: FinderProblem['shelf'][number][] = []
  for (const { material, ...rest } of c.shelf) {
    const found = lookup.value.material(material)
    if (!found.ok) return found
    shelf.push({ material: found.value, ...rest })
  }
  let targets: Targets = c.targets
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

export function runFind(c: CaseOf<'find'>): Outcome<object> {
  const problem = problemOf(c)
  if (!problem.ok) return problem
  const found = searchAtOnce(problem.value)
  if (!found.ok) return found
  const { families, front, tried, allowed } = found.value
  const answer = {
    families: families.slice(0, c.most),
    front,
    tried,
    allowed,
    familiesFound: families.length,
  }
  if (!c.explain || (families[0]?.score ?? 1) === 0) return succeed(answer)
  const run = inTheWay(problem.value)
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value.ok ? succeed({ ...answer, inTheWay: step.value.value }) : step.value
}
