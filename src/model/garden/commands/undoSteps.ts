import type { Command } from './command'

/** Commands with the same key in quick succession undo as one: typing a name, holding plus. */
export function mergeKeyOf(command: Command): string | null {
  switch (command.type) {
    case 'job/rename':
    case 'job/note':
    case 'job/amount':
    case 'job/plan':
    case 'job/planting':
      return `${command.type} ${command.jobId}`
    case 'step/move':
      return `${command.type} ${command.jobId} ${command.step}`
    case 'mix/lime':
      // Typing on is one step; another way of giving lime is a step of its own.
      return command.lime.mode === undefined ? `${command.type} ${command.jobId}` : null
    case 'place/set':
      return command.field === undefined ? null : `${command.type} ${command.field}`
    case 'job/band':
      return `${command.type} ${command.jobId} ${command.target}`
    case 'bed/change':
      return `${command.type} ${command.bedId}`
    case 'jobBed/change':
    case 'jobBed/spec':
      return `${command.type} ${command.jobId} ${command.fillId}`
    case 'dressing/set':
      return `${command.type} ${command.jobId} ${command.line.id}`
    case 'version/edit':
      return `${command.type} ${command.jobId} ${command.versionId}`
    case 'record/edit':
      return `${command.type} ${command.recordId}`
    case 'shelf/set':
      return `${command.type} ${command.item.materialId}`
    case 'bed/years':
      return `${command.type} ${command.years.id} ${command.what}`
    case 'heap/set':
      return `${command.type} ${command.heap.id} ${command.what}`
    case 'test/set':
      // Typing on is one step; a step ticked is one of its own.
      return `${command.type} ${command.test.id} ${command.what}`
    case 'dressingPack/set':
      return `${command.type} ${command.item.dressingId}`
    default:
      return null
  }
}
