import { describe, expect, test } from 'vitest'
import { burdenOf, leavesGraver } from '@/core/appraisal'
import { PUBLISHED } from '@/core/data'
import { USUAL_PLANTING_MONTH } from '@/core/growing'
import { treatedWater, UNTREATED, WATER_TREATMENT_LIMITS, type WaterTreatment } from '@/core/irrigation'
import { toEnd } from '@/core/toEnd'
import { demoGarden } from '@/demo/demoGarden'
import { jobsOf, placeOf } from '../garden/garden'
import type { Job } from '../garden/schemas'
import { answer } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { appraised } from '../mix/withFeed'
import { tapOf, underWater, waterOfJob } from '../mix/jobWater'
import { waterWays, type JobWays } from './waterWays'

const garden = demoGarden()
const place = placeOf(garden)!
const hard = { ...place, waterAlkalinity: 5, waterEc: 0.8 }
const jobs = jobsOf(garden).filter((job) => job.parts.length > 0)
const ways = (job: Job, at = hard): JobWays => {
  const found = toEnd(
    waterWays({
      question: questionOfJob(job, at, PUBLISHED),
      tap: tapOf(at),
      treatment: job.water,
      answered: [],
    }),
  )
  if (!found) throw new Error(job.id)
  return found
}
const valueOf = (job: Job, at = hard) => {
  const e = answer(questionOfJob(job, at, PUBLISHED))
  if (!e.ok) throw new Error(e.problem.code)
  return e.value
}

describe('the water of a job in its answer', () => {
  const job = jobs.find((j) => j.cropId !== null)!
  const under = (water: WaterTreatment) => valueOf({ ...job, water })
  const plain = under(UNTREATED)
  test('rain for tap water: pH ends as under a place with rain for water', () => {
    const rain = under({ rain: 1, acid: null })
    const rainy = valueOf(job, { ...hard, waterAlkalinity: 0, waterEc: 0.03 })
    expect(rain.acidity.at(-1)!.pH).toBe(rainy.acidity.at(-1)!.pH)
    expect(rain.acidity.at(-1)!.pH).toBeLessThan(plain.acidity.at(-1)!.pH)
    expect(rain.salts.most).toEqual(rainy.salts.most)
  })
  test('acid: pH ends lower, and the element of the acid reaches the crop', () => {
    const phosphoric = under({ rain: 0, acid: { id: 'phosphoric75', toPH: 6 } })
    expect(phosphoric.acidity.at(-1)!.pH).toBeLessThan(plain.acidity.at(-1)!.pH)
    const supplied = (e: typeof plain) =>
      e.growing!.feeding.weeks.phosphorus.reduce((sum, week) => sum + week.supply, 0)
    const given = plain.growing!.water.reduce(
      (sum, { from, given }, i, all) =>
        sum +
        given * (Math.min(all[i + 1]?.from ?? Infinity, lastDay(plain)) - Math.min(from, lastDay(plain))),
      0,
    )
    const { adds } = waterOfJob(hard, {
      water: { rain: 0, acid: { id: 'phosphoric75', toPH: 6 } },
    }).acidified!
    expect(supplied(phosphoric) - supplied(plain)).toBeCloseTo(given * adds.phosphorus, 6)
  })
  const lastDay = (e: typeof plain) => e.growing!.feeding.weeks.phosphorus.at(-1)!.day
  test('a question put under a water is that of a job that gets it', () => {
    const water: WaterTreatment = { rain: 0.5, acid: { id: 'sulfuric35', toPH: 6.2 } }
    expect(underWater(questionOfJob(job, hard, PUBLISHED), treatedWater(tapOf(hard), water)).place).toEqual(
      questionOfJob({ ...job, water }, hard, PUBLISHED).place,
    )
    // And back again: nothing of the acid is left.
    const treated = questionOfJob({ ...job, water }, hard, PUBLISHED)
    const again = answer(underWater(treated, tapOf(hard)))
    if (!again.ok) throw new Error(again.problem.code)
    expect(again.value.acidity).toEqual(plain.acidity)
    expect(again.value.salts).toEqual(plain.salts)
    expect(again.value.growing).toEqual(plain.growing)
  })
})

