import type { WinterMargin } from '@/core/season'
import { hardinessZone } from '@/core/season/winter'
import { temperatureText, type UnitSystem } from '../base/units'

export const degrees = (celsius: number, units: UnitSystem) =>
  `${Math.abs(Math.round(units === 'us' ? celsius * 1.8 : celsius))} ${units === 'us' ? '°F' : '°C'}`

/** What a winter leaves to spare, in a sentence or three. */
export function winterText(w: WinterMargin & { inPot: boolean }, name: string, units: UnitSystem): string {
  const cold = `Your coldest night: near ${temperatureText(w.coldest, units)} (zone ${hardinessZone(w.coldest)}).`
  const survives = w.inPot
    ? `In a pot the roots of ${name.toLowerCase()} survive down to about ${temperatureText(w.rootsTo, units)}, two zones less than in the ground (common practice).`
    : `In open ground ${name.toLowerCase()} survives down to about ${temperatureText(w.rootsTo, units)}.`
  const spare =
    w.margin >= 0
      ? w.low >= 0
        ? `${degrees(w.margin, units)} to spare.`
        : `${degrees(w.margin, units)} to spare, but the least hardy kinds would be killed.`
      : w.high >= 0
        ? `${degrees(w.margin, units)} short: only the hardiest kinds come through unprotected; wrap it, sink it or take it in.`
        : `${degrees(w.margin, units)} short: take it in for the winter.`
  return `${cold} ${survives} ${spare}`
}
