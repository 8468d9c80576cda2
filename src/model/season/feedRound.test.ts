import { expect, test } from 'vitest'
import { dressingIn } from '@/core/data/dressings'
import { PUBLISHED } from '@/core/data'
import { demoGarden } from '@/demo/demoGarden'
import { dressingPackKey, jobKey, jobsOf } from '../garden/garden'
import { dressingItem } from '../garden/shelfEntry'
import { fedBeds, feedRound, litresOfRound, seasonOfFeeds } from './feedRound'

const garden = demoGarden()
const job = jobsOf(garden).find((j) => j.fills.length > 0 && j.cropId !== null)!
const weekly = { dressingId: 'soluble_20_20_20', gramsPerLitre: 0.5, litres: 2, everyDays: 7, fromDay: 14 }

test('a season of a feed is its strength times the water of all beds times its days, at the price of a pack', () => {
  const litres = litresOfRound(fedBeds(garden, job, weekly))
  const [season] = seasonOfFeeds(garden, job, [{ ...weekly, untilDay: 35 }], 140)
  // Days 14, 21, 28 and 35.
  expect(season!.grams).toBeCloseTo(0.5 * litres * 4, 9)
  expect(season!.dressing).toEqual(dressingIn(PUBLISHED, 'soluble_20_20_20'))
  expect(seasonOfFeeds(garden, job, [{ ...weekly, untilDay: null }], 27)[0]!.grams).toBeCloseTo(litres, 9)
  const at = (price: number | null) =>
    seasonOfFeeds(
      new Map(garden).set(
        dressingPackKey('soluble_20_20_20'),
        dressingItem('soluble_20_20_20', 1.5, price, 0),
      ),
      job,
      [{ ...weekly, untilDay: 35 }],
      140,
    )[0]!.money
  // 9 for a pack of 1.5 kg is 0.6 cents a gram.
  expect(at(9)).toBeCloseTo(season!.grams * 0.006, 9)
  expect(at(null)).toBeNull()
})

test('the round has each stage of a feed with its days, and leaves out what is over', () => {
  const stage = (id: string, fromDay: number, untilDay: number | null) => ({
    ...weekly,
    id,
    fromDay,
    untilDay,
  })
  const fed = { ...job, archived: false, plantedOn: '2026-05-01' }
  const others = [...garden].filter(([key]) => !key.startsWith('job/'))
  const round = (liquidFeeds: (typeof job)['liquidFeeds'], today: string) =>
    feedRound(new Map([...others, [jobKey(job.id), { ...fed, liquidFeeds }]]), today).map((r) => [
      r.line.id,
      r.from,
      r.to,
    ])
  const stages = [stage('late', 35, null), stage('early', 14, 28)]
  // 14, 28 and 35 days after 1 May.
  const early = ['early', '2026-05-15', '2026-05-29']
  const late = ['late', '2026-06-05', null]
  expect(round(stages, '2026-05-01')).toEqual([early, late])
  expect(round(stages, '2026-05-29')).toEqual([early, late])
  expect(round(stages, '2026-05-30')).toEqual([late])
  expect(round([], '2026-05-01')).toEqual([])
})
