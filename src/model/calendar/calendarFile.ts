import { addDays, formatISO, parseISO } from 'date-fns'
import { oneLine, plainLines } from '../plainText'
import ical, { ICalAlarmType, ICalEventTransparency } from 'ical-generator'

/** Something to do on a day, or between two, as a calendar has it. */
export interface CalendarTask {
  /** The same for the same task at every saving: a calendar then changes it in place of adding another. */
  uid: string
  title: string
  text: string
  /** ISO dates; `until` is the last day, null for one day alone. */
  on: string
  until: string | null
}

/** Hours before its first day that a task is called to mind: in the evening, while there is time to get ready. */
const CALLED_BEFORE = 6

/**
 * Tasks as a calendar file (RFC 5545): whole days, each with an alarm on the evening before its first. A day that
 * is none is our own mistake and throws. Names are one line each, whatever they hold: nothing in them begins a
 * property.
 */
export function calendarFile(name: string, tasks: readonly CalendarTask[]): string {
  const calendar = ical({
    name: oneLine(name),
    prodId: { company: 'Open Bed', product: 'season', language: 'EN' },
  })
  for (const { uid, title, text, on, until } of tasks) {
    const event = calendar.createEvent({
      id: oneLine(uid),
      summary: oneLine(title),
      description: plainLines(text),
      allDay: true,
      start: on,
      // The end of whole days is the day after the last.
      end: formatISO(addDays(parseISO(until ?? on), 1), { representation: 'date' }),
      transparency: ICalEventTransparency.TRANSPARENT,
    })
    event.createAlarm({
      type: ICalAlarmType.display,
      trigger: 3600 * CALLED_BEFORE,
      description: oneLine(title),
    })
  }
  return calendar.toString()
}