test('every offer leaves less to be said or brings water that suits, and nothing graver; its figures are those of the job with it', () => {
  let seen = 0
  let withAcid = 0
  for (const job of jobs.slice(0, 5)) {
    const { offers, plain, aim, given } = ways(job)
    expect(given).toEqual(plain)
    const before = appraised(questionOfJob(job, hard, PUBLISHED))!
    expect(offers.length).toBeLessThanOrEqual(2)
    for (const offer of offers) {
      seen++
      const after = appraised(questionOfJob({ ...job, water: offer.treatment }, hard, PUBLISHED))!
      expect(offer.toPH).toBe(after.evaluation.acidity.at(-1)!.pH)
      expect(offer.salts).toBe(after.evaluation.salts.most.saturatedExtract)
      const [now, was] = [burdenOf(after.findings), burdenOf(before.findings)]
      expect(now).toBeLessThanOrEqual(was)
      if (now === was) {
        expect(plain.water.alkalinity).toBeGreaterThan(aim.act)
        expect(offer.water.alkalinity).toBeLessThanOrEqual(aim.high)
      }
      expect(leavesGraver(before.findings, after.findings)).toBe(false)
      if (offer.treatment.acid) withAcid++
      if (offer.treatment.acid)
        expect(offer.water.alkalinity).toBeGreaterThanOrEqual(WATER_TREATMENT_LIMITS.leastLeft.value)
    }
  }
  expect(seen).toBeGreaterThan(3)
  // Growers without a butt are shown an acid too.
  expect(withAcid).toBeGreaterThan(0)
})

test('water that suits the container is left as it is unless another leaves less to be said', () => {
  for (const alkalinity of [0.6, 1.6, 2.4]) {
    const at = { ...place, waterAlkalinity: alkalinity, waterEc: 0.4 }
    for (const job of jobs.slice(0, 4)) {
      const { offers, plain, aim } = ways(job, at)
      expect(plain.water.alkalinity).toBe(alkalinity)
      const was = burdenOf(appraised(questionOfJob(job, at, PUBLISHED))!.findings)
      for (const { treatment, water, toPH } of offers) {
        const now = burdenOf(appraised(questionOfJob({ ...job, water: treatment }, at, PUBLISHED))!.findings)
        if (alkalinity <= aim.act) expect(now).toBeLessThan(was)
        // Else it brings what suits, and a meter shows it at the end.
        else if (now === was) {
          expect(water.alkalinity).toBeLessThanOrEqual(aim.high)
          expect(Math.abs(toPH - plain.toPH)).toBeGreaterThanOrEqual(0.05)
        }
      }
    }
  }
})

test('a way says where pH is once what was mixed in has worked, and where the season ends', () => {
  const job = jobs.find((j) => j.cropId !== null)!
  const { plain } = ways(job)
  const { acidity, salts, growing } = valueOf(job)
  // Six weeks are what a recipe is judged after.
  expect(plain.fromPH).toBe(acidity.find((s) => s.day >= 42)!.pH)
  expect(plain.toPH).toBe(acidity.at(-1)!.pH)
  expect(plain.course.map((s) => s.pH)).toEqual(acidity.map((s) => s.pH))
  expect(plain.salts).toBeCloseTo(salts.most.saturatedExtract, 3)
  expect(plain.fed).toBeCloseTo(growing!.feeding.fed, 3)
})

test('an acid crop on hard water is offered rain; under rain water there is nothing to offer', () => {
  const cranberry = jobs.find((j) => j.cropId === 'cranberry')!
  const [best] = ways(cranberry).offers
  expect(best!.treatment.rain).toBeGreaterThan(0.5)
  const rainy = ways(cranberry, { ...place, waterAlkalinity: 0, waterEc: 0.03 })
  expect(rainy.offers).toEqual([])
  // What a job gets already is not offered again.
  expect(ways({ ...cranberry, water: best!.treatment }).offers.map((o) => o.treatment)).not.toContainEqual(
    best!.treatment,
  )
})

test('a container drinks in the months its crop grows, as much as the evaluation says', () => {
  const job = jobs.find((j) => j.cropId !== null)!
  const { use } = ways(job)
  const { growing, fill } = valueOf(job)
  const planted = growing!.water[0]!.given * fill.mixVolume
  expect(use![(job.plantMonth ?? USUAL_PLANTING_MONTH) - 1]).toBeCloseTo(planted, 12)
  expect(use!.reduce((s, x) => s + x, 0)).toBeCloseTo(
    growing!.water.reduce((s, w) => s + w.given * fill.mixVolume, 0),
    9,
  )
})
