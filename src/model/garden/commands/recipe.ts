import { GARDEN_LIMITS } from '../limits'
import type { Job, Version } from '../schemas'
import type { Command } from './command'

const withVersion = (job: Job, version: Version): Version[] =>
  [...job.versions, version].slice(-GARDEN_LIMITS.versions.value)

type Of<T extends Command['type']> = Extract<Command, { type: T }>
type Rows = { [T in Command['type']]?: (job: Job, command: Of<T>) => Job }

function changedPart(job: Job, { materialId, by }: Pick<Of<'part/change'>, 'materialId' | 'by'>): Job {
  const parts = job.parts.flatMap((p) => {
    if (p.materialId !== materialId) return [p]
    const twelfths = Math.min(p.twelfths + by, GARDEN_LIMITS.twelfths.value)
    return twelfths > 0 ? [{ ...p, twelfths }] : []
  })
  return { ...job, parts }
}
const isFull = ({ parts }: Job) => parts.length >= GARDEN_LIMITS.parts.value

/** What becomes of a recipe and of the versions kept of it. */
const RECIPES: Rows = {
  'mix/step': (job, { step }) => ({ ...job, step }),
  'mix/lime': (job, { lime }) => ({ ...job, lime: { ...job.lime, ...lime } }),
  'part/add': (job, { materialId, twelfths }) => {
    if (job.parts.some((p) => p.materialId === materialId))
      return changedPart(job, { materialId, by: twelfths })
    return isFull(job) ? job : { ...job, parts: [...job.parts, { materialId, twelfths }] }
  },
  'part/change': changedPart,
  'part/remove': (job, { materialId }) => ({
    ...job,
    parts: job.parts.filter((p) => p.materialId !== materialId),
  }),
  'mix/take': (job, { mix, twelfths }) =>
    job.mixes.length >= GARDEN_LIMITS.mixes.value || isFull(job)
      ? job
      : {
          ...job,
          mixes: [...job.mixes, mix],
          parts: [...job.parts, { materialId: mix.id, twelfths }],
        },
  'mix/origin': (job, { mixId, origin }) => ({
    ...job,
    mixes: job.mixes.map((m) => (m.id === mixId ? { ...m, origin } : m)),
  }),
  'dressing/set': (job, { line }) => {
    const { dressings } = job
    if (dressings.some((d) => d.id === line.id))
      return { ...job, dressings: dressings.map((d) => (d.id === line.id ? line : d)) }
    return dressings.length >= GARDEN_LIMITS.dressings.value
      ? job
      : { ...job, dressings: [...dressings, line] }
  },
  'dressing/remove': (job, { lineId }) => ({
    ...job,
    dressings: job.dressings.filter((d) => d.id !== lineId),
  }),
  'recipe/replace': (job, { recipe, amount, exact, keep, versionId }) => {
    const { parts, mixes, lime, dressings } = recipe
    return {
      ...job,
      parts,
      mixes,
      lime,
      dressings,
      amount: amount === undefined ? job.amount : amount,
      plan: exact ? { ...job.plan, rounding: 'exact' } : job.plan,
      versions: keep ? withVersion(job, keep) : job.versions,
      versionId: versionId === undefined ? job.versionId : versionId,
    }
  },
  'version/keep': (job, { version, beside }) => ({
    ...job,
    versions: withVersion(job, version),
    versionId: beside ? job.versionId : version.id,
  }),
  'version/edit': (job, { versionId, change }) => ({
    ...job,
    versions: job.versions.map((v) => (v.id === versionId ? { ...v, ...change } : v)),
  }),
  'version/remove': (job, { versionId }) => {
    const gone = job.versions.find((v) => v.id === versionId)
    // What was made from it is now made from what it was made from.
    const heir = gone?.from ?? null
    return {
      ...job,
      versions: job.versions
        .filter((v) => v !== gone)
        .map((v) => (v.from === versionId ? { ...v, from: heir } : v)),
      versionId: job.versionId === versionId ? heir : job.versionId,
    }
  },
}

/** A job after a change of its recipe or of its versions; null where the command is about something else. */
export function nextRecipe(job: Job, command: Command): Job | null {
  const row = RECIPES[command.type] as ((job: Job, command: Command) => Job) | undefined
  return row ? row(job, command) : null
}
