import type { Evaluation } from '../evaluate'

/**
 * The single numbers of an evaluation by name, in core units: what gets a range, what is compared, what is exported.
 */
export function figuresOf(e: Evaluation, withCourse = true): Record<string, number> {
  const figures: Record<string, number> = {
    blendingLoss: e.blend.blendingLoss,
    dryBulkDensity: e.blend.dryBulkDensity,
    totalPorosity: e.mix.totalPorosity,
    containerCapacity: e.mix.containerCapacity,
    airFilledPorosity: e.mix.airFilledPorosity,
    easilyAvailableWater: e.mix.easilyAvailableWater,
    plantAvailableWater: e.mix.plantAvailableWater,
    waterBufferingCapacity: e.mix.waterBufferingCapacity,
    pH: e.lime.pH,
    residualLime: e.lime.residual,
    electricalConductivity: e.salts.most.saturatedExtract,
    dryWeight: e.weights.dry,
    drainedWeight: e.weights.drained,
    saturatedWeight: e.weights.saturated,
    floorLoad: e.weights.floorLoad,
  }
  // The course of pH is followed when it is first read.
  if (withCourse) figures.pHAtSeasonsEnd = e.acidity.at(-1)!.pH
  if (e.salts.top) figures.electricalConductivityTop = e.salts.top.electricalConductivity.saturatedExtract
  for (const s of e.seasons) {
    figures[`slumpAfterYear${s.years}`] = s.slump
    figures[`airFilledPorosityAfterYear${s.years}`] = s.airFilledPorosity
  }
  const g = e.growing
  if (g) {
    figures.earlyNitrogen = g.feeding.earlyNitrogen
    figures.nitrogenDrawdown = g.feeding.drawdown
    figures.nitrogenMet = g.feeding.met.nitrogen
    figures.fed = g.feeding.fed
    figures.nitrogenToFeed = g.feeding.toFeed.nitrogen
    figures.tippingWind = g.tippingWind
    g.watering.forEach((w, i) => (figures[`daysBetweenWaterings${i + 1}`] = w.days.value))
  }
  return figures
}
