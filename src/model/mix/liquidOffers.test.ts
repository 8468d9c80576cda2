import { describe, expect, test } from 'vitest'
import { burdenOf, leavesGraver } from '@/core/appraisal'
import { PUBLISHED } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { firstShort } from '@/core/judgement'
import { feedSolution } from '@/core/liquid'
import { mgPerGram, saltLimit } from '@/core/nutrients'
import { USUAL_LEACHING } from '@/core/growing'
import { toEnd } from '@/core/toEnd'
import { demoGarden } from '@/demo/demoGarden'
import { jobsOf, placeOf } from '../garden/garden'
import { LIQUID_LIMITS, liquidOffers } from './liquidOffers'
import { answer } from './prepare'
import type { LiquidFeedQuestion, MixQuestion } from './question'
import { questionOfJob } from './questionOfJob'
import { appraised } from './withFeed'

const garden = demoGarden()
const questions = jobsOf(garden).map((job) => questionOfJob(job, placeOf(garden), PUBLISHED))
const feeds = (q: MixQuestion, liquidFeeds: LiquidFeedQuestion[]) => ({
  ...q,
  care: { ...q.care, liquidFeeds },
})
const hungry = questions.filter((q) => {
  const e = answer(q)
  return e.ok && e.value.growing && firstShort(e.value.growing.feeding)
})

describe('a liquid feed in the answer', () => {
  const q = hungry[0]!
  const tomato = { dressingId: 'tomato_feed_liquid', gramsPerLitre: 6, litres: 1, everyDays: 7, fromDay: 21 }
  const value = (question: MixQuestion) => {
    const e = answer(question)
    if (!e.ok) throw new Error(e.problem.code)
    return e.value
  }
  test('brings as much as was given, less what drained and what its row never gives up', () => {
    const [plain, fed] = [value(q), value(feeds(q, [{ ...tomato, untilDay: 21 }]))]
    const potash = (e: typeof plain) => e.growing!.feeding.weeks.potassium.reduce((s, w) => s + w.supply, 0)
    const row = dressingIn(PUBLISHED, 'tomato_feed_liquid')!
    const given = (6 * (1 - USUAL_LEACHING) * mgPerGram(row, 'potassium')) / plain.fill.mixVolume
    const fraction = row.release.kind === 'firstOrder' ? row.release.fraction.value : NaN
    expect((potash(fed) - potash(plain)) / (given * fraction)).toBeCloseTo(1, 1)
    // Nothing of it before its day.
    expect(fed.growing!.feeding.weeks.potassium[1]).toEqual(plain.growing!.feeding.weeks.potassium[1])
    expect(fed.salts.mix).toEqual(plain.salts.mix)
  })
  test('ends with its last day, and without a crop does nothing', () => {
    const supply = (untilDay: number | null) => {
      const weeks = value(feeds(q, [{ ...tomato, untilDay }])).growing!.feeding.weeks.nitrogen
      return weeks.reduce((sum, w) => sum + w.supply, 0)
    }
    expect(supply(28)).toBeGreaterThan(supply(21))
    expect(supply(null)).toBeGreaterThan(supply(28))
    const bare = { ...q, crops: [] }
    expect(value(feeds(bare, [{ ...tomato, untilDay: null }])).salts).toEqual(value(bare).salts)
  })
  test('leaves the lime of the mix as it is', () => {
    const acid = { ...tomato, dressingId: 'soluble_acid_21_7_7', gramsPerLitre: 1, untilDay: null }
    expect(value(feeds(q, [acid])).lime.doses).toEqual(value(q).lime.doses)
  })
})

test('every offer feeds better, leaves nothing graver, and is no stronger than the crop and the dressing bear', () => {
  expect(hungry.length).toBeGreaterThan(2)
  let seen = 0
  for (const question of hungry.slice(0, 4)) {
    const unfed = appraised(feeds(question, []))!
    const offers = toEnd(liquidOffers({ question, answered: [] }))
    seen += offers.length
    expect(new Set(offers.map((o) => o.feeds[0]!.dressingId)).size).toBe(offers.length)
    for (const offer of offers) {
      const fed = appraised(feeds(question, offer.feeds))!
      expect(offer.fed).toBeCloseTo(fed.evaluation.growing!.feeding.fed, 12)
      expect(offer.fedWithout).toBeCloseTo(unfed.evaluation.growing!.feeding.fed, 12)
      expect(offer.fed).toBeGreaterThan(offer.fedWithout)
      expect(burdenOf(fed.findings)).toBeLessThanOrEqual(burdenOf(unfed.findings))
      expect(leavesGraver(unfed.findings, fed.findings)).toBe(false)
      for (const { dressingId, gramsPerLitre, litres } of offer.feeds) {
        const dressing = dressingIn(question.tables, dressingId)!
        const kept = (gramsPerLitre * litres * (1 - USUAL_LEACHING)) / fed.evaluation.fill.mixVolume
        // Amounts are rounded to two figures.
        expect(kept, dressingId).toBeLessThanOrEqual(dressing.dose.limit * 1.05)
        const { conductivity } = feedSolution([{ dressing, gramsPerLitre }])
        const bears = Math.min(
          LIQUID_LIMITS.strongest.value,
          LIQUID_LIMITS.overSalts.value * saltLimit(question.crops[0]!.properties),
        )
        expect(conductivity + (question.place?.waterConductivity ?? 0)).toBeLessThanOrEqual(bears * 1.05)
      }
    }
  }
  expect(seen).toBeGreaterThan(2)
})

test('a mix that feeds its crop, and one without a crop, is offered nothing', () => {
  const fed = questions.filter((q) => !hungry.includes(q) && q.crops.length > 0)
  expect(fed.length).toBeGreaterThan(0)
  expect(toEnd(liquidOffers({ question: fed[0]!, answered: [] }))).toEqual([])
  expect(toEnd(liquidOffers({ question: { ...hungry[0]!, crops: [] }, answered: [] }))).toEqual([])
})
