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
import type { RowsAtHand } from '../tablesOfCase'
import type { CaseOf } from '../cases'
import { materialIn } from '../../../core/data'
import { prepareRecipe } from '../../mix/prepareRecipe'
import { recipeOfCase } from '../questionOfCase'

const TWELFTHS = 12
/** Twelfths by which an amount may miss a mark and still be that mark. */
const NO_MEASURE = 0.05
/** A depth for what dressings on top do to pH: a case of batches names no container. cm. */
const ANY_DEPTH = 20

/**
 * Batches of a recipe as its own measures go in: materials, and finished mixes by the bucket. Water and wetting agent
 * are given for materials only; a finished mix is taken to be moist. Dressings in grams and level spoons for each
 * batch.
 */
export function runBatch(c: CaseOf<'batch'>, rows: RowsAtHand): Outcome<object> {
  const asked = recipeOfCase(c, rows)
  if (!asked.ok) return asked
  const { recipe, tables } = asked.value
  const prepared = prepareRecipe(recipe, { tables, depth: ANY_DEPTH })
  if (!prepared.ok) return prepared
  const { flat, lime, doses } = prepared.value
  const lines: { id: string; twelfths: number }[] = []
  for (const line of c.mix) {
    const twelfths = Math.round(line.parts * TWELFTHS)
    const id = 'mix' in line ? line.mix : line.material
    if (Math.abs(twelfths - line.parts * TWELFTHS) > NO_MEASURE || twelfths < 1)
      return fail({ code: 'part-not-measurable', material: id, value: line.parts })
    lines.push({ id, twelfths })
  }
  const plan = planBatches({
    parts: lines,
    blendingLoss: flat.lossHere,
    wanted: c.wanted,
    bucket: c.bucket,
    scoop: c.scoop,
    vessel: c.vessel,
  })
  if (!plan.ok) return plan
  const spoons = c.spoons === 'us' ? US_SPOONS : METRIC_SPOONS
  const given = [
    ...lime.limes.map((l) => ({
      dressing: l.lime.id,
      gramsPerLitre: l.share * lime.together.gramsPerLitre,
      density: l.lime.bulkDensity.value,
    })),
    ...doses.map((d) => ({
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
      const row = recipe.mixes.some((mix) => mix.id === m.id) ? undefined : materialIn(tables, m.id)
      if (!row) return []
      return [
        {
          id: m.id,
          litres: waterToWorkable(row, row.pack) * m.litres,
          wettingAgentMl: shedsWaterWhenDry(row) ? WETTING_AGENT_ML_PER_LITRE * m.litres : 0,
        },
      ]
    }),
  }))
  return succeed({ ...plan.value, batches, blendingLoss: flat.lossHere }, ...prepared.notes, ...plan.notes)
}
