import { expect, test } from 'vitest'
import { leavesGraver } from '@/core/appraisal'
import { PUBLISHED } from '@/core/data'
import { demoGarden } from '@/demo/demoGarden'
import { jobsOf, placeOf } from '../garden/garden'
import { questionOfJob } from './questionOfJob'
import { withFeed } from './withFeed'

test('a mix never comes hungry: its feed comes with it, and leaves nothing graver', () => {
  const garden = demoGarden()
  let fed = 0
  for (const job of jobsOf(garden)) {
    const bare = { ...questionOfJob({ ...job, dressings: [] }, placeOf(garden), PUBLISHED) }
    const without = withFeed({ ...bare, crops: [] })
    const found = withFeed(bare)
    if (!found || !without) continue
    // Without a crop nothing is known to run short.
    expect(without.feeds).toEqual([])
    if (found.feeds.length === 0) continue
    fed++
    const given = found.prepared.question.recipe.dressings
    expect(given.map((d) => d.dressingId)).toEqual(found.feeds.map((f) => f.dressingId))
    const hungry = withFeed({ ...bare, recipe: { ...bare.recipe, dressings: given } })!
    expect(leavesGraver(found.findings, hungry.findings)).toBe(false)
    expect(found.evaluation.growing!.feeding.fed).toBeGreaterThan(0.3)
  }
  expect(fed).toBeGreaterThan(3)
})
