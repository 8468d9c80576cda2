import type { CalendarTask } from '../calendar/calendarFile'
import type { TimedStep, Timetable } from './timetable'

interface Words {
  title: string
  text: string
}

/**
 * What is still to be got ready as tasks of a calendar, each on the day it is begun, with the mixing day itself.
 * `wordsOf` puts a step into words, `buying` what is to be bought.
 */
export function prepareTasks(
  { jobId, name }: { jobId: string; name: string },
  table: Timetable,
  wordsOf: (step: TimedStep) => Words,
  buying: Words,
): CalendarTask[] {
  const task = (id: string, { title, text }: Words, on: string, until: string | null = null) => ({
    uid: `${jobId}-${id.replace(/[^a-zA-Z0-9]+/g, '-')}@open-bed`,
    title: `${name}: ${title}`,
    text,
    on,
    until,
  })
  const steps = [...table.before, ...table.after].filter((s) => !s.done)
  return [
    ...(table.buyBy ? [task('buy', buying, table.buyBy)] : []),
    ...steps.map((step) =>
      task(`ready-${step.id}`, wordsOf(step), step.begin, step.ready > step.begin ? step.ready : null),
    ),
    task('mix', { title: 'mixing day', text: '' }, table.mixOn),
  ]
}
