import type { AnyData, Job, MixRecord, Settings, ShelfItem, VesselKind, Vessel } from './schemas'

/** Everything a garden holds, by storage key. Values are never changed in place. */
export type Garden = ReadonlyMap<string, AnyData>

export const jobKey = (id: string) => `job/${id}`
export const recordKey = (id: string) => `record/${id}`
export const shelfKey = (materialId: string) => `shelf/${materialId}`
export const SETTINGS_KEY = 'settings'

export const jobOf = (garden: Garden, id: string) => garden.get(jobKey(id)) as Job | undefined
export const recordOf = (garden: Garden, id: string) => garden.get(recordKey(id)) as MixRecord | undefined
export const shelfItemOf = (garden: Garden, materialId: string) =>
  garden.get(shelfKey(materialId)) as ShelfItem | undefined

export const DEFAULT_SETTINGS: Settings = { units: 'metric', theme: 'auto' }
export const settingsOf = (garden: Garden) =>
  (garden.get(SETTINGS_KEY) as Settings | undefined) ?? DEFAULT_SETTINGS

const listOf = <T>(garden: Garden, head: string) =>
  [...garden].filter(([key]) => key.startsWith(head)).map(([, data]) => data as T)

/** Newest first. */
export const jobsOf = (garden: Garden) =>
  listOf<Job>(garden, 'job/').sort(
    (a, b) => b.createdAt.localeCompare(a.createdAt) || a.id.localeCompare(b.id),
  )
export const recordsOf = (garden: Garden) =>
  listOf<MixRecord>(garden, 'record/').sort(
    (a, b) => b.madeOn.localeCompare(a.madeOn) || a.id.localeCompare(b.id),
  )

/** A sensible container to begin with, of a size many growers own. */
export function startingVessel(kind: VesselKind): Vessel {
  switch (kind) {
    case 'roundPot':
      return {
        kind,
        shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
        headspace: 3,
        base: { kind: 'drainHoles' },
        count: 1,
      }
    case 'box':
      return {
        kind,
        shape: { kind: 'box', topLength: 80, topWidth: 20, baseLength: 76, baseWidth: 16, height: 18 },
        headspace: 2.5,
        base: { kind: 'drainHoles' },
        count: 1,
      }
    case 'raisedBed':
      return {
        kind,
        shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 30 },
        headspace: 4,
        base: { kind: 'onSoil', texture: 'loam' },
        count: 1,
      }
    case 'fabricBag':
      return {
        kind,
        shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
        headspace: 3,
        base: { kind: 'drainHoles' },
        count: 1,
      }
  }
}

/** A new job: nothing mixed yet, lime aimed at the middle of what most vegetables like. */
export function startingJob(id: string, createdAt: string, kind: VesselKind): Job {
  return {
    id,
    name: '',
    createdAt,
    cropId: null,
    vessel: startingVessel(kind),
    parts: [],
    step: 'whole',
    lime: { mode: 'toTarget', target: 6.4, gramsPerLitre: 0, dolomiteShare: 0.5 },
    plan: { bucket: 10, vessel: 90, settling: 0.07 },
    ticks: [],
    note: '',
    recordId: null,
  }
}
