import { GARDEN_LIMITS } from '../limits'
import type { Job, Version } from '../schemas'
import type { Command } from './command'

const withVersion = (job: Job, version: Version): Version[] =>
  [...job.versions, version].slice(-GARDEN_LIMITS.versions.value)

/** A job after a change of its recipe or of the versions kept of it; null where the command is about something else. */
export function nextRecipe(job: Job, command: Command): Job | null {
  switch (command.type) {
    case 'mix/step':
      return { ...job, step: command.step }
    case 'mix/lime':
      return { ...job, lime: { ...job.lime, ...command.lime } }
    case 'part/add':
      if (job.parts.some((p) => p.materialId === command.materialId))
        return nextRecipe(job, { ...command, type: 'part/change', by: command.twelfths })
      if (job.parts.length >= GARDEN_LIMITS.parts.value) return job
      return { ...job, parts: [...job.parts, { materialId: command.materialId, twelfths: command.twelfths }] }
    case 'part/change':
      return {
        ...job,
        parts: job.parts.flatMap((p) => {
          if (p.materialId !== command.materialId) return [p]
          const twelfths = Math.min(p.twelfths + command.by, GARDEN_LIMITS.twelfths.value)
          return twelfths > 0 ? [{ ...p, twelfths }] : []
        }),
      }
    case 'mix/take':
      if (job.mixes.length >= GARDEN_LIMITS.mixes.value || job.parts.length >= GARDEN_LIMITS.parts.value)
        return job
      return {
        ...job,
        mixes: [...job.mixes, command.mix],
        parts: [...job.parts, { materialId: command.mix.id, twelfths: command.twelfths }],
      }
    case 'mix/origin':
      return {
        ...job,
        mixes: job.mixes.map((m) => (m.id === command.mixId ? { ...m, origin: command.origin } : m)),
      }
    case 'part/remove':
      return { ...job, parts: job.parts.filter((p) => p.materialId !== command.materialId) }
    case 'dressing/set': {
      if (
        job.dressings.length >= GARDEN_LIMITS.dressings.value &&
        !job.dressings.some((d) => d.id === command.line.id)
      )
        return job
      const at = job.dressings.findIndex((d) => d.id === command.line.id)
      return {
        ...job,
        dressings:
          at === -1
            ? [...job.dressings, command.line]
            : job.dressings.map((d, i) => (i === at ? command.line : d)),
      }
    }
    case 'dressing/remove':
      return { ...job, dressings: job.dressings.filter((d) => d.id !== command.lineId) }
    case 'recipe/replace': {
      const { parts, mixes, lime, dressings } = command.recipe
      return {
        ...job,
        parts,
        mixes,
        lime,
        dressings,
        amount: command.amount === undefined ? job.amount : command.amount,
        versions: command.keep ? withVersion(job, command.keep) : job.versions,
        versionId: command.versionId === undefined ? job.versionId : command.versionId,
      }
    }
    case 'version/keep':
      return {
        ...job,
        versions: withVersion(job, command.version),
        versionId: command.beside ? job.versionId : command.version.id,
      }
    case 'version/edit':
      return {
        ...job,
        versions: job.versions.map((v) => (v.id === command.versionId ? { ...v, ...command.change } : v)),
      }
    case 'version/remove': {
      const gone = job.versions.find((v) => v.id === command.versionId)
      // What was made from it is now made from what it was made from.
      const heir = gone?.from ?? null
      return {
        ...job,
        versions: job.versions
          .filter((v) => v !== gone)
          .map((v) => (v.from === command.versionId ? { ...v, from: heir } : v)),
        versionId: job.versionId === command.versionId ? heir : job.versionId,
      }
    }
    default:
      return null
  }
}
