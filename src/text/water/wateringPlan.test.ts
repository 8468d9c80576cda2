import { expect, test } from 'vitest'
import type { WateringPlan } from '@/core/watering'
import { drainText } from './wateringPlan'

const plan = (change: Partial<WateringPlan>) =>
  ({ drainedShare: 0.2, drainedAWeek: 2, saltsAWeek: 1, leachingNeeded: 0.1, ...change }) as WateringPlan

test('draining is asked for by the salts of the water, and not where none would help', () => {
  expect(drainText(plan({}), 'metric')).toMatch(
    /^20 % of the water drains away, .* a week, and about .* of salts with it\.\s*$/,
  )
  expect(drainText(plan({ leachingNeeded: 0.3 }), 'metric')).toContain(
    'The salts of your water need 30 % of it to drain',
  )
  expect(drainText(plan({ leachingNeeded: 0.6 }), 'metric')).toContain('use rain water')
  expect(drainText(plan({ drainedShare: 0 }), 'metric')).toContain('Once a month')
})
