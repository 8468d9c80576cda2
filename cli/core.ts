import type { Finding } from '../src/core/appraisal'
import { isCaseName, runCase } from '../src/model/headless/run'
import type { RowsAtHand } from '../src/model/headless/tablesOfCase'
import { CASES, type CaseName } from '../src/model/headless/cases'
import { misfitText } from '../src/text/base/misfit'
import { noteText, problemText } from '../src/text/base/problems.en'
import { TOPIC_TEXTS } from '../src/text/mix/topics'

/** Exit code for a case that cannot be worked out. */
const UNUSABLE = 2

/** Seven figures are more than any of it is worth, and enough to hold one answer against another. */
export const short = (_key: string, value: unknown) =>
  typeof value === 'number' ? Number(value.toPrecision(7)) : value

/** An answer with a sentence beside each finding of its appraisal, where it has one. */
const inWords = (answer: object): object =>
  'appraisal' in answer
    ? {
        ...answer,
        appraisal: (answer.appraisal as Finding[]).map((f) => ({ ...f, text: TOPIC_TEXTS[f.topic] })),
      }
    : answer

/**
 * What came of the text of a case: the answer as plain data, or one line that says what is wrong. `rows` are own rows
 * of earlier cases of a stream.
 */
export function answerOf(
  command: CaseName,
  text: string,
  rows?: RowsAtHand,
): { ok: true; answer: object } | { ok: false; wrong: string } {
  let input: unknown
  try {
    input = JSON.parse(text)
  } catch (error) {
    return { ok: false, wrong: `the case is not JSON: ${(error as Error).message.replaceAll('\n', ' ')}` }
  }
  const answer = runCase(command, input, rows)
  if (answer.ok) {
    const notes = answer.notes.map((note) => ({ ...note, text: noteText(note, 'metric') }))
    return { ok: true, answer: { command, ...inWords(answer.value), notes } }
  }
  if ('misfit' in answer)
    return { ok: false, wrong: `${answer.misfit.where}: ${misfitText(answer.misfit.why)}` }
  const { why, fix } = problemText(answer.problem, 'metric')
  return { ok: false, wrong: `${why} ${fix}` }
}

/**
 * One run of the headless door: a command, the text of a case, and where lines go. Gives the exit code.
 * The answer is one JSON object on `out`; anything wrong is one line on `err`, and nothing on `out`.
 */
export function main(
  command: string | undefined,
  text: string,
  out: (s: string) => void,
  err: (s: string) => void,
): number {
  const names = Object.keys(CASES).join('|')
  if (command === undefined || !isCaseName(command)) {
    err(`core: say what to do: npm run --silent core -- ${names} < case.json`)
    return UNUSABLE
  }
  const done = answerOf(command, text)
  if (done.ok) {
    out(`${JSON.stringify(done.answer, short, 2)}\n`)
    return 0
  }
  err(`core ${command}: ${done.wrong}`)
  return UNUSABLE
}
