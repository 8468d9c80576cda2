import type { Situation } from '@/core/appraisal'
import { cropById, type Tables } from '@/core/data'
import { pressedLoss } from '@/core/filling/firmness'
import { asJudged, containerOf, judgedBed } from '../garden/garden'
import type { BedSpec, InnerMix, Job, Part, Place, Recipe } from '../garden/schemas'
import { askedWater, waterOfJob } from './jobWater'
import { isForBed } from '../garden/pile'
import { isAloft } from '../garden/vessel'
import { onGround } from '../garden/starting'
import {
  USUAL_LIMES,
  type BedQuestion,
  type FinishedMix,
  type LimeWish,
  type MixQuestion,
  type RecipeLine,
  type RecipeQuestion,
} from './question'

export const linesOf = (parts: readonly Part[]): RecipeLine[] =>
  parts.map((p) => ({ id: p.materialId, parts: p.twelfths }))

/** Finished mixes of the garden as a question has them. */
export const finishedMixes = (mixes: readonly InnerMix[]): FinishedMix[] =>
  mixes.map(({ id, parts, lime, dressings }) => ({ id, lines: linesOf(parts), lime, dressings }))

function limeWish({ mode, target, gramsPerLitre, dolomiteShare, limeId }: Recipe['lime']): LimeWish {
  return {
    aim:
      mode === 'toTarget'
        ? { kind: 'pH', target }
        : mode === 'fixed'
          ? { kind: 'dose', gramsPerLitre }
          : { kind: 'none' },
    dolomite: { kind: 'share', share: dolomiteShare },
    ...USUAL_LIMES,
    calcitic: limeId,
  }
}

/** A recipe of the garden as a question has it. */
export const recipeQuestion = ({ parts, mixes, lime, dressings }: Recipe): RecipeQuestion => ({
  lines: linesOf(parts),
  mixes: finishedMixes(mixes),
  lime: limeWish(lime),
  dressings,
})

/** A bed of the garden as a question has it. */
const bedQuestion = ({
  vessel,
  wall,
  layers,
  cover,
  firmness,
  rootBalls,
  carried,
}: BedSpec): BedQuestion => ({
  container: containerOf(vessel),
  layers,
  cover,
  pressed: pressedLoss(firmness),
  rootBalls,
  wallKind: wall === 'fabric' || wall === 'terracotta' ? wall : 'closed',
  empty: { wall },
  carried,
  wide: onGround(vessel.kind),
})

/** Where parts come from, in the words of a situation. */
function originsOf({ bag, manure, vermiculite }: Job['origins']): Situation {
  return {
    ...(bag === null ? {} : { bagLimed: bag !== 'neither', bagFed: bag === 'limedAndFed' }),
    ...(manure === null
      ? {}
      : { manureFrom: { unsprayed: 'own meadow', doubtful: 'bought hay', fresh: 'fresh' }[manure] }),
    ...(vermiculite === null ? {} : { vermiculiteFrom: { newBag: 'shop', old: 'insulation' }[vermiculite] }),
  }
}

/** How a job's mix will be used, as far as its grower said. */
function situationOf(job: Job): Situation {
  const { standing, bears } = judgedBed(job).spec
  return {
    stage: job.stage,
    ...originsOf(job.origins),
    ...(isAloft({ standing }) ? { standing, ...(bears > 0 ? { loadAllowed: `${bears} kg/m2` } : {}) } : {}),
    ...(job.years === null ? {} : { years: job.years }),
  }
}

/** A job's mix in the bed it is judged in, with what grows there. A crop the tables do not know counts as none. */
export function questionOfJob(whole: Job, place: Place | undefined, tables: Tables): MixQuestion {
  const job = asJudged(whole)
  return {
    bed: bedQuestion(judgedBed(job).spec),
    recipe: recipeQuestion({
      ...job,
      dressings: job.dressings.filter((line) => isForBed(job, line, judgedBed(job).id)),
    }),
    crops: [job.cropId, ...job.companionIds].flatMap((id) => cropById(id) ?? []),
    place: place
      ? {
          climate: { latitude: place.latitude, elevation: place.elevation, months: place.months },
          ...askedWater(waterOfJob(place, job)),
          wind: place.wind,
        }
      : null,
    care: {
      plants: job.plants,
      plantingMonth: job.plantMonth,
      waterEvery: place?.waterEvery ?? null,
      liquidFeeds: job.liquidFeeds,
      bands: job.bands,
    },
    situation: situationOf(job),
    tables,
  }
}

/** Fields of a job that its question is made of. */
const ASKED = [
  'parts',
  'mixes',
  'lime',
  'dressings',
  'cropId',
  'companionIds',
  'judgedIn',
  'bands',
  'plants',
  'plantMonth',
  'stage',
  'years',
  'origins',
  'liquidFeeds',
  'water',
] as const

/**
 * Do two states of a job ask the same? Names, notes and ticks are no part of it. Data are compared by identity: they
 * never change in place.
 */
export const askTheSame = (a: Job, b: Job): boolean =>
  ASKED.every((field) => a[field] === b[field]) &&
  a.fills.length === b.fills.length &&
  a.fills.every((bed, i) => {
    const other = b.fills[i]!
    return (
      bed.id === other.id &&
      bed.spec === other.spec &&
      bed.cropId === other.cropId &&
      bed.plants === other.plants
    )
  })
