import type { Job, Recipe, Version } from '../garden/schemas'
import { LONGEST_NAME } from '../garden/limits'

/** The recipe alone, whatever it is part of. */
export const recipeOf = ({ parts, mixes, lime, dressings }: Recipe): Recipe => ({
  parts,
  mixes,
  lime,
  dressings,
})
export const sameRecipe = (a: Recipe, b: Recipe): boolean =>
  JSON.stringify(recipeOf(a)) === JSON.stringify(recipeOf(b))

/** The recipe as it stands, to be kept; a long name is cut where names end. */
export const versionOf = (job: Job, id: string, at: string, name: string): Version => ({
  id,
  name: name.slice(0, LONGEST_NAME),
  note: '',
  at,
  from: job.versionId,
  ...recipeOf(job),
})

/** Whether the bench holds something no version keeps: it would be lost when another is put there. */
export const isUnkept = (job: Job): boolean =>
  job.parts.length > 0 && !job.versions.some((v) => sameRecipe(v, job))
