import type { Misfit } from '@/model/garden/schemas/misfit'
import type { Odd } from '@/storage/envelope'

const counted = ({ limit, of }: { limit: number; of: string }) =>
  `${limit} ${limit === 1 ? of.replace(/s$/, '') : of}`

/** What is wrong with a value that was read, as the end of a sentence that says where. */
export function misfitText(misfit: Misfit | Odd): string {
  switch (misfit.code) {
    case 'too-much':
      if (misfit.isOpen) return `it must be less than ${misfit.limit}`
      return misfit.of === 'number'
        ? `it is more than ${misfit.limit}`
        : `it has more than ${counted(misfit)}`
    case 'too-little':
      if (misfit.isOpen) return `it must be more than ${misfit.limit}`
      return misfit.of === 'number'
        ? `it is less than ${misfit.limit}`
        : `it has fewer than ${counted(misfit)}`
    case 'not-one-of':
      return `it must be ${misfit.values.map((v) => `“${v}”`).join(' or ')}`
    case 'unknown-fields':
      return `it has more than it should: ${misfit.fields.join(', ')}`
    case 'no-day':
      return 'it is not a day of the calendar'
    case 'no-number':
      return 'it is not a number'
    case 'not-whole':
      return 'it is not a whole number'
    case 'neither-true-nor-false':
      return 'it must be true or false'
    case 'missing':
      return 'it is missing'
    case 'no-text':
      return 'it is not a text'
    case 'no-list':
      return 'it is not a list'
    case 'no-record':
      return 'it is not a record'
    case 'not-allowed':
      return 'it is not a value that can be there'
    case 'other-name':
      return `it calls itself “${misfit.name}”`
    case 'other-kind':
      return `it is of the kind “${misfit.kind}” under the key of a ${misfit.key}`
    case 'fault':
      return misfit.words
  }
}
