import type { SaveFailure } from '@/storage/saver'
import type { Sentence } from './problems.en'

/** That work is not being saved, and why. */
export function failingText({ reason, message }: SaveFailure): Sentence {
  const whys = {
    full: 'The disk is full: your work is not being saved.',
    refused: 'This browser refuses to keep data: your work is not being saved.',
    silent: 'The browser’s database does not answer: your work is not being saved.',
    older: 'This tab runs an older Open Bed than the one that stored this: your work is not being saved.',
  }
  if (reason === 'older')
    return {
      why: whys.older,
      fix: 'It is safe in this tab while the tab stays open. Save it to a file, then reload the page.',
    }
  return {
    why: whys[reason],
    fix: `It is safe in this tab while the tab stays open. Save it to a file now. (${message})`,
  }
}
