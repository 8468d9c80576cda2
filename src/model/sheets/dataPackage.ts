import { tablesOf } from '../garden/tables'
import { strToU8, zipSync } from 'fflate'
import { averaged } from '@/core/fieldTests'
import { allEntriesOf, jobsOf, recordsOf, testsOf, type Garden } from '../garden/garden'
import { asDosed } from '../amounts/asDosed'
import { mixNeededFor } from '../garden/mixNeededFor'
import { ENTRY_KINDS, VESSEL_KINDS, type Entry, type Job, type MixRecord } from '../garden/schemas'
import { csvOf } from './sheet'

/** A column as the Table Schema has it. */
interface Field {
  name: string
  type: 'string' | 'number' | 'integer' | 'date' | 'datetime'
  description: string
  constraints?: { required?: true; unique?: true; minimum?: number; enum?: readonly string[] }
}
interface Table {
  name: string
  title: string
  fields: readonly Field[]
  primaryKey?: string
  foreignKeys?: readonly { fields: string; reference: { resource: string; fields: string } }[]
  rows: Record<string, string | number | null>[]
}

const required = { required: true } as const
const key = { required: true, unique: true } as const
const text = (name: string, description: string, constraints?: Field['constraints']): Field => ({
  name,
  type: 'string',
  description,
  ...(constraints ? { constraints } : {}),
})
const amount = (name: string, description: string): Field => ({ name, type: 'number', description })
const count = (name: string, description: string): Field => ({
  name,
  type: 'integer',
  description,
  constraints: { minimum: 0 },
})
const BED_KEY = { fields: 'bed', reference: { resource: 'beds', fields: 'id' } }
const BATCH_KEY = { fields: 'batch', reference: { resource: 'batches', fields: 'id' } }

/** Units of what is noted, by kind. */
const UNIT: Partial<Record<Entry['kind'], string>> = {
  watered: 'L',
  fed: 'g',
  salts: 'dS/m',
  weight: 'kg',
  sunk: 'cm',
  harvest: 'kg',
}
const SALTS_OF: Record<string, string> = {
  slurry: 'dS/m, one to two',
  paste: 'dS/m, saturated extract',
  pourThrough: 'dS/m, pour-through',
}

const bedId = (jobId: string, fillId: string) => `${jobId}/${fillId}`

/** What the tables of a garden are made of. */
interface Written {
  garden: Garden
  jobs: readonly Job[]
  records: readonly MixRecord[]
  /** In the order of time. */
  entries: readonly Entry[]
  /** The record of a job's mix, by the job's id. */
  batchOf: ReadonlyMap<string, string>
  /** Id of a bed that is in the table of beds; null for all of a job, or one that is no more. */
  known: (jobId: string, fillId: string | null) => string | null
}
function writtenOf(garden: Garden): Written {
  const jobs = jobsOf(garden).map((j) => asDosed(garden, j))
  const records = recordsOf(garden)
  const fills = new Set(jobs.flatMap((j) => j.fills.map((f) => bedId(j.id, f.id))))
  return {
    garden,
    jobs,
    records,
    entries: [...allEntriesOf(garden)].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)),
    batchOf: new Map(records.map((r) => [r.jobId, r.id])),
    known(jobId, fillId) {
      const id = fillId === null ? null : bedId(jobId, fillId)
      return id !== null && fills.has(id) ? id : null
    },
  }
}

/** Beds and containers. */
function bedsTable({ garden, jobs }: Written): Table {
  return {
    name: 'beds',
    title: 'Beds and containers of each job',
    primaryKey: 'id',
    fields: [
      text('id', 'job and bed', key),
      text('job', 'id of the job', required),
      text('name', 'as the grower calls it'),
      text('kind', 'shape', { required: true, enum: VESSEL_KINDS }),
      count('count', 'so many of them'),
      amount('litres', 'mix in one, L'),
      text('crop', 'id of the crop'),
      { name: 'planted_on', type: 'date', description: 'day it was planted or sown' },
    ],
    rows: jobs.flatMap((j) =>
      j.fills.map((f) => {
        const needed = mixNeededFor({ spec: f.spec, sunkBy: null }, tablesOf(garden))
        return {
          id: bedId(j.id, f.id),
          job: j.id,
          name: f.spec.name,
          kind: f.spec.vessel.kind,
          count: Math.round(f.count),
          litres: needed.ok ? tidy(needed.value.net) : null,
          crop: f.cropId ?? j.cropId,
          planted_on: j.plantedOn,
        }
      }),
    ),
  }
}

