import { replaceRecipe as words } from '@/text/composables/bench'
import { isUnkept, recipeOf, versionOf } from '@/model/mix/versions'
import type { Recipe } from '@/model/garden/schemas'
import type { JobInHand } from '../job/useJob'

/**
 * Puts a whole recipe on a job's bench, with litres to make where it came with them. What was there is kept first
 * where no version holds it.
 */
export function useReplaceRecipe({ garden, job }: Pick<JobInHand, 'garden' | 'job'>) {
  return (recipe: Recipe, what: string, versionId: string | null = null, amount?: number) => {
    const j = job.value
    if (!j) return
    const keep = isUnkept(j)
      ? versionOf(j, crypto.randomUUID(), new Date().toISOString(), words.before(what))
      : undefined
    garden.run({
      type: 'recipe/replace',
      jobId: j.id,
      recipe: recipeOf(recipe),
      what,
      keep,
      versionId,
      // What came as packs makes just what they give: no more of them is bought.
      ...(amount === undefined ? {} : { amount, exact: true as const }),
    })
  }
}
