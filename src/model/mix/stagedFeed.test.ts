import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CROPS, cropById } from '@/core/data'
import { draws } from '@/core/testing/draws'
import { feedDays } from '@/core/liquid'
import { seasonDays, uptakeShare } from '@/core/nutrients'
import { byStage } from './stagedFeed'

const weekly = {
  dressingId: 'tomato_feed_liquid',
  gramsPerLitre: 4,
  litres: 2,
  everyDays: 7,
  fromDay: 21,
  untilDay: null,
}
const season = (crop: (typeof CROPS)[number]) => seasonDays(crop)

describe('a feed by stage', () => {
  test('is worked out by hand for a tomato: stages of 30, 40 and 60 of 160 days, each with its share of uptake', () => {
    const tomato = cropById('tomato_indeterminate')!
    const days = season(tomato)
    // FAO-56, table 11: 30, 40, 60 and 30 days; here in a season of `days`.
    const starts = [30, 70, 130].map((d) => Math.round((d * days) / 160))
    const stages = byStage(weekly, tomato, Infinity)!
    const bounds = [21, ...starts.filter((d) => d > 21 && d < days), days + 1]
    expect(stages).toHaveLength(bounds.length - 1)
    const taken = bounds.slice(1).map((b, i) => uptakeShare(b / days) - uptakeShare(bounds[i]! / days))
    const all = taken.reduce((a, b) => a + b)
    const fed = feedDays({ from: 21, until: days, every: 7 })
    stages.forEach((s, i) => {
      const mine = fed.filter((d) => d >= bounds[i]! && d < bounds[i + 1]!)
      expect(s.fromDay).toBe(mine[0])
      // Two figures: within a twentieth.
      expect(s.gramsPerLitre / ((4 * fed.length * taken[i]!) / all / mine.length)).toBeCloseTo(1, 1)
    })
    // Uptake is steepest at six tenths of the season, while it bears.
    const strongest = stages.reduce((a, b) => (b.gramsPerLitre > a.gramsPerLitre ? b : a))
    expect(strongest.fromDay).toBeLessThan(0.6 * days)
    expect(strongest.untilDay ?? days).toBeGreaterThan(0.6 * days)
  })
  test('for any crop gives as much in all, on the same days, and never more at once than the strongest', () => {
    let staged = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        fc.integer({ min: 7, max: 60 }),
        fc.constantFrom(1, 3, 7, 14),
        (crop, fromDay, everyDays) => {
          const feed = { ...weekly, fromDay, everyDays }
          const stages = byStage(feed, crop, Infinity)
          if (!stages) return
          staged++
          const end = season(crop)
          const daysOf = ({ fromDay: from, untilDay }: typeof feed | (typeof stages)[number]) =>
            feedDays({ from, until: untilDay ?? end, every: everyDays })
          expect(stages.flatMap(daysOf)).toEqual(daysOf(feed))
          const given = stages.reduce((sum, s) => sum + s.gramsPerLitre * daysOf(s).length, 0)
          // Each strength is rounded to two figures.
          expect(given / (4 * daysOf(feed).length)).toBeCloseTo(1, 1)
          for (const s of byStage(feed, crop, 3)!) expect(s.gramsPerLitre).toBeLessThanOrEqual(3)
        },
      ),
      draws(),
    )
    expect(staged).toBeGreaterThan(5)
  })
  test('is not for what bears year after year, nor where all feeds fall in one stage', () => {
    expect(
      byStage(weekly, cropById('blueberry_highbush') ?? CROPS.find((c) => c.perennial)!, Infinity),
    ).toBeNull()
    const tomato = cropById('tomato_indeterminate')!
    expect(byStage({ ...weekly, fromDay: season(tomato) - 8 }, tomato, Infinity)).toBeNull()
  })
})
