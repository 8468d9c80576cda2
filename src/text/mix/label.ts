import { cropName } from '@/core/data/cropTable'
import { inBed } from '@/model/garden/garden'
import type { Job, JobBed, MixRecord } from '@/model/garden/schemas'
import type { Quantities } from '@/model/make/quantities'
import { counted } from '../base/counted'
import { dayText } from '../base/dates'
import { bedTitle, jobTitle, shortName } from '../base/titles'
import { doseText, pHText, type UnitSystem } from '../base/units'
import { mixIn } from '@/model/mix/innerMix'

/** A label in words. */
export interface LabelText {
  title: string
  lines: string[]
}

/** Letters a line of a label holds beside its code. */
const LINE = 27
const TITLE = 20
/** As many whole words as there is room for. */
const cut = (text: string, most: number): string => {
  if (text.length <= most) return text
  const room = text.slice(0, most - 1)
  return `${room.slice(0, Math.max(room.lastIndexOf(' '), most / 2)).replace(/[,;:]$/, '')}…`
}

/** What a part is called where there is little room: "sphagnum peat". */
const plainName = (job: Job, id: string) =>
  (mixIn(job, id)?.name ?? shortName(id).split(/,| \d/)[0]!).toLowerCase()

/** The mix in a line: "5 sphagnum peat, 2 compost". */
const mixLine = (job: Job): string => {
  let line = ''
  for (const { twelfths, materialId } of job.parts) {
    const part = `${Number((twelfths / 12).toFixed(1))} ${plainName(job, materialId)}`
    const longer = line === '' ? part : `${line}, ${part}`
    if (longer.length > LINE - 2) return line === '' ? cut(part, LINE) : `${line} …`
    line = longer
  }
  return line
}

/** A bed of a job, what was counted for it, and the record of what was made. */
interface Labelled {
  job: Job
  fill: JobBed
  quantities: Quantities
  record: MixRecord | undefined
}

/** Addresses that only the machine itself can open. */
const ALONE = /^https?:\/\/(?:localhost|127\.|0\.0\.0\.0|\[::1\])/

/** Can a phone open what begins with this address? */
export const isReachable = (address: string): boolean =>
  /^https?:\/\/\S+$/.test(address) && !ALONE.test(address)

/**
 * What the code of a label holds: the recipe in plain words, which any reader shows, and below it the link to all of it
 * where others can reach the app.
 */
export function labelCode(label: LabelText, recipe: string, link: string | null): string {
  const lines = [label.title, ...label.lines.slice(0, 1), recipe, ...label.lines.slice(2, 4)]
  return [...lines, ...(link ? [link] : [])].filter(Boolean).join('\n')
}

/**
 * What a label on a pot of a bed says: the crop or the bed, its mix, pH, lime, when it was mixed and in which batches.
 */
export function labelText({ job, fill: bed, quantities: q, record }: Labelled, units: UnitSystem): LabelText {
  const crop = cropName(inBed(job, bed).cropId)
  const read =
    job.readings.findLast((r) => r.kind === 'pH') ?? record?.readings.findLast((r) => r.kind === 'pH')
  const pH = read ? `pH ${pHText(read.value)}` : `pH about ${pHText(q.asMeasured.lime.pH)}`
  const lime = q.limeGramsPerLitre > 0 ? `lime ${doseText(q.limeGramsPerLitre, units)}` : 'no lime'
  const made = record ? `Mixed ${dayText(record.madeOn)}` : 'Mixed ____________'
  return {
    title: cut(crop || bedTitle(bed.spec), TITLE),
    lines: [
      cut(crop ? bedTitle(bed.spec) : jobTitle(job), LINE),
      mixLine(job),
      cut(`${pH}; ${lime}`, LINE),
      cut(made, LINE),
      cut(counted(q.plan.batches.length, 'batch', 'batches'), LINE),
      cut(jobTitle(job), LINE),
    ],
  }
}
