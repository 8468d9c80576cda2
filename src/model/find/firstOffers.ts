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
import { finderShelf } from './materialsFrom'
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

/** Frames of the question's purpose that materials can fill, none of them with a bag. */
export const framesWith = (question: MixQuestion, ids: readonly string[], tables: Tables): Frame[] =>
  framesFor(purposeQuestion(question)).filter((frame) => !opensABag(frame) && canFill(frame, ids, tables))

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

/** What a grower begins from: a bag of potting mix, materials that are there, or nothing yet. */
export type Have = { kind: 'bag' } | { kind: 'own'; ids: readonly string[] } | { kind: 'nothing' }

const BAG = 'potting_mix_bagged'
/** Does a frame begin with a bag of mix? */
const opensABag = (frame: Frame) => frame.some((slot) => slot.low > 0 && slot.ids?.includes(BAG))
/** A bag opened with grains, for a purpose that has no such frame: most of it bag. Source: common practice. */
const BAG_FRAME: Frame = [
  { ids: [BAG], low: 0.5, high: 0.8 },
  { families: ['perlite', 'bark', 'aggregate', 'compost', 'soil'], low: 0.2, high: 0.5 },
]

/**
 * What is searched for an empty bench: mixes put together as a job's purpose asks. Who has nothing yet is offered what
 * the shelf makes where that holds enough for one, else what to get; a bag is opened with what makes it better; of
 * materials that are there nothing but those goes in. Errors: those of the bed; nothing to choose from.
 */
export function firstRequest(
  garden: Garden,
  job: Job,
  place: Place | undefined,
  have: Have = { kind: 'nothing' },
): Outcome<FindRequest> {
  const tables = tablesOf(garden)
  const bare = limedFor(job, place, tables)
  const question = questionOfJob({ ...bare, ...afterFinding(bare, { parts: [] }) }, place, tables)
  const usual = framesFor(purposeQuestion(question))
  const bags = usual.filter(opensABag)
  const frames = have.kind !== 'bag' ? usual : bags.length > 0 ? bags : [BAG_FRAME]
  const of = (source: Parameters<typeof finderShelf>[2]) => {
    const shelf = finderShelf(garden, job, source, frames)
    if (!shelf.ok) return shelf
    const ids = shelf.value.map((s) => s.material.material.id)
    const open = frames.filter((frame) => canFill(frame, ids, tables))
    if (open.length === 0 && have.kind !== 'own') return fail({ code: 'nothing-to-choose-from' })
    const problem = finderProblem(question, shelf.value)
    return problem.ok
      ? {
          ...problem,
          value: {
            problem: { ...problem.value, ...(open.length > 0 ? { frames: open } : {}), rules: RULES },
            question,
            prices: dosePrices(garden),
            looks: LOOKS,
            chances: CHANCES,
          },
        }
      : problem
  }
  if (have.kind === 'own') return of(have.ids)
  if (have.kind === 'bag') return of('all')
  const own = of('shelf')
  return own.ok ? own : of('all')
}
