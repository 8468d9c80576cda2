import { isCarried } from '@/core/appraisal'
import {
  framesFor,
  materialIn,
  purposeOf,
  takes,
  type Frame,
  type PurposeQuestion,
  type Tables,
} from '@/core/data'
import { USUAL_MOST_PARTS, type Found } from '@/core/finder'
import { containerVolumes } from '@/core/geometry'
import { fail, type Outcome } from '@/core/outcome'
import type { Garden } from '../garden/garden'
import type { Job, Place, Recipe } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { dosePrices } from '../mix/doseCost'
import type { MixQuestion } from '../mix/question'
import { questionOfJob } from '../mix/questionOfJob'
import type { FindRequest } from './findMixes'
import { finderProblem } from './finderProblem'
import { finderShelf, type Source } from './materialsFrom'
import { afterFinding } from './nextMoves'

/** What a question's mix is for follows from this. */
function purposeQuestion({ bed, crops, situation }: MixQuestion): PurposeQuestion {
  const filled = containerVolumes(bed.container)
  const [crop] = crops
  return {
    stage: situation.stage,
    inGround: bed.container.base.kind === 'onSoil',
    carried: isCarried(situation),
    reservoir: bed.container.base.kind === 'sideHoles' || /wick|reservoir/i.test(situation.purpose ?? ''),
    litres: filled.ok ? filled.value.mixVolume : 0,
    ...(crop
      ? {
          crop: {
            kind: crop.kind,
            moisture: crop.moisture,
            perennial: crop.perennial,
            pH: crop.pH,
            rootVolume: crop.properties.minRootVolume.value,
          },
        }
      : {}),
    ...(situation.years === undefined ? {} : { years: situation.years }),
  }
}

/** Materials and parts of a first offer: what hands measure without losing count. Source: common practice. */
const RULES = { maxMaterials: 4, maxParts: USUAL_MOST_PARTS, oneGrade: true } as const

/** Recipes looked at, and those of them that get their chance: three are offered. Source: our assumption. */
const LOOKS = 8
const CHANCES = 3

/** Can materials fill a frame? Each slot that must hold something needs one. */
const canFill = (frame: Frame, ids: readonly string[], tables: Tables): boolean =>
  frame.every(
    (slot) =>
      slot.low <= 0 ||
      ids.some((id) => {
        const row = materialIn(tables, id)
        return row !== undefined && takes(slot, row)
      }),
  )

/** A job as its first mix is limed: for an acid lover with nothing, since peat and bark suit it as they are. */
function limedFor(job: Job, place: Place | undefined, tables: Tables): Job {
  const purpose = purposeOf(purposeQuestion(questionOfJob(job, place, tables)))
  return purpose === 'acid' ? { ...job, lime: { ...job.lime, mode: 'none' } } : job
}

/** The recipe a job begins with when a first offer is taken: parts, lime and feed as it was judged with. */
export const beginWith = (
  garden: Garden,
  job: Job,
  place: Place | undefined,
  { candidate, look }: Pick<Found, 'candidate' | 'look'>,
): Recipe => afterFinding(limedFor(job, place, tablesOf(garden)), candidate, look?.feeds)

/**
 * What is searched for an empty bench: mixes put together as a job's purpose asks, from the shelf where that holds
 * enough for one, else from every material. Errors: those of the bed; nothing to choose from.
 */
export function firstRequest(garden: Garden, job: Job, place: Place | undefined): Outcome<FindRequest> {
  const tables = tablesOf(garden)
  const bare = limedFor(job, place, tables)
  const question = questionOfJob({ ...bare, ...afterFinding(bare, { parts: [] }) }, place, tables)
  const frames = framesFor(purposeQuestion(question))
  const of = (source: Source) => {
    const shelf = finderShelf(garden, job, source, frames)
    if (!shelf.ok) return shelf
    const ids = shelf.value.map((s) => s.material.material.id)
    const open = frames.filter((frame) => canFill(frame, ids, tables))
    if (open.length === 0) return fail({ code: 'nothing-to-choose-from' })
    const problem = finderProblem(question, shelf.value)
    return problem.ok
      ? {
          ...problem,
          value: {
            problem: { ...problem.value, frames: open, rules: RULES },
            question,
            prices: dosePrices(garden),
            looks: LOOKS,
            chances: CHANCES,
          },
        }
      : problem
  }
  const own = of('shelf')
  return own.ok ? own : of('all')
}
