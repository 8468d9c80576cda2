import { measureText } from '@/core/mixing/measures'
import type { Command } from '@/model/garden/commands'
import { bedTitle, shortName } from './titles'

/** What each command did. */
const DONE: {
  [C in Command['type']]: (command: Extract<Command, { type: C }>) => string
} = {
  'job/create': () => 'new job',
  'job/rename': () => 'name',
  'job/note': () => 'note',
  'job/crop': () => 'crop',
  'bed/change': () => 'change to the bed',
  'jobBed/spec': () => 'change to the bed',
  'beds/add': (command) => (command.beds.length === 1 ? 'new bed' : `${command.beds.length} new beds`),
  'bed/remove': () => 'removing the bed',
  'place/set': () => 'place',
  'units/set': () => 'units',
  'job/planting': () => 'planting',
  'steps/set': (command) => {
    if (command.list === 'readyAdded') return 'another step of getting ready'
    if (command.list === 'readyLeft') return 'leaving a step out'
    return command.done ? 'ticking a step' : 'unticking a step'
  },
  'step/move': (command) => (command.on === null ? 'the day worked out' : 'another day for a task'),
  'job/marks': (command) => command.what,
  'job/feeds': (command) => command.what,
  'job/water': (command) => command.what,
  'job/raising': (command) => command.what,
  'shelf/put': (command) => command.what,
  'entries/put': (command) => command.what,
  'bed/years': (command) => command.what,
  'heap/set': (command) => command.what,
  'heap/remove': () => 'removing a heap',
  'test/set': (command) => command.what,
  'learned/set': (command) => command.what,
  'test/remove': () => 'removing a test',
  'entry/remove': () => 'removing a line of the log',
  'photo/add': () => 'photo',
  'photo/remove': () => 'removing a photo',
  'job/band': () => 'targets for this crop',
  'job/companions': () => 'crops',
  'job/archive': (command) => (command.archived ? 'putting the job away' : 'taking the job up again'),
  'job/judge': () => 'bed the mix is judged in',
  'jobBed/add': (command) => `filling ${bedTitle(command.fill.spec)}`,
  'jobBed/change': () => 'how many, or topping up',
  'jobBed/split': () => 'noting each pot by itself',
  'jobBed/list': () => 'putting it among the beds',
  'jobBed/remove': () => 'leaving a bed out',
  'job/amount': () => 'how much is made',
  'job/plan': () => 'bucket, scoop, tub or allowance',
  'job/remove': () => 'removing the job',
  'job/finish': () => 'recording the mix',
  'part/add': (command) => `adding ${shortName(command.materialId)}`,
  'part/change': (command) =>
    `${command.by > 0 ? '+' : '−'}${measureText(Math.abs(command.by))} ${shortName(command.materialId)}`,
  'mix/take': (command) => `adding ${command.mix.name}`,
  'mix/origin': () => 'whether it is made first',
  'bag/set': (command) => `label of ${command.bag.name.trim() || 'a bagged mix'}`,
  'bag/remove': () => 'removing a bagged mix',
  'part/remove': (command) => `taking out ${shortName(command.materialId)}`,
  'mix/step': () => 'size of a measure',
  'mix/lime': () => 'lime',
  'dressing/set': () => 'dose of a dressing',
  'dressing/remove': () => 'leaving out a dressing',
  'recipe/replace': (command) => command.what,
  'version/keep': () => 'keeping this version',
  'version/edit': () => 'name or note of a version',
  'version/remove': () => 'removing a version',
  'warning/answer': (command) =>
    command.reason === null ? 'asking for a warning again' : 'answering a warning',
  'tick/set': (command) =>
    command.done ? `ticking ${shortName(command.materialId)}` : `unticking ${shortName(command.materialId)}`,
  'ticks/clear': () => 'clearing ticks',
  'record/edit': () => 'record',
  'record/remove': () => 'removing the record',
  'shelf/set': (command) => `${shortName(command.item.materialId)} on the shelf`,
  'dressingPack/set': () => 'pack, price or stock of a feed or lime',
  'ownMaterial/set': (command) => `${command.material.name.trim() || 'a material of your own'}`,
  'ownDressing/set': (command) => `${command.dressing.name.trim() || 'a feed of your own'}`,
  'garden/import': () => 'import',
}

/** What a command did, for the undo button. */
export function commandText(command: Command): string {
  const say = DONE[command.type] as (command: Command) => string
  return say(command)
}
