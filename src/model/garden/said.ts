import type { SaidAmount } from './manner'
import type { Job } from './schemas'

/** Does the dose follow from the job: its beds, its batches, its parts? Per litre of mix it is the same everywhere. */
export const followsJob = (said: SaidAmount | undefined): boolean =>
  said?.value !== undefined && !(said.base === 'volume' && said.materialId === undefined)

/** A recipe for another job: doses in g per litre hold there, amounts counted by this job do not. */
export const asPerLitre = <R extends Pick<Job, 'lime' | 'dressings'>>(recipe: R): R => ({
  ...recipe,
  lime: followsJob(recipe.lime.measure) ? { ...recipe.lime, measure: undefined } : recipe.lime,
  dressings: recipe.dressings.map((d) => (followsJob(d.measure) ? { ...d, measure: undefined } : d)),
})