/** Mixes as they were made. */
function batchesTable({ records }: Written): Table {
  return {
    name: 'batches',
    title: 'Mixes as they were made',
    primaryKey: 'id',
    fields: [
      text('id', 'id of the record', key),
      text('job', 'id of the job', required),
      text('name', 'of the job when it was mixed'),
      { name: 'made_on', type: 'date', description: 'day it was mixed', constraints: required },
      text('crop', 'id of the crop'),
      amount('litres', 'mix in all, L'),
      count('batches', 'batches it was made in'),
      amount('lime', 'limes together, g'),
      amount('paid', 'paid for what was bought, in the grower’s money'),
      amount('used', 'cost of what went in'),
      amount('ph_expected', 'six weeks after mixing'),
      amount('air_expected', 'air-filled porosity at container capacity, fraction'),
    ],
    rows: records.map((r) => ({
      id: r.id,
      job: r.jobId,
      name: r.jobName,
      made_on: r.madeOn,
      crop: r.cropId,
      litres: tidy(r.blendLitres),
      batches: r.batchCount,
      lime: tidy(r.limes.reduce((s, l) => s + l.grams, 0)),
      paid: r.paid,
      used: r.used,
      ph_expected: tidy(r.predicted.pH),
      air_expected: tidy(r.predicted.airFilledPorosity),
    })),
  }
}

/** What went into each mix. */
function partsTable({ records }: Written): Table {
  return {
    name: 'parts',
    title: 'What went into each mix',
    foreignKeys: [BATCH_KEY],
    fields: [
      text('batch', 'id of the record', required),
      text('material', 'id of the material, lime or dressing', required),
      text('name', 'as it was called'),
      amount('litres', 'loose, L; empty for what is weighed'),
      amount('grams', 'of limes and dressings, g'),
    ],
    rows: records.flatMap((r) => [
      ...r.measured.map((m) => ({
        batch: r.id,
        material: m.materialId,
        name: m.materialName,
        litres: tidy(m.litres),
        grams: null,
      })),
      ...r.limes.map((l) => ({
        batch: r.id,
        material: l.limeId,
        name: l.limeName,
        litres: null,
        grams: tidy(l.grams),
      })),
      ...r.dressings.map((d) => ({
        batch: r.id,
        material: d.dressingId,
        name: d.dressingName,
        litres: null,
        grams: tidy(d.grams),
      })),
    ]),
  }
}

/** A row of the table of readings. */
const reading = (
  of: { id: string; at: string; source: string; figure: string; unit: string; value: number },
  more: {
    batch?: string | null
    bed?: string | null
    material?: string | null
    expected?: number | null
    count?: number
  },
) => ({
  id: of.id,
  at: moment(of.at),
  source: of.source,
  batch: more.batch ?? null,
  bed: more.bed ?? null,
  material: more.material ?? null,
  figure: of.figure,
  value: tidy(of.value),
  unit: of.unit,
  expected: more.expected === undefined || more.expected === null ? null : tidy(more.expected),
  count: more.count ?? 1,
})

/** Readings at the tub. */
const tubReadings = ({ records }: Written) =>
  records.flatMap((r) =>
    r.readings.map(({ id, at, kind, value, expected }) =>
      reading(
        {
          id: `tub:${id}`,
          at,
          source: 'tub',
          figure: kind,
          unit: kind === 'salts' ? SALTS_OF.slurry! : '',
          value,
        },
        { batch: r.id, expected },
      ),
    ),
  )

/** Readings in the log. */
const loggedReadings = ({ entries, batchOf, known }: Written) =>
  entries.flatMap(({ id, at, kind, value, expected, jobId, fillId }) =>
    value !== null && (kind === 'pH' || kind === 'salts' || kind === 'weight' || kind === 'sunk')
      ? [
          reading(
            {
              id: `log:${id}`,
              at,
              source: 'log',
              figure: kind,
              unit: kind === 'salts' ? SALTS_OF.slurry! : (UNIT[kind] ?? ''),
              value,
            },
            { batch: batchOf.get(jobId) ?? null, bed: known(jobId, fillId), expected },
          ),
        ]
      : [],
  )

/** Means of field tests. */
const testedReadings = ({ garden, batchOf, known }: Written) =>
  testsOf(garden).flatMap((t) => {
    const found = t.finishedAt ? averaged(t.test, t.repeats) : null
    if (!found?.ok) return []
    return Object.entries(found.value).map(([figure, a]) =>
      reading(
        {
          id: `test:${t.id}:${figure}`,
          at: t.finishedAt!,
          source: 'test',
          figure: `${t.test} ${figure}`,
          unit: figure === 'electricalConductivity' ? (SALTS_OF[t.test] ?? '') : (FIGURE_UNITS[figure] ?? ''),
          value: a.mean,
        },
        {
          batch: t.jobId ? (batchOf.get(t.jobId) ?? null) : null,
          bed: t.jobId ? known(t.jobId, t.fillId) : null,
          material: t.materialId,
          expected: t.expected[figure] ?? null,
          count: a.count,
        },
      ),
    )
  })

