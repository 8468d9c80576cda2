import { lowerFirst } from '../base/counted'
import type { Planted } from '@/model/calendar/plantingDay'
import type { Clash, OfferedStep, TimedStep, Timetable } from '@/model/make/timetable'
import { dayText, shortDayText } from '../base/dates'
import { dressingName } from '../shelf/dressings'
import { shortName } from '../base/titles'
import { materialName } from '../shelf/ownNames'
import { degrees } from '../season/winter'
import { inUnits, percentText, volumeText, type UnitSystem } from '../base/units'

/** What a step is for, in a word: a material, a lime or a feed. */
export const aboutName = (about: string): string =>
  materialName(about) !== undefined ? shortName(about) : dressingName(about)

/** "half an hour", "3 hours", "2 weeks": how long a step takes. */
export function durationText(days: number): string {
  const hours = days * 24
  if (hours < 0.75) return `${Math.max(5, Math.round((hours * 60) / 5) * 5)} minutes`
  if (hours < 1.5) return 'an hour'
  if (hours < 36) return `${Math.round(hours)} hours`
  if (days < 14) return `${Math.round(days)} days`
  if (days < 60) return `${Math.round(days / 7)} weeks`
  return `${Math.round(days / 30.4)} months`
}

/** When a step is done: on the mixing day, from one day to another. */
const whenText = ({ begin, ready }: Pick<TimedStep, 'begin' | 'ready'>): string =>
  begin === ready ? dayText(begin) : `${shortDayText(begin)} to ${dayText(ready)}`

/** Less water than this is not worth a word, litres. */
const LEAST_WATER = 1

/** A step in words: what to do to what, how, and how long it takes. */
export function stepText(step: TimedStep, units: UnitSystem) {
  const { prep, about, days, water } = step
  const parts = [
    inUnits(prep.how, units),
    water >= LEAST_WATER ? `About ${volumeText(water, units)} of water.` : '',
    prep.loss ? `Some ${percentText(prep.loss.value)} is thrown out: that much more is on the list.` : '',
  ].filter(Boolean)
  return {
    title: `${aboutName(about)}: ${lowerFirst(inUnits(prep.title, units))}`,
    text: parts.join(' '),
    takes: durationText(days),
    when: whenText(step),
  }
}

/** A step with its words. */
export type StepRow = TimedStep & ReturnType<typeof stepText>

/** A step that may be added, as a choice. */
export const offeredText = ({ id, prep, about }: OfferedStep, units: UnitSystem) => ({
  value: id,
  label: `${aboutName(about)}: ${lowerFirst(inUnits(prep.title, units))}. ${inUnits(prep.why, units)}`,
})

/** What cannot be as it is planned, and what to do about it. */
export function clashText(clash: Clash, units: UnitSystem): { why: string; fix: string } {
  const { step } = clash
  const what = `${aboutName(step.about)}: ${lowerFirst(inUnits(step.prep.title, units))}`
  switch (clash.code) {
    case 'begun-too-late':
      return {
        why: `${what} takes ${durationText(step.days)} and had to begin on ${dayText(step.begin)}.`,
        fix: `Begun today, it can be mixed on ${dayText(clash.earliest)} at the earliest.`,
      }
    case 'planted-too-soon':
      return {
        why: `${what} takes ${durationText(step.days)} after mixing, until ${dayText(step.ready)}.`,
        fix: `Planting is set for ${dayText(clash.plantOn)}: mix sooner, plant later, or do without it.`,
      }
    case 'too-cold':
      return {
        why: `${what} hardly goes on at ${degrees(clash.temperature, units)}.`,
        fix: 'Do it under cover, in a warmer month, or without it.',
      }
  }
}

/** The days of a timetable in a sentence. */
export function mixingDayText({
  mixOn,
  said,
  planted,
}: Pick<Timetable, 'mixOn' | 'said' | 'planted'>): string {
  const day = said
    ? `Mixed on ${dayText(mixOn)}.`
    : `No mixing day yet: as if it were mixed on ${dayText(mixOn)}.`
  return `${day} ${plantedText(planted)}`
}

/** When it is planted, and where the day comes from. */
export function plantedText({ day, from }: Planted): string {
  switch (from) {
    case 'told':
      return `Planted on ${dayText(day)}.`
    case 'month':
      return `Planted about ${dayText(day)}, the middle of the month you chose.`
    case 'ready':
      return `Ready for planting on ${dayText(day)}.`
    case 'place':
      return `Planted about ${dayText(day)}: the first month your place suits the crop.`
    case 'usual':
      return `Planted about ${dayText(day)}: when most crops go out. Say where the garden is for a better guess.`
    case 'unsuited':
      return `Planted about ${dayText(day)}: no month here suits it outdoors.`
  }
}

/** Half past the day before mixing: what is to be bought. */
export const BUY_STEP = { title: 'Have everything bought', text: 'Everything on the shopping list.' }
