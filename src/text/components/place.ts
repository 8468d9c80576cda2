import type { Shown } from '../base/shown'

export const careFields = {
  daysBetweenWateringsYouCan: 'Days between waterings you can keep',
  from1ForEveryDay0: '1 for every day, 0.5 for twice a day',
  wind: 'Wind',
  coldestNightOfMostWinters: 'Coldest night of most winters',
  estimateItFromTheMonths: 'Estimate it from the months',
  alkalinityOfTheWaterMeq: 'Alkalinity of the water, meq/L',
  saltsOfTheWaterDs: 'Salts of the water, dS/m',
  latitudeDegrees: 'Latitude, degrees',
  southBelowNought: 'south below nought',
  heightAboveTheSea: 'Height above the sea',
  estimatedFromTheMonths: 'estimated from the months',
  yourFigure: 'your figure',
  zone: (whose: Shown, coldest: Shown) => `${whose}; zone ${coldest}`,
}

export const thirstBars = {
  aLawnWouldUseA: (least: Shown, most: Shown, months: Shown) =>
    `A lawn would use ${least} a day in the quietest month, ${most} in ${months} (reference evapotranspiration, FAO-56 eq. 52).`,
}
