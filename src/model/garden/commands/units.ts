import { bedKey, bedsOf, jobKey, jobsOf, SETTINGS_KEY, settingsOf, specOf, type Garden } from '../garden'
import { sameData } from '../same'
import type { BedSpec, Job, Settings } from '../schemas'
import { startingSpec } from '../schemas/bedFields'
import { startingPlan } from '../startingPlan'
import type { Change, Command } from './command'

type Units = Settings['units']

/** Sizes nobody set by hand, as they begin in other units; what was set stays. */
function inUnits(spec: BedSpec, from: Units, to: Units): BedSpec {
  const begun = startingSpec(spec.vessel.kind, from)
  const untouched = sameData(
    { ...spec, name: begun.name, vessel: { ...spec.vessel, count: begun.vessel.count } },
    begun,
  )
  if (!untouched) return spec
  const next = startingSpec(spec.vessel.kind, to)
  return { ...next, name: spec.name, vessel: { ...next.vessel, count: spec.vessel.count } }
}

const planInUnits = (plan: Job['plan'], from: Units, to: Units): Job['plan'] =>
  sameData(plan, startingPlan(from)) ? { ...startingPlan(to) } : plan

/** Something was bought, got ready, measured or planted by the sizes it has. */
const isBegun = (job: Job) =>
  job.recordId !== null ||
  job.plantedOn !== null ||
  [job.bought, job.readySteps, job.ticks, job.filledSteps].some((list) => list.length > 0)

/**
 * Other units for the whole garden: containers, buckets and tubs that nobody set by hand become the usual ones of those
 * units; the rest is converted where it is shown. What is bought or begun stays as it was.
 */
export function unitsChanges(garden: Garden, { units }: Extract<Command, { type: 'units/set' }>): Change[] {
  const settings = settingsOf(garden)
  const from = settings.units
  if (from === units) return []
  const before = garden.get(SETTINGS_KEY) ?? null
  const beds = bedsOf(garden).map((bed) => ({
    key: bedKey(bed.id),
    before: bed,
    after: { ...bed, ...inUnits(specOf(bed), from, units) },
  }))
  const jobs = jobsOf(garden)
    .filter((job) => !isBegun(job))
    .map((job) => ({
      key: jobKey(job.id),
      before: job,
      after: {
        ...job,
        fills: job.fills.map((f) => ({ ...f, spec: inUnits(f.spec, from, units) })),
        plan: planInUnits(job.plan, from, units),
      },
    }))
  return [
    { key: SETTINGS_KEY, before, after: { ...settings, units } },
    ...[...beds, ...jobs].filter((change) => !sameData(change.before, change.after)),
  ]
}
