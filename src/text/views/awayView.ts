import type { Shown } from '../base/shown'
import { TITLES } from './titles'

export const awayView = {
  title: TITLES.away,
  from: 'First day away',
  to: 'Home again',
  notADay: 'Choose a day.',
  endsFirst: 'It ends before it begins.',
  tooLong: (days: Shown) => `Longer than ${days}: plan the next weeks when you know their weather.`,
  checkDays: 'Check the two days.',
  nothingPlanted: 'Nothing is planted yet: a job is counted from the day you plant it.',
  noPlace: 'Choose a climate at Place first: how long each bed lasts depends on it.',
  toPlace: 'Place',
  lookingAt: (name: Shown) => `Following the water in ${name} …`,
  bare: (beds: Shown) => `Nothing grows then in ${beds}.`,
  helps: 'To make it last longer',
  sheet: 'For who waters',
  sheetSays: 'to print, or as a link',
  print: 'Print',
  link: 'Link to the sheet',
  linkSays:
    'The link carries the sheet itself: nothing is stored elsewhere, and who has it needs no garden here.',
  tryAgain: 'Try again',
  broken: 'This link is broken or was cut short: ask for it again.',
  summary: (water: Shown, look: Shown, nothing: Shown) =>
    `${water} to water, ${look} to look at, ${nothing} need nothing.`,
}
