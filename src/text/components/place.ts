import type { WaterId } from '@/core/data/waters'
import type { Shown } from '../base/shown'

export const careFields = {
  daysBetweenWateringsYouCan: 'Days between waterings you can keep',
  from1ForEveryDay0: '1 for every day, 0.5 for twice a day',
  wind: 'Wind',
  coldestNightOfMostWinters: 'Coldest night of most winters',
  estimateItFromTheMonths: 'Estimate it from the months',
  kindOfWater: 'Water like',
  waterOfMyOwn: 'My own figures',
  moreOfWater: 'Report, treatment and rain barrel',
  sodium: 'Sodium, mg/L',
  chloride: 'Chloride, mg/L',
  boron: 'Boron, mg/L',
  latitudeDegrees: 'Latitude, degrees',
  southBelowNought: 'south of the equator below 0',
  heightAboveTheSea: 'Height above the sea',
  estimatedFromTheMonths: 'estimated from the months',
  yourFigure: 'your figure',
  zone: (whose: Shown, coldest: Shown) => `${whose}; zone ${coldest}`,
}

/** Typical waters by name. */
export const WATER_NAMES: Record<WaterId, string> = {
  rain: 'rain water',
  soft: 'soft tap water',
  hard: 'hard tap water: scale in the kettle',
  veryHard: 'very hard tap water: thick scale',
  softened: 'tap water from a softener',
  well: 'well water, a little salty',
}

export const thirstBars = {
  aLawnWouldUseA: (least: Shown, most: Shown, months: Shown) =>
    `A lawn would use ${least} a day in the quietest month, ${most} in ${months} (reference evapotranspiration, FAO-56 eq. 52).`,
}

export const placeAsk = {
  howOften: 'How often it needs water depends on where you garden.',
  fromYourTimeZone: 'From your time zone, probably:',
  use: (climate: string) => `Use ${climate}`,
  another: 'Choose another',
  choose: 'Choose a climate',
}
