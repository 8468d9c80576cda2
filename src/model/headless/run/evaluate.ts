import { evaluate, type Evaluation, type MixInContainer } from '../../../core/evaluate'
import type { Growing } from '../../../core/growing'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import { figuresOf, rangesAtOnce, type Measurement } from '../../../core/ranges'
import type { CaseOf } from '../cases'
import { limeOf } from './limeOf'
import { containerOf, cropOf, mixOfCase } from './lookup'

/** An evaluate case as the core takes it. */
export function inputOf(c: CaseOf<'evaluate'>): Outcome<MixInContainer> {
  const mix = mixOfCase(c)
  if (!mix.ok) return mix
  const { lookup, flat, mixed } = mix.value
  const doses = lookup.doses(c.dressings)
  if (!doses.ok) return doses
  if (c.lime && 'gramsPerLitre' in c.lime && !(c.lime.gramsPerLitre >= 0))
    return fail({ code: 'amount-negative', field: 'limeGramsPerLitre', value: c.lime.gramsPerLitre })
  const lime = limeOf(c.lime, lookup, mixed, doses.value, c.temperature)
  if (!lime.ok) return lime
  const layers: NonNullable<MixInContainer['bottomLayers']>[number][] = []
  for (const layer of c.bottomLayers ?? []) {
    const below = lookup.flat(layer.mix)
    if (!below.ok) return below
    layers.push({ thickness: layer.thickness, parts: below.value.parts })
  }
  let growing: Growing | undefined
  if (c.growing) {
    const crop = cropOf(c.growing.crop)
    if (!crop.ok) return crop
    growing = { ...c.growing, crop: crop.value }
  }
  return succeed(
    {
      container: containerOf(c.container),
      parts: flat.parts,
      limes: lime.value.limes,
      limeGramsPerLitre: lime.value.gramsPerLitre,
      bottomLayers: layers,
      dressings: doses.value,
      temperature: c.temperature,
      growing,
    },
    ...lime.notes,
  )
}

/** An evaluation as plain data worth keeping: figures by name, the profile by depth, courses by the week. */
function written(e: Evaluation, input: MixInContainer) {
  return {
    figures: figuresOf(e),
    parts: e.blend.shares.map(({ material, share }) => ({ material: material.id, share })),
    lime: {
      gramsPerLitre: input.limeGramsPerLitre,
      doses: e.lime.doses.map((d) => ({ lime: d.lime.id, gramsPerLitre: d.gramsPerLitre })),
    },
    container: e.fill,
    // A dozen depths are enough to draw from; the figures use all of them.
    profile: e.profile.slices
      .filter((_, i, all) => i % Math.ceil(all.length / 24) === 0)
      .map(({ height, solids, water, air }) => ({ height, solids, water, air })),
    layers: e.profile.layers,
    salts: e.salts,
    flags: e.flags,
    acidity: e.acidity.map(({ day, pH, residual }) => ({ day, pH, residual })),
    seasons: e.seasons,
    growing: e.growing,
  }
}

/** Works an evaluate case out, with ranges where it asks for them. */
export function runEvaluate(c: CaseOf<'evaluate'>): Outcome<object> {
  const input = inputOf(c)
  if (!input.ok) return input
  if (!c.ranges) {
    const answer = evaluate(input.value)
    return answer.ok ? succeed(written(answer.value, input.value), ...input.notes, ...answer.notes) : answer
  }
  const ranged = rangesAtOnce({
    input: input.value,
    draws: c.ranges.draws,
    seed: c.ranges.seed,
    measurements: c.ranges.measurements as Measurement[],
  })
  if (!ranged.ok) return ranged
  const { best, ranges, readings, learned, draws, effective } = ranged.value
  return succeed(
    { ...written(best, input.value), ranges, readings, learned, draws, effective },
    ...input.notes,
    ...ranged.notes,
  )
}
