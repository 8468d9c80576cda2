import type { CalendarTask } from '../calendar/calendarFile'
import type { TimedStep, Timetable } from './timetable'

/**
 * What is still to be got ready as tasks of a calendar, each on the day it is begun, with the mixing day itself.
 * `wordsOf` puts a step into words, `buying` what is to be bought.
 */
export function prepareTasks(
  jobId: string,
  name: string,
  table: Timetable,
  wordsOf: (step: TimedStep) => { title: string; text: string },
  buying: { title: string; text: string },
): CalendarTask[] {
  const task = (id: string, title: string, text: string, on: string, until: string | null = null) => ({
    uid: `${jobId}-${id.replace(/[^a-zA-Z0-9]+/g, '-')}@open-bed`,
    title: `${name}: ${title}`,
    text,
    on,
    until,
  })
  const steps = [...table.before, ...table.after].filter((s) => !s.done)
  return [
    ...(table.buyBy ? [task('buy', buying.title, buying.text, table.buyBy)] : []),
    ...steps.map((step) => {
      const { title, text } = wordsOf(step)
      return task(`ready-${step.id}`, title, text, step.begin, step.ready > step.begin ? step.ready : null)
    }),
    task('mix', 'mixing day', '', table.mixOn),
  ]
}
