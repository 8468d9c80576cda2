import { expect, test } from 'vitest'
import { dressingIn } from '@/core/data/dressings'
import { PUBLISHED } from '@/core/data'
import { demoGarden } from '@/demo/demoGarden'
import { dressingPackKey, jobsOf } from '../garden/garden'
import { dressingItem } from '../garden/shelfEntry'
import { fedBeds, litresOfRound, seasonOfFeeds } from './feedRound'

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
