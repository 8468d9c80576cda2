import type { Stuck } from '@/storage/openGarden'
import type { Sentence } from './problems.en'

/** Why the garden does not open. */
export function stuckText({ reason, message }: Stuck): Sentence {
  return reason === 'silent'
    ? {
        why: `The browser’s database does not answer (${message}).`,
        fix: 'Another tab may be holding it: close other tabs of Open Bed, then try again.',
      }
    : {
        why: `The browser’s database cannot be read (${message}).`,
        fix: 'Try again; if that does not help, close the browser and open it anew.',
      }
}
