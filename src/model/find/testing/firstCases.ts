import { CLIMATES } from '@/core/climate/climates'
import { cropTargetPH } from '../../garden/commands/job'
import { startingJob, startingJobBed, startingPlace, startingSpec } from '../../garden/starting'
import type { BedSpec, Job, Place } from '../../garden/schemas'

/** The ten crops most grown in containers and beds, of the tables. Source: common practice. */
const FIRST_CROPS = [
  'tomato_indeterminate',
  'pepper_sweet',
  'lettuce',
  'zucchini',
  'bean_bush',
  'carrot',
  'potato',
  'strawberry',
  'rosemary',
  'blueberry',
]

/** The six containers most used, each where it mostly goes. Source: common practice. */
const FIRST_CONTAINERS: Readonly<Record<string, BedSpec>> = {
  pot: startingSpec('roundPot'),
  'window box on a balcony': { ...startingSpec('box'), standing: 'balcony' },
  'fabric bag': startingSpec('fabricBag'),
  'bed on soil': startingSpec('raisedBed'),
  'bed on paving': onPaving(startingSpec('raisedBed')),
  'reservoir box': overReservoir(startingSpec('box')),
}
function onPaving(spec: BedSpec): BedSpec {
  return { ...spec, standing: 'paving', vessel: { ...spec.vessel, base: { kind: 'onPaving' } } }
}
/** Side holes 6 cm up: what is below them is the reservoir. */
function overReservoir(spec: BedSpec): BedSpec {
  const shape = {
    kind: 'box',
    topLength: 80,
    topWidth: 40,
    baseLength: 76,
    baseWidth: 36,
    height: 36,
  } as const
  return { ...spec, vessel: { ...spec.vessel, shape, base: { kind: 'sideHoles', height: 6 } } }
}

/** Three places: cool and wet, dry in summer with hard water, cold in winter and windy. */
const FIRST_PLACES: Readonly<Record<string, Place>> = {
  'cool coast': startingPlace(CLIMATES.find((c) => c.id === 'cool-coast')!),
  'dry summers, hard water': {
    ...startingPlace(CLIMATES.find((c) => c.id === 'dry-summer')!),
    waterAlkalinity: 4,
    waterEc: 0.7,
  },
  'inland, windy': { ...startingPlace(CLIMATES.find((c) => c.id === 'inland')!), wind: 'exposed' },
}

/** An empty job as its crop's choice leaves it. */
function jobOf(cropId: string, spec: BedSpec): Job {
  const job = startingJob('job', '2027-01-01T00:00:00Z', [startingJobBed('fill', spec, null)])
  return {
    ...job,
    cropId,
    plantMonth: 5,
    lime: { ...job.lime, target: cropTargetPH(cropId) ?? job.lime.target },
  }
}

/** An empty job for each crop, container and place. */
export const firstCases = (): { crop: string; container: string; place: string; job: Job; at: Place }[] =>
  FIRST_CROPS.flatMap((crop) =>
    Object.entries(FIRST_CONTAINERS).flatMap(([container, spec]) =>
      Object.entries(FIRST_PLACES).map(([place, at]) => ({
        crop,
        container,
        place,
        job: jobOf(crop, spec),
        at,
      })),
    ),
  )
