import type { Problem } from './problems'

/** Something worth saying that does not spoil the answer. */
export type Note =
  | { code: 'target-already-passed'; pH: number; target: number }
  /** Fertilizer will make more acid than lime can be given against. `pH` is where it stands when judged. */
  | { code: 'acid-outlasts-lime'; target: number; pH: number; limit: number }
  /** The most lime that is sensible does not reach the target. */
  | { code: 'lime-at-its-limit'; target: number; pH: number; limit: number }
  | { code: 'no-acid-needed'; pH: number; target: number }
  | { code: 'dose-above-usual-limit'; gramsPerLitre: number; limit: number }
  | { code: 'measures-rounded'; largestShareError: number }
  /** These measures cannot make so much: the nearest scoop and amount, litres, that would do; null where none. */
  | { code: 'not-with-these-tools'; scoop: number | null; amount: number | null }
  | { code: 'bed-drained-by-soil'; texture: string }
  | { code: 'no-drainage' }
  | { code: 'charge-not-met'; largestMiss: number }
  /** Layers below, so thick, pull on the mix a day after watering only as so many cm of mix would; cm. */
  | { code: 'layer-stalls-drainage'; thickness: number; pull: number }
  /** A container is wider at its base than at its top. */
  | { code: 'wider-below' }
  /** What lies on the mix comes up to the rim, or over it; cm. */
  | { code: 'cover-at-rim'; thickness: number; headspace: number }

/** A value, or the reason there is none. Plain data, so that it crosses workers and files. */
export type Outcome<T> = { ok: true; value: T; notes: Note[] } | { ok: false; problem: Problem }

/**
 * A value that was worked out, with what is to be known of it.
 *
 * @example
 * succeed(3) // { ok: true, value: 3, notes: [] }
 */
export const succeed = <T>(value: T, ...notes: (Note | null)[]): Outcome<T> => ({
  ok: true,
  value,
  notes: notes.filter((n): n is Note => n !== null),
})

/**
 * The reason why there is no value.
 *
 * @example
 * fail({ code: 'no-parts' }) // { ok: false, problem: { code: 'no-parts' } }
 */
export const fail = (problem: Problem): { ok: false; problem: Problem } => ({ ok: false, problem })

/** For our own mistakes only: bad input from people is an Outcome, never a throw. */
export function invariant(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(`Open Bed is at fault: ${message}`)
}
