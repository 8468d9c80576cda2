import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { CM_PER_FOOT, CM_PER_INCH, LITRES } from '@/core/units'
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
  Vessel,
  VesselKind,
} from './schemas'

const VESSELS: Record<VesselKind, Omit<Vessel, 'kind' | 'count'>> = {
  roundPot: {
    shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  box: {
    shape: { kind: 'box', topLength: 80, topWidth: 20, baseLength: 76, baseWidth: 16, height: 18 },
    headspace: 2.5,
    base: { kind: 'drainHoles' },
  },
  raisedBed: {
    shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 30 },
    headspace: 4,
    base: { kind: 'onSoil', texture: 'loam' },
  },
  fabricBag: {
    shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  oval: {
    shape: { kind: 'oval', topLength: 70, topWidth: 45, baseLength: 60, baseWidth: 36, height: 35 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  gutter: {
    shape: { kind: 'halfCylinder', length: 100, diameter: 24 },
    headspace: 2,
    base: { kind: 'drainHoles' },
  },
  freeBed: {
    shape: {
      kind: 'polygonBed',
      corners: [
        { x: 0, y: 0 },
        { x: 240, y: 0 },
        { x: 240, y: 100 },
        { x: 100, y: 100 },
        { x: 100, y: 240 },
        { x: 0, y: 240 },
      ],
      height: 35,
    },
    headspace: 4,
    base: { kind: 'onSoil', texture: 'loam' },
  },
  heapedBed: {
    shape: {
      kind: 'mounded',
      body: { kind: 'box', topLength: 200, topWidth: 80, baseLength: 200, baseWidth: 80, height: 20 },
      moundHeight: 12,
    },
    headspace: 0,
    base: { kind: 'onSoil', texture: 'loam' },
  },
}

/** From this length on sizes are made to the half foot, below to the half inch, cm. */
const LONG = 60
const STEP_SHORT = CM_PER_INCH / 2
const STEP_LONG = CM_PER_FOOT / 2
/** A length nobody measured, round in inches or half feet. Nought stays nought. */
const roundInInches = (cm: number) => {
  const step = cm >= LONG ? STEP_LONG : STEP_SHORT
  return cm > 0 ? Math.max(step, Math.round(cm / step) * step) : 0
}
/** Every length of a shape, round in inches; a share, as the bulge of a bag is, stays as it is. */
function inInches<T>(of: T, key = ''): T {
  if (typeof of === 'number') return (key === 'bulge' ? of : roundInInches(of)) as T
  if (Array.isArray(of)) return of.map((x: unknown) => inInches(x)) as T
  if (of === null || typeof of !== 'object') return of
  return Object.fromEntries(Object.entries(of).map(([k, v]) => [k, inInches(v, k)])) as T
}

/** A sensible container to begin with, of a size many growers own, round in their own measures. */
export function startingVessel(kind: VesselKind, units: Settings['units'] = 'metric'): Vessel {
  const vessel = structuredClone(VESSELS[kind])
  return { kind, ...(units === 'us' ? inInches(vessel) : vessel), count: 1 }
}

const WALL: Partial<Record<VesselKind, BedSpec['wall']>> = {
  raisedBed: 'timber',
  fabricBag: 'fabric',
  freeBed: 'timber',
  heapedBed: 'timber',
}

/** All that is asked about a bed, at its usual answer. */
export const startingSpec = (kind: VesselKind, units?: Settings['units']): BedSpec => ({
  name: '',
  vessel: startingVessel(kind, units),
  wall: WALL[kind] ?? 'plastic',
  standing: 'ground',
  layers: [],
  cover: null,
  firmness: 'loose',
  rootBalls: 0,
  carried: false,
})

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

/** Bucket and tub as growers usually have them, litres; mix that watering-in settles, fraction. */
const SETTLING = 0.07
const STARTING_PLAN = {
  bucket: 10,
  scoop: 1,
  vessel: 90,
  settling: SETTLING,
  rounding: 'more',
} as const
/** The same as sold in gallons and quarts. */
const STARTING_PLAN_US = {
  bucket: 5 * LITRES.usGallon,
  scoop: LITRES.usQuart,
  vessel: 25 * LITRES.usGallon,
  settling: SETTLING,
  rounding: 'more',
} as const

export const startingPlan = (units: Settings['units']) => (units === 'us' ? STARTING_PLAN_US : STARTING_PLAN)

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
    plants: null,
    bands: {},
    filledSteps: [],
    plantedOn: null,
    followedSteps: [],
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

/** A material of the grower's own before anything is told of it: a compost of the middle sort. */
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
  waterEc: 0.3,
  waterEvery: 1,
  wind: 'open',
  coldestNight: null,
})

/** Beds that are part of the ground: nobody lifts them. */
export const onGround = (kind: VesselKind | undefined): boolean =>
  kind === 'raisedBed' || kind === 'freeBed' || kind === 'heapedBed'
