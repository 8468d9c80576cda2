import { growthOf } from '@/core/data/growth'
import type { Crop } from '@/core/data'
import { stageDays } from '@/core/climate'
import { feedDays } from '@/core/liquid'
import { seasonDays, uptakeShare } from '@/core/nutrients'
import type { LiquidFeedQuestion } from './question'

/**
 * Days on which the stages of a crop begin after its first: growing on, bearing, ripening off. Of FAO-56's stages, in
 * the season its uptake runs over. Empty for what bears year after year, whose stages begin with the buds.
 */
function stageStarts(crop: Crop): number[] {
  const growth = growthOf(crop.id)
  if (!growth || growth.stages.from !== 'planting' || crop.perennial) return []
  const { initial, development, middle } = growth.stages
  const scale = seasonDays(crop) / stageDays(growth)
  return [initial, initial + development, initial + development + middle].map((d) => Math.round(d * scale))
}

/**
 * A feed given by stage: as much in all as the steady one, shared out among the stages as the crop takes its food up,
 * on the same days and in the same water. Two figures of strength, no stronger than `strongest` (g/L). Null where the
 * crop has no stages within it. Source: stages of FAO-56; uptake as `uptakeShare`; sharing it out is arithmetic.
 */
export function byStage(
  feed: LiquidFeedQuestion,
  crop: Crop,
  strongest: number,
): LiquidFeedQuestion[] | null {
  const season = seasonDays(crop)
  const days = feedDays({ from: feed.fromDay, until: season, every: feed.everyDays })
  const starts = [feed.fromDay, ...stageStarts(crop).filter((d) => d > feed.fromDay && d < season)]
  const stages = starts
    .map((from, i) => {
      const until = starts[i + 1] ?? season + 1
      return { days: days.filter((d) => d >= from && d < until), from, until }
    })
    .filter((s) => s.days.length > 0)
  if (stages.length < 2) return null
  const taken = stages.map((s) => uptakeShare(s.until / season) - uptakeShare(s.from / season))
  const all = taken.reduce((sum, t) => sum + t, 0)
  return stages.map((s, i) => {
    const strength = (feed.gramsPerLitre * days.length * (taken[i]! / all)) / s.days.length
    const isLast = i === stages.length - 1
    return {
      ...feed,
      gramsPerLitre: Number(Math.min(strength, strongest).toPrecision(2)),
      fromDay: s.days[0]!,
      untilDay: isLast ? feed.untilDay : s.days.at(-1)!,
    }
  })
}