/** Readings at the tub, in the log and by field tests. */
function readingsTable(written: Written): Table {
  return {
    name: 'readings',
    title: 'Readings at the tub, in the log and by field tests',
    primaryKey: 'id',
    foreignKeys: [BATCH_KEY, BED_KEY],
    fields: [
      text('id', 'of the reading', key),
      { name: 'at', type: 'datetime', description: 'when it was read', constraints: required },
      text('source', 'where it was noted', { required: true, enum: ['tub', 'log', 'test'] }),
      text('batch', 'id of the record'),
      text('bed', 'id of the bed'),
      text('material', 'id of the material, where it was tested alone'),
      text('figure', 'what was read', required),
      { ...amount('value', 'as read, in the unit beside it'), constraints: required },
      text('unit', 'of value and expected; empty for fractions and pH'),
      amount('expected', 'what was predicted of it'),
      count('count', 'readings it is the mean of'),
    ],
    rows: [...tubReadings(written), ...loggedReadings(written), ...testedReadings(written)],
  }
}

/** Harvests. */
function harvestsTable({ entries, known }: Written): Table {
  return {
    name: 'harvests',
    title: 'Harvests',
    primaryKey: 'id',
    foreignKeys: [BED_KEY],
    fields: [
      text('id', 'of the harvest', key),
      { name: 'at', type: 'datetime', description: 'when', constraints: required },
      text('job', 'id of the job', required),
      text('bed', 'id of the bed; empty for all of the job'),
      amount('kg', 'weight, kg'),
      count('pieces', 'fruits, heads or bunches'),
      text('note', 'a word with it'),
    ],
    rows: entries
      .filter((e) => e.kind === 'harvest')
      .map((e) => ({
        id: e.id,
        at: moment(e.at),
        job: e.jobId,
        bed: known(e.jobId, e.fillId),
        kg: e.value,
        pieces: e.count,
        note: e.note,
      })),
  }
}

/** Everything noted in the season. */
function logTable({ entries, known }: Written): Table {
  return {
    name: 'log',
    title: 'Everything noted in the season',
    primaryKey: 'id',
    foreignKeys: [BED_KEY],
    fields: [
      text('id', 'of the line', key),
      { name: 'at', type: 'datetime', description: 'when', constraints: required },
      text('job', 'id of the job', required),
      text('bed', 'id of the bed; empty for all of the job'),
      text('kind', 'what was done, read or seen', { required: true, enum: ENTRY_KINDS }),
      amount('value', 'in the unit beside it'),
      text('unit', 'of the value'),
      text('note', 'a word with it'),
    ],
    rows: entries.map((e) => ({
      id: e.id,
      at: moment(e.at),
      job: e.jobId,
      bed: known(e.jobId, e.fillId),
      kind: e.kind,
      value: e.value,
      unit: UNIT[e.kind] ?? '',
      note: e.note,
    })),
  }
}

/** Every table of a garden: beds, batches, parts, readings, harvests, log. Metric, whatever the grower reads. */
function sheetsOf(garden: Garden): Table[] {
  const written = writtenOf(garden)
  return [
    bedsTable(written),
    batchesTable(written),
    partsTable(written),
    readingsTable(written),
    harvestsTable(written),
    logTable(written),
  ]
}

const FIGURE_UNITS: Record<string, string> = {
  moistDensity: 'kg/L',
  dryDensity: 'kg/L',
  sunk: 'cm',
  seconds: 's',
  cmPerHour: 'cm/h',
}
/** A moment to the second: Table Schema knows no less. */
const moment = (at: string) => at.replace(/\.\d+Z$/, 'Z')
const tidy = (x: number) => Number(x.toPrecision(7))
const BOM = '\uFEFF'

/** The files of a data package by their path in it. */
export function dataPackageFiles(garden: Garden, at: string): Map<string, string> {
  const tables = sheetsOf(garden)
  const descriptor = {
    profile: 'tabular-data-package',
    name: 'open-bed-garden',
    title: 'Beds, mixes, readings and harvests of a garden',
    description: 'Metric units, whatever the grower reads: the unit is given with each column.',
    created: at,
    resources: tables.map(({ name, title, fields, primaryKey, foreignKeys }) => ({
      profile: 'tabular-data-resource',
      name,
      title,
      path: `data/${name}.csv`,
      format: 'csv',
      mediatype: 'text/csv',
      encoding: 'utf-8',
      // Said, for readers that guess: notes hold semicolons.
      dialect: { delimiter: ',', quoteChar: '"', doubleQuote: true, header: true },
      schema: {
        fields,
        missingValues: [''],
        ...(primaryKey ? { primaryKey } : {}),
        ...(foreignKeys ? { foreignKeys } : {}),
      },
    })),
  }
  return new Map([
    ['datapackage.json', JSON.stringify(descriptor, null, 2)],
    ...tables.map(({ name, fields, rows }): [string, string] => [
      `data/${name}.csv`,
      csvOf(
        rows,
        fields.map((f) => f.name),
      ).replace(BOM, ''),
    ]),
  ])
}

/**
 * A garden's beds, batches, readings and harvests as a Frictionless tabular data package, zipped: for a spreadsheet, a
 * notebook or a statistician. Source: Frictionless Data Package 1, Table Schema 1.
 */
export const dataPackage = (garden: Garden, at: string): Uint8Array =>
  zipSync(Object.fromEntries([...dataPackageFiles(garden, at)].map(([path, body]) => [path, strToU8(body)])))
