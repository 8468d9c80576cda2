import { containerVolumes } from '../../../core/geometry'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import { LITRES } from '../../../core/units'
import type { RowsAtHand } from '../tablesOfCase'
import type { CaseOf } from '../cases'
import { countProblem } from '@/core/amounts'
import { flatOf } from '../../mix/prepareRecipe'
import { recipeOfCase } from '../questionOfCase'

/**
 * Mix for a list of containers: in place, with settling, and as loose parts to measure out. Litres and what growers
 * buy in.
 */
export function runVolume(c: CaseOf<'volume'>, rows: RowsAtHand): Outcome<object> {
  const containers = []
  let inPlace = 0
  for (const { container, count, name, rootBalls } of c.containers) {
    const wrong = countProblem(count)
    if (wrong) return fail(wrong)
    const fill = containerVolumes(container)
    if (!fill.ok) return fill
    if (rootBalls >= fill.value.mixVolume)
      return fail({
        code: 'size-too-large',
        field: 'rootBalls',
        value: rootBalls,
        limit: fill.value.mixVolume,
      })
    const each = fill.value.mixVolume - rootBalls
    inPlace += each * count
    containers.push({ name, count, mix: each, all: each * count, ...fill.value })
  }
  const toBlend = inPlace * (1 + c.settling)
  const units = (litres: number) => ({
    litres,
    cubicMetres: litres / LITRES.cubicMetre,
    cubicFeet: litres / LITRES.cubicFoot,
    cubicYards: litres / LITRES.cubicYard,
    usGallons: litres / LITRES.usGallon,
  })
  const answer = { containers, inPlace: units(inPlace), toBlend: units(toBlend) }
  if (!c.mix) return succeed(answer)
  const asked = recipeOfCase({ ...c, mix: c.mix, lime: undefined, dressings: [] }, rows)
  if (!asked.ok) return asked
  const { recipe, tables } = asked.value
  const flat = flatOf(recipe.lines, recipe.mixes, tables)
  if (!flat.ok) return flat
  const loose = toBlend / (1 - flat.value.lossHere)
  const parts = c.mix.map((line) => ({
    ...('mix' in line ? { mix: line.mix } : { material: line.material }),
    litres: (loose * line.parts) / flat.value.measured,
  }))
  return succeed({ ...answer, blendingLoss: flat.value.lossHere, toMeasure: units(loose), parts })
}
