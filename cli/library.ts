/**
 * The core as a library, `open-bed/core`: the cases of the headless door answered in one's own program, and the
 * functions they are made of, a namespace for each subject. Plain data in and out; no file, no network, no clock.
 */
import type { z } from 'zod'
import { runCase } from '../src/model/headless/run'
import type { CASES, CaseName } from '../src/model/headless/cases'
import type { Note } from '../src/core/outcome'
import { misfitText } from '../src/text/base/misfit'
import { problemText } from '../src/text/base/problems.en'

export type { CaseName } from '../src/model/headless/cases'
/** What a case may say; the schemas in docs/formats say the same. */
export type CaseInput<N extends CaseName> = z.input<(typeof CASES)[N]>
/** What came of a case: its answer with notes on the way, or what is wrong with it and where. */
export type CaseAnswer =
  | { ok: true; answer: Record<string, unknown>; notes: readonly Note[] }
  | { ok: false; wrong: string; where: string | null }

/**
 * Answers a case as `npm run core` does, as plain data. Nothing is thrown for a case that cannot be used: `wrong`
 * says in
 * a sentence why, `where` the field, where it is one.
 *
 * @example
 * answer('volume', { containers: [{ container: { shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 24,
 * height: 28 } } }] }).ok // true
 */
export function answer<N extends CaseName>(command: N, input: CaseInput<N>): CaseAnswer {
  const done = runCase(command, input)
  if (done.ok) return { ok: true, answer: done.value as Record<string, unknown>, notes: done.notes }
  if ('misfit' in done) return { ok: false, wrong: misfitText(done.misfit.why), where: done.misfit.where }
  const { why, fix } = problemText(done.problem, 'metric')
  return { ok: false, wrong: `${why} ${fix}`, where: null }
}

export * as chemistry from '../src/core/chemistry'
export * as climate from '../src/core/climate'
export * as data from '../src/core/data'
export * as fieldTests from '../src/core/fieldTests'
export * as finder from '../src/core/finder'
export * as geometry from '../src/core/geometry'
export * as irrigation from '../src/core/irrigation'
export * as laboratory from '../src/core/laboratory'
export * as liquid from '../src/core/liquid'
export * as mixing from '../src/core/mixing'
export * as nutrients from '../src/core/nutrients'
export * as safety from '../src/core/safety'
export * as water from '../src/core/water'
export * as watering from '../src/core/watering'
