import type { Sentence } from '../base/problems.en'

/** `lost`: it broke off, or could not be started; `silent`: nothing was heard of it for too long. */
export type TaskFailure = 'lost' | 'silent'

/** Why something that runs beside the page gave no answer, and what to do. */
const FAILURES: Record<TaskFailure, Sentence> = {
  lost: {
    why: 'This part of Open Bed could not be started, or it broke off.',
    fix: 'Try again. If that does not help, save your work to a file and reload the page: a newer version may be here.',
  },
  silent: {
    why: 'Nothing was heard from this calculation for a while, so it was stopped.',
    fix: 'Nothing was changed. Close what else is at work on this device, and try again.',
  },
}
export const failureText = (failure: TaskFailure): Sentence => FAILURES[failure]
/** The same where there is one line for it. */
export const failureLine = (failure: TaskFailure): string =>
  `${FAILURES[failure].why} ${FAILURES[failure].fix}`
