import type { Pack } from '@/core/data'
import { measureText } from '@/core/mixing'
import type { Command } from '@/model/commands'
import type { Station } from '@/model/batchCard'
import { materialById } from '@/model/reckoning'
import type { AnyData, Job, MixRecord, VesselKind } from '@/model/schemas'
import { volumeText, weightText, type UnitSystem } from './units'

export const VESSEL_NAMES: Record<VesselKind, { one: string; many: string; hint: string }> = {
  roundPot: { one: 'Round pot', many: 'round pots', hint: 'pots, tubs, half-barrels' },
  box: { one: 'Trough or box', many: 'troughs', hint: 'window boxes, planters' },
  raisedBed: { one: 'Raised bed', many: 'raised beds', hint: 'frames on soil or paving' },
  fabricBag: { one: 'Fabric bag', many: 'fabric bags', hint: 'felt and woven bags' },
}

export const STATION_NAMES: Record<Station, string> = {
  fill: 'Fill what',
  mix: 'Mix',
  buy: 'Buy',
  make: 'Make',
  record: 'Record',
}

export const STATION_NEXT: Record<Station, string> = {
  fill: 'say what is filled',
  mix: 'make up the mix',
  buy: 'gather the materials',
  make: 'measure and blend',
  record: 'write it down',
}

/** Short name for lists and buttons: the part before the bracket. */
export const shortName = (materialId: string): string =>
  (materialById(materialId)?.name ?? materialId).replace(/\s*\(.*\)$/, '')

/** A job's own name, or one made from what it fills. */
export function jobTitle(job: Job): string {
  if (job.name.trim()) return job.name.trim()
  const names = VESSEL_NAMES[job.vessel.kind]
  return job.vessel.count === 1 ? names.one : `${job.vessel.count} ${names.many}`
}

export function packText(pack: Pack, units: UnitSystem): string {
  switch (pack.kind) {
    case 'loose':
      return `${volumeText(pack.litres, units)} bag`
    case 'compressed':
      return `${volumeText(pack.litres, units)} pressed bale`
    case 'block':
      return `${weightText(pack.kg, units)} dry block`
    case 'mass':
      return `${weightText(pack.kg, units)} bag`
  }
}

/** What a command did, for the undo button. */
export function commandText(command: Command): string {
  switch (command.type) {
    case 'job/create':
      return 'new job'
    case 'job/rename':
      return 'name'
    case 'job/note':
      return 'note'
    case 'job/crop':
      return 'crop'
    case 'job/vessel':
      return 'container'
    case 'job/plan':
      return 'bucket, tub or allowance'
    case 'job/remove':
      return 'removing the job'
    case 'job/finish':
      return 'recording the mix'
    case 'part/add':
      return `adding ${shortName(command.materialId)}`
    case 'part/change':
      return `${command.by > 0 ? '+' : '−'}${measureText(Math.abs(command.by))} ${shortName(command.materialId)}`
    case 'part/remove':
      return `taking out ${shortName(command.materialId)}`
    case 'mix/step':
      return 'size of a measure'
    case 'mix/lime':
      return 'lime'
    case 'tick/set':
      return command.done
        ? `ticking ${shortName(command.materialId)}`
        : `unticking ${shortName(command.materialId)}`
    case 'ticks/clear':
      return 'clearing ticks'
    case 'record/edit':
      return 'record'
    case 'record/remove':
      return 'removing the record'
    case 'shelf/set':
      return `${shortName(command.item.materialId)} on the shelf`
    case 'garden/import':
      return 'import'
  }
}

/** A stored record in words, for lists of what an import would change. */
export function recordName(key: string, data: AnyData | null): string {
  const [head, id = ''] = key.split('/')
  if (head === 'job') return `job “${jobTitle(data as Job)}”`
  if (head === 'record') return `record “${(data as MixRecord).jobName}” of ${(data as MixRecord).madeOn}`
  if (head === 'shelf') return `shelf: ${shortName(id)}`
  return 'settings'
}
