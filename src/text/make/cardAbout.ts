import { cropInText } from '../base/cropInText'
import type { Job } from '@/model/garden/schemas'
import type { Verdict } from '@/model/mix/verdict'
import { fillsText } from '../base/titles'
import { partsText } from '../mix/recipes'
import { verdictText } from '../mix/topics'

/** Crop, recipe and what is said first of it, as the paper card has them. */
export const cardAboutText = (
  job: Pick<Job, 'parts' | 'mixes' | 'fills' | 'amount'>,
  crop: string | null,
  verdict: Verdict | null,
): string[] => [
  ...(crop ? [`For ${cropInText(crop)}`] : []),
  ...(job.amount === null ? [`Fills ${fillsText(job.fills)}`] : []),
  `By parts: ${partsText(job.parts, job.mixes)}`,
  ...(verdict ? [verdictText(verdict, crop)] : []),
]
