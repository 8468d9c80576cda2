import { WATER_ACIDS } from '@/core/chemistry'
import { CLIMATES } from '@/core/climate/climates'
import { CROPS, LIMES, MATERIALS } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'
import { LIQUID_IDS } from '@/core/data/liquids'
import { FIRMNESSES } from '@/core/filling'
import { seededRandom, type Random } from '@/core/ranges/random'
import { startingJob, startingJobBed, startingPlace, startingSpec } from '@/model/garden/starting'
import {
  STANDINGS,
  VESSEL_KINDS,
  type BedSpec,
  type DressingLine,
  type Job,
  type Place,
  type Recipe,
} from '@/model/garden/schemas'
import type { UnitSystem } from '../base/units'

/** A job somebody might have: any bed, place, crop, mix, dressings, units and season. */
export interface RandomJob {
  seed: number
  job: Job
  place: Place | undefined
  units: UnitSystem
}

const AT = '2027-02-01T09:00:00.000Z'
const TEXTURES = ['coarse', 'loam', 'clay'] as const

/** Draws from a stream of chance. */
const drawing = (random: Random) => {
  const between = (low: number, high: number) => low + (high - low) * random()
  const whole = (low: number, high: number) => Math.floor(between(low, high + 1))
  const one = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)]!
  const chance = (share: number) => random() < share
  return { between, whole, one, chance }
}
type Drawing = ReturnType<typeof drawing>

/** A container of any usual size: its starting shape made larger or smaller, with any outlet and layer. */
function randomSpec({ between, one, chance }: Drawing): BedSpec {
  const spec = startingSpec(one(VESSEL_KINDS))
  const by = chance(0.2) ? between(0.25, 0.5) : between(0.6, 1.8)
  const scaled = (x: unknown): unknown =>
    typeof x === 'number'
      ? x * by
      : Array.isArray(x)
        ? x.map(scaled)
        : x && typeof x === 'object'
          ? Object.fromEntries(Object.entries(x).map(([k, v]) => [k, k === 'bulge' ? v : scaled(v)]))
          : x
  const shape = scaled(spec.vessel.shape) as BedSpec['vessel']['shape']
  const headspace = spec.vessel.headspace * by
  const onSoil = spec.vessel.base.kind === 'onSoil'
  const base: BedSpec['vessel']['base'] = onSoil
    ? { kind: 'onSoil', texture: one(TEXTURES) }
    : chance(0.15)
      ? { kind: 'sideHoles', height: between(1, 4) * by }
      : { kind: 'drainHoles' }
  const thickness = between(2, 5) * by
  const layers: BedSpec['layers'] = chance(0.15)
    ? [
        chance(0.5)
          ? { kind: one(['gravel', 'bark', 'logs', 'cloth'] as const), thickness }
          : { kind: 'material', materialId: one(MATERIALS).id, thickness },
      ]
    : []
  return {
    ...spec,
    vessel: { ...spec.vessel, shape, headspace, base },
    layers,
    cover: chance(0.2) ? { materialId: one(MATERIALS).id, thickness: between(1, 6) } : null,
    firmness: chance(0.2) ? one(FIRMNESSES) : 'loose',
    standing: chance(0.2) ? one(STANDINGS) : 'ground',
    carried: !onSoil && chance(0.3),
  }
}

function randomDressings({ between, whole, one, chance }: Drawing): DressingLine[] {
  const count = chance(0.4) ? 0 : whole(1, 3)
  const rows = new Set(Array.from({ length: count }, () => one(DRESSINGS)))
  return [...rows].map((row) => ({
    id: row.id,
    dressingId: row.id,
    // Mostly as usual, at times far too much.
    gramsPerLitre: chance(0.15) ? row.dose.limit * between(1, 4) : between(row.dose.low, row.dose.high),
    place: chance(0.2)
      ? { kind: 'top', depth: between(2, 8) }
      : chance(0.15)
        ? { kind: 'heldBack', from: whole(14, 60) }
        : { kind: 'throughout' },
    share: chance(0.1) ? 0.5 : 1,
    ...(chance(0.15) ? { share: 1, beds: [one(['bed0', 'bed1'])] } : {}),
  }))
}

function randomRecipe(draw: Drawing): Recipe {
  const { between, whole, one, chance } = draw
  const rows = new Set(Array.from({ length: whole(1, 5) }, () => one(MATERIALS)))
  return {
    parts: [...rows].map((row) => ({ materialId: row.id, twelfths: 12 * whole(1, 6) })),
    mixes: [],
    lime: {
      mode: one(['toTarget', 'toTarget', 'fixed', 'none'] as const),
      target: between(5, 7),
      gramsPerLitre: between(0, 8),
      dolomiteShare: one([0, 0.5, 1]),
      limeId: chance(0.7) ? LIMES[0]!.id : one(LIMES).id,
    },
    dressings: randomDressings(draw),
  }
}

function randomPlace({ between, one, whole, chance }: Drawing): Place | undefined {
  if (chance(0.1)) return undefined
  return {
    ...startingPlace(one(CLIMATES)),
    waterAlkalinity: chance(0.3) ? between(3, 6) : between(0, 2),
    waterEc: between(0.1, 1.5),
    waterEvery: whole(1, 4),
    wind: one(['sheltered', 'open', 'exposed'] as const),
  }
}

/** The job of a seed; the same seed gives the same job. */
export function randomJob(seed: number): RandomJob {
  const draw = drawing(seededRandom(seed))
  const { whole, one, chance } = draw
  const beds = Array.from({ length: chance(0.2) ? 2 : 1 }, (_, i) => ({
    ...startingJobBed(`bed${i}`, randomSpec(draw), null),
    count: whole(1, 12),
  }))
  const job: Job = {
    ...startingJob(`job${seed}`, AT, beds),
    ...randomRecipe(draw),
    cropId: chance(0.9) ? one(CROPS).id : null,
    companionIds: chance(0.15) ? [one(CROPS).id] : [],
    plantMonth: chance(0.8) ? whole(1, 12) : null,
    plantedOn: chance(0.3) ? '2027-05-20' : null,
  }
  const rest = { place: randomPlace(draw), units: one(['metric', 'us'] as const) }
  // Drawn last, so that the jobs of seeds are otherwise what they were.
  return { seed, job: { ...job, ...randomCare(draw) }, ...rest }
}

/** How its water is treated, and what is fed with the can. */
function randomCare({ between, whole, one, chance }: Drawing): Pick<Job, 'water' | 'liquidFeeds'> {
  return {
    water: {
      rain: chance(0.2) ? one([0.25, 0.5, 1]) : 0,
      acid: chance(0.15) ? { id: one(WATER_ACIDS).id, toPH: between(5.5, 6.8) } : null,
    },
    liquidFeeds: chance(0.2)
      ? [
          {
            id: 'feed',
            dressingId: one(LIQUID_IDS),
            gramsPerLitre: between(0.2, 4),
            litres: between(0.2, 3),
            everyDays: one([1, 3, 7, 14]),
            fromDay: whole(7, 60),
            untilDay: chance(0.3) ? whole(60, 120) : null,
          },
        ]
      : [],
  }
}
