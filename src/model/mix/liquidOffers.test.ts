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
  let [seen, byStage] = [0, 0]
  for (const question of hungry.slice(0, 4)) {
    const unfed = appraised(feeds(question, []))!
    const offers = toEnd(liquidOffers({ question, answered: [] }))
    seen += offers.filter((o) => o.traces.length === 0).length
    const steady = offers.filter((o) => !o.byStage && o.traces.length === 0)
    expect(new Set(steady.map((o) => o.feeds[0]!.dressingId)).size).toBe(steady.length)
    // One by stage at the most: it feeds as well as the steady one of its name, with fewer salts, or better.
    for (const staged of offers.filter((o) => o.byStage)) {
      byStage++
      const same = steady.find((o) => o.feeds[0]!.dressingId === staged.feeds[0]!.dressingId)!
      expect(staged.fed > same.fed || staged.salts < same.salts).toBe(true)
      expect(staged.fed).toBeGreaterThan(same.fed - 0.01)
    }
    for (const offer of offers.filter((o) => o.traces.length === 0)) {
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
  expect(byStage).toBeGreaterThan(0)
})

describe('traces in the can', () => {
  const states = (question: MixQuestion) => {
    const e = answer(question)
    if (!e.ok) throw new Error(e.problem.code)
    return e.value.traces
  }
  const short = (question: MixQuestion) =>
    states(question).flatMap((t) => (t.state === 'short' ? [t.trace] : []))
  // Peat and perlite bring next to no boron, copper or molybdenum; published mixes get a trace feed with their lime.
  const bare: MixQuestion = {
    ...hungry[0]!,
    recipe: {
      ...hungry[0]!.recipe,
      lines: [
        { id: 'peat_medium', parts: 3 },
        { id: 'perlite_coarse', parts: 1 },
      ],
      mixes: [],
      dressings: [],
    },
  }
  test('are offered where they lack, once carried out no longer lack, and none becomes too much', () => {
    expect(short(bare).length).toBeGreaterThan(0)
    const offer = toEnd(liquidOffers({ question: bare, answered: [] })).find((o) => o.traces.length > 0)!
    const left = short(feeds(bare, offer.feeds))
    for (const trace of offer.traces) {
      expect(short(bare)).toContain(trace)
      expect(left).not.toContain(trace)
    }
    const harmful = (q: MixQuestion) => states(q).filter((t) => t.state === 'tooMuch').length
    expect(harmful(feeds(bare, offer.feeds))).toBeLessThanOrEqual(harmful(bare))
    // Three cans bring the rate of the row, what drains made up for, to the litre of mix: mass balance.
    const [feed] = offer.feeds
    const row = dressingIn(PUBLISHED, feed!.dressingId)!
    const e = answer(bare)
    if (!e.ok) throw new Error()
    const kept = (3 * feed!.gramsPerLitre * feed!.litres * (1 - USUAL_LEACHING)) / e.value.fill.mixVolume
    expect(kept / row.dose.high).toBeCloseTo(1, 1)
    expect([feed!.fromDay, feed!.untilDay]).toEqual([14, 42])
  })
  test('come beside the feeds there are, which stay, and are judged with them', () => {
    // It brings no traces of its own.
    const nitrate = {
      dressingId: 'calcium_nitrate',
      gramsPerLitre: 0.2,
      litres: 1,
      everyDays: 7,
      fromDay: 21,
    }
    const fed = feeds(bare, [{ ...nitrate, untilDay: null }])
    const offer = toEnd(liquidOffers({ question: fed, answered: [] })).find((o) => o.traces.length > 0)!
    const both = appraised(feeds(bare, [...fed.care.liquidFeeds, ...offer.feeds]))!
    expect(offer.feeds).toHaveLength(1)
    expect(offer.salts).toBeCloseTo(both.evaluation.salts.most.saturatedExtract, 12)
    expect(offer.fed).toBeCloseTo(both.evaluation.growing!.feeding.fed, 12)
  })
  test('are not offered where nothing lacks', () => {
    for (const question of hungry.filter((q) => short(feeds(q, [])).length === 0).slice(0, 2))
      expect(toEnd(liquidOffers({ question, answered: [] })).filter((o) => o.traces.length > 0)).toEqual([])
  })
})

test('a mix that feeds its crop, and one without a crop, is offered nothing', () => {
  const fed = questions.filter((q) => !hungry.includes(q) && q.crops.length > 0)
  expect(fed.length).toBeGreaterThan(0)
  expect(toEnd(liquidOffers({ question: fed[0]!, answered: [] }))).toEqual([])
  expect(toEnd(liquidOffers({ question: { ...hungry[0]!, crops: [] }, answered: [] }))).toEqual([])
})
