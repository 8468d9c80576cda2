import type { ClimateProblem } from '@/model/sheets/climateSheet'
import { CLIMATES } from '@/core/climate/climates'
import type { Place } from '@/model/garden/schemas'
import type { Sentence } from '../base/problems.en'

/** What the climate of a place is called. */
export const climateName = (place: Place | undefined): string =>
  place
    ? (CLIMATES.find((c) => c.id === place.climateId)?.name ?? 'Your own climate')
    : 'Say where you garden'

/** A place in a line: its climate and how often somebody can water. */
export function placeLine(place: Place | undefined): string {
  if (!place) return climateName(place)
  const every = place.waterEvery
  const often = every === 1 ? 'day' : every < 1 ? `${Math.round(every * 24)} hours` : `${every} days`
  return `${climateName(place)}, watered every ${often} if need be`
}

/** Said beside a figure of the place that cannot be. */
export const unlikelyText = (wanted: string): Sentence => ({
  why: 'That is larger than the maximum: check the unit.',
  fix: `It should ${wanted}.`,
})

/** Why a sheet of a climate was not taken. */
export const climateProblemText = ({ row, column, text, wanted }: ClimateProblem): string =>
  `${row === null ? '' : `Row ${row}, `}${column}: “${text}”; wanted: ${wanted}. Headings: tmin, tmax, rain, and month where January is not first; twelve rows.`
