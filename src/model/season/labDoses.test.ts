import { describe, expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { EXTRACT_WATER, labBand, readReport, type LabFigures } from '@/core/laboratory'
import { mgPerGram } from '@/core/nutrients'
import { demoGarden } from '@/demo/demoGarden'
import { jobsOf, placeOf } from '../garden/garden'
import { questionOfJob } from '../mix/questionOfJob'
import { labDoses, labGroup } from './labDoses'

const garden = demoGarden()
const jobs = jobsOf(garden).filter((j) => j.parts.length > 0)
const peppers = jobs.find((j) => j.cropId === 'pepper_sweet')!
const question = questionOfJob(peppers, placeOf(garden), PUBLISHED)
const dosesFor = (figures: LabFigures) =>
  labDoses(question, readReport(figures, { method: 'saturatedExtract', group: 'medium' }))

describe('what a report asks for', () => {
  test('a gap is filled to what is usual, by what the salt holds and the water of a litre of mix', () => {
    const { usual } = labBand('magnesium', 'medium')
    const [dose] = dosesFor({ magnesium: usual / 4 })
    const held = mgPerGram(dressingIn(PUBLISHED, 'magnesium_sulfate')!, 'magnesium')
    expect(dose).toMatchObject({ figure: 'magnesium', dressingId: 'magnesium_sulfate' })
    const wanted = (usual * 0.75 * EXTRACT_WATER) / held
    expect(dose!.gramsPerLitre).toBeCloseTo(
      Math.min(wanted, dressingIn(PUBLISHED, 'magnesium_sulfate')!.dose.limit),
      9,
    )
  })
  test('nothing is given where the method leaves open whether it is low', () => {
    // 14 / 0.37 is 38, below 45; 14 / 0.28 is 50, within.
    const doubtful = readReport({ nitrogen: 14 }, { method: 'oneToTwo', group: 'medium' })
    expect(doubtful[0]!.verdict).toBe('low')
    expect(labDoses(question, doubtful)).toEqual([])
  })
  test('nothing is given for what is as it should be, high, or no nutrient', () => {
    expect(dosesFor({ magnesium: 60, potassium: 9999, sodium: 0, salts: 0.1 })).toEqual([])
  })
  test('one salt for two gaps is given once, by the larger', () => {
    const doses = dosesFor({ calcium: 1, sulfur: 1 }).filter((d) => d.dressingId === 'gypsum')
    expect(doses.length).toBeLessThanOrEqual(1)
  })
  test('a dose beyond the limit of its salt is held there, and says so', () => {
    for (const dose of dosesFor({ nitrogen: 0, phosphorus: 0, potassium: 0 })) {
      const limit = dressingIn(PUBLISHED, dose.dressingId)!.dose.limit
      expect(dose.gramsPerLitre).toBeLessThanOrEqual(limit)
      expect(dose.held).toBe(dose.gramsPerLitre === limit)
    }
  })
})

test('seedlings and acid crops have bands of their own, others by how hungry they are', () => {
  expect(labGroup({ stage: 'seed' }, question, 7)).toBe('seedling')
  expect(labGroup({ stage: 'grown' }, question, 5.4)).toBe('acid')
  for (const [demand, group] of [
    ['light', 'light'],
    ['medium', 'medium'],
    ['heavy', 'heavy'],
    ['very heavy', 'heavy'],
  ] as const) {
    const crops = [{ ...question.crops[0]!, demand }]
    expect(labGroup({ stage: 'grown' }, { ...question, crops }, 7)).toBe(group)
  }
  expect(labGroup({ stage: 'grown' }, { ...question, crops: [] }, 7)).toBe('medium')
})
