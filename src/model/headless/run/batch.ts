import {
  levelSpoons,
  METRIC_SPOONS,
  planBatches,
  shedsWaterWhenDry,
  US_SPOONS,
  waterToWorkable,
  WETTING_AGENT_ML_PER_LITRE,
} from '../../../core/batch'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'
import { limeOf } from './limeOf'
import { mixOfCase } from './lookup'

const TWELFTHS = 12

/**
 * Batches of a recipe as its own measures go in: materials, and finished mixes by the bucket. Water and wetting agent are told for
 * materials only; a finished mix is taken to be moist. Dressings in grams and level spoons for each batch.
 */
export function runBatch(c: CaseOf<'batch'>): Outcome<object> {
  const mix = mixOfCase(c)
  if (!mix.ok) return mix
  const { lookup, flat, mixed } = mix.value
  const doses = lookup.doses(c.dressings)
  if (!doses.ok) return doses
  const lime = limeOf(c.lime, lookup, mixed, doses.value, 20)
  if (!lime.ok) return lime
  const lines: { id: string; twelfths: number }[] = []
  for (const line of c.mix) {
    const twelfths = Math.round(line.parts * TWELFTHS)
    const id = 'mix' in line ? line.mix : line.material
    if (Math.abs(twelfths - line.parts * TWELFTHS) > 0.05 || twelfths < 1)
      return fail({ code: 'part-not-measurable', material: id, value: line.parts })
    lines.push({ id, twelfths })
  }
  const plan = planBatches({
    parts: lines,
    blendingLoss: flat.lossHere,
    wanted: c.wanted,
    bucket: c.bucket,
    vessel: c.vessel,
  })
  if (!plan.ok) return plan
  const spoons = c.spoons === 'us' ? US_SPOONS : METRIC_SPOONS
  const given = [
    ...lime.value.limes.map((l) => ({
      dressing: l.lime.id,
      gramsPerLitre: l.share * lime.value.gramsPerLitre,
      density: l.lime.bulkDensity.value,
    })),
    ...doses.value.map((d) => ({
      dressing: d.dressing.id,
      gramsPerLitre: d.gramsPerLitre,
      density: d.dressing.bulkDensity.value,
    })),
  ].filter((g) => g.gramsPerLitre > 0)
  const batches = plan.value.batches.map((batch) => ({
    ...batch,
    dressings: given.map((g) => {
      const grams = g.gramsPerLitre * batch.blendLitres
      return { dressing: g.dressing, grams, spoons: levelSpoons(grams, g.density, spoons) }
    }),
    water: batch.measures.flatMap((m) => {
      const material = lookup.material(m.id)
      if (!material.ok) return []
      const row = material.value.material
      return [
        {
          id: m.id,
          litres: waterToWorkable(row, row.pack) * m.litres,
          wettingAgentMl: shedsWaterWhenDry(row) ? WETTING_AGENT_ML_PER_LITRE * m.litres : 0,
        },
      ]
    }),
  }))
  return succeed({ ...plan.value, batches, blendingLoss: flat.lossHere }, ...lime.notes, ...plan.notes)
}
