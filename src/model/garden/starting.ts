import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { startingSpec } from './schemas/bedFields'
import { startingPlan } from './startingPlan'
import type { VesselKind } from './vesselKinds'
import { LITRES } from '@/core/units'
import type {
  Bag,
  Bed,
  BedSpec,
  Job,
  JobBed,
  OwnDressingRecord,
  OwnMaterialRecord,
  Place,
  Settings,
} from './schemas'

export const startingBed = (
  id: string,
  createdAt: string,
  kind: VesselKind,
  units?: Settings['units'],
): Bed => ({
  id,
  createdAt,
  ...startingSpec(kind, units),
})

export { startingSpec } from './schemas/bedFields'
export { startingVessel } from './startingVessel'
export { startingPlan } from './startingPlan'

/** A bed of the list, or a container described in the job alone, to be filled whole. */
export const startingJobBed = (id: string, spec: BedSpec, bedId: string | null): JobBed => ({
  id,
  bedId,
  spec,
  count: spec.vessel.count,
  sunkBy: null,
  cropId: null,
  plants: null,
})

/** Mix of a batch that goes into nothing in particular, litres: a barrowful, and as many whole gallons. */
export const startingAmount = (units: Settings['units']): number =>
  units === 'us' ? 10 * LITRES.usGallon : 40

/** What a job holds of buying, getting ready and making before anything is done. */
const NOTHING_DONE = {
  mixOn: null,
  readySteps: [],
  readyAdded: [],
  readyLeft: [],
  boughtWith: [],
  bought: [],
  otherwise: [],
  tally: null,
  readings: [],
  corrections: [],
  timers: [],
  ticks: [],
  note: '',
  recordId: null,
} satisfies Partial<Job>

/** A new job: nothing mixed yet, lime aimed at the middle of what most vegetables like. */
export function startingJob(
  id: string,
  createdAt: string,
  fills: JobBed[],
  units: Settings['units'] = 'metric',
): Job {
  return {
    id,
    name: '',
    createdAt,
    cropId: null,
    companionIds: [],
    fills,
    judgedIn: null,
    amount: null,
    plantMonth: null,
    stage: 'grown',
    origins: { bag: null, manure: null, vermiculite: null },
    years: null,
    plants: null,
    bands: {},
    filledSteps: [],
    plantedOn: null,
    followedSteps: [],
    movedDays: [],
    liquidFeeds: [],
    water: { rain: 0, acid: null },
    raising: null,
    archived: false,
    parts: [],
    mixes: [],
    dressings: [],
    versions: [],
    versionId: null,
    dismissed: [],
    step: 'whole',
    lime: { mode: 'toTarget', target: 6.4, gramsPerLitre: 0, dolomiteShare: 0.5, limeId: GROUND_LIMESTONE },
    plan: { ...startingPlan(units) },
    ...NOTHING_DONE,
  }
}

/** The same job for another year: beds, crop, mix and plan as they are; nothing ticked or recorded. */
export const nextYearsJob = (job: Job, id: string, createdAt: string): Job => ({
  ...job,
  id,
  createdAt,
  name: job.name.replace(/\b(19|20)\d\d\b/, (year) => String(Number(year) + 1)),
  archived: false,
  filledSteps: [],
  plantedOn: null,
  followedSteps: [],
  movedDays: [],
  ...NOTHING_DONE,
  readyAdded: job.readyAdded,
  readyLeft: job.readyLeft,
})

/** A bagged mix nothing is known of yet. */
export const startingBag = (id: string, createdAt: string): Bag => ({
  id,
  name: '',
  createdAt,
  litres: 50,
  price: null,
  ingredients: [],
  pH: null,
  feed: null,
})

/** A material of the grower's own before anything is known of it: a compost of the middle sort. */
export const startingOwnMaterial = (id: string, createdAt: string): OwnMaterialRecord => ({
  id,
  name: '',
  createdAt,
  family: 'compost',
  likeId: null,
  pH: null,
  salts: null,
  bucket: null,
  wetness: 'moist',
  feel: null,
  screenedOut: 0,
  madeOf: null,
  figures: [],
  sizeShares: [],
  note: '',
  retired: false,
})

/** A feed of the grower's own before its label is read. */
export const startingOwnDressing = (id: string, createdAt: string): OwnDressingRecord => ({
  id,
  name: '',
  createdAt,
  kind: 'organic',
  label: { nitrogen: 4, phosphate: 4, potash: 4 },
  months: 6,
  acidForming: true,
  limeLike: GROUND_LIMESTONE,
  neutralizing: 0.95,
  grind: null,
  weighed: null,
  note: '',
  retired: false,
})

/** A place of a known climate, with soft water and somebody who waters every day: all of it the grower's to change. */
export const startingPlace = (climate: {
  id: string
  latitude: number
  elevation: number
  months: readonly { tMin: number; tMax: number; rain?: number }[]
}): Place => ({
  climateId: climate.id,
  latitude: climate.latitude,
  elevation: climate.elevation,
  months: climate.months.map(({ tMin, tMax, rain = 0 }) => ({ tMin, tMax, rain })),
  waterAlkalinity: 1,
  waterSoftened: false,
  waterEc: 0.3,
  waterEvery: 1,
  wind: 'open',
  coldestNight: null,
})

/** Beds that are part of the ground: nobody lifts them. */
export const onGround = (kind: VesselKind | undefined): boolean =>
  kind === 'raisedBed' || kind === 'freeBed' || kind === 'heapedBed'
