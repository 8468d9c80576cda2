import type { Refusal } from '@/model/garden/commands/refusal'
import { BED_WORDS } from '../bed/bedFields'
import type { Sentence } from './problems.en'

/** What the fields of a record are called on the page. */
const FIELDS: Record<string, string> = {
  name: 'name',
  jobName: 'name',
  note: 'note',
  madeOn: 'day it was mixed',
  plantedOn: 'day it was planted',
  plantMonth: 'month of planting',
  companionIds: 'list of other crops',
  fills: 'list of beds in this job',
  filled: 'list of beds in this job',
  corners: 'outline',
  parts: 'list of parts',
  mixes: 'list of finished mixes',
  dressings: 'list of dressings',
  versions: 'list of kept recipes',
  ingredients: 'list on the label',
  twelfths: 'number of parts',
  ticks: 'list of ticked measures',
  filledSteps: 'list of ticked steps',
  followedSteps: 'list of ticked steps',
  movedDays: 'list of tasks on days of their own',
  liquidFeeds: 'list of liquid feeds',
  dismissed: 'list of answered warnings',
  others: 'list of packs',
  place: 'place',
  lot: 'lot',
  seenOn: 'day the price was seen',
  delivery: 'price of a delivery',
  readySteps: 'list of ticked steps',
  readyAdded: 'list of added steps',
  boughtWith: 'list of jobs bought for',
  bought: 'list of what was bought',
  otherwise: 'list of changed measures',
  readings: 'list of readings',
  corrections: 'list of corrections',
  timers: 'list of timers',
  mixOn: 'mixing day',
  jpeg: 'photo',
  reason: 'reason',
  months: 'table of months',
  stock: 'stock',
  price: 'price',
  litres: 'volume of a pack',
  kg: 'weight of a pack',
  dolomiteShare: 'share of dolomite',
  share: 'share of the mix',
}

const NAMES: Record<string, string> = {
  ...Object.fromEntries(Object.entries(BED_WORDS).map(([field, { name }]) => [field, name])),
  ...FIELDS,
}

/** The innermost field of a path that has a name of its own. */
const fieldOf = (path: readonly string[]) => {
  const known = path.findLast((step) => Object.hasOwn(NAMES, step))
  return known ? NAMES[known]! : 'entry'
}

/** Why a change was not taken, and what to do. */
export function refusalText({ path, problem }: Refusal): Sentence {
  const field = fieldOf(path)
  switch (problem.code) {
    case 'too-much':
      return problem.of === 'number'
        ? {
            why: `The ${field} ${problem.isOpen ? 'must be less' : 'is more'} than ${problem.limit}.`,
            fix: 'Type a smaller number.',
          }
        : problem.of === 'letters'
          ? { why: `The ${field} is longer than ${problem.limit} letters.`, fix: 'Make it shorter.' }
          : { why: `The ${field} is full: ${problem.limit} are the most.`, fix: 'Take one out first.' }
    case 'too-little':
      return problem.of === 'number'
        ? {
            why: `The ${field} ${problem.isOpen ? 'must be more' : 'is less'} than ${problem.limit}.`,
            fix: 'Type a larger number.',
          }
        : { why: `The ${field} is empty.`, fix: `It needs ${problem.limit} at least.` }
    case 'no-day':
      return {
        why: `The ${field} is not a day of the calendar.`,
        fix: 'Type day, month and a year of four digits.',
      }
    case 'no-number':
      return { why: `The ${field} holds something that is not a number.`, fix: 'Type a number.' }
    case 'not-whole':
      return { why: `The ${field} is not a whole number.`, fix: 'Type a whole number.' }
    case 'missing':
      return { why: `The ${field} is missing.`, fix: 'Nothing was changed.' }
    case 'neither-true-nor-false':
    case 'no-text':
    case 'no-list':
    case 'no-record':
    case 'not-one-of':
    case 'unknown-fields':
    case 'not-allowed':
      return { why: `The ${field} cannot be kept as it is.`, fix: 'Nothing was changed.' }
    case 'other-key':
      return { why: 'This record carries the name of another.', fix: 'Nothing was changed.' }
    case 'read-only':
      return {
        why: 'This garden is open to look at only; nothing was changed.',
        fix: 'Reload the page to try opening it as usual.',
      }
    case 'still-reading':
      return {
        why: 'The log and the photos are still being read; nothing was changed.',
        fix: 'Try again in a moment.',
      }
  }
}
