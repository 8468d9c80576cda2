import type { BedFacts } from './facts'

const is = (truth: boolean) => (truth ? 1 : 0)
/** So long between waterings where nobody knows: no want of water is read into it, days. */
const LONG = 9

/** What signs look at, as numbers: 1 or 0 for yes or no, null where nobody knows. Units as in `BedFacts`. */
export const FACTS = {
  pH: (f) => f.pH.value,
  pHLeast: (f) => f.pHBand.low,
  pHMost: (f) => f.pHBand.high,
  salts: (f) => f.salts.value,
  saltLimit: (f) => f.saltLimit,
  nitrogen: (f) => f.nitrogen,
  nitrogenWanted: (f) => f.nitrogenWanted,
  drawdown: (f) => f.drawdown,
  daysSinceFed: (f) => f.daysSinceFed,
  phosphorus: (f) => f.phosphorus,
  potassium: (f) => f.potassium,
  magnesium: (f) => f.magnesium,
  /** One at the least, so that potassium beside none of it is not endlessly more. */
  someMagnesium: (f) => Math.max(1, f.magnesium),
  calcium: (f) => f.calcium,
  boron: (f) => f.boron,
  ironShort: (f) => is(f.ironShort),
  manganeseShort: (f) => is(f.manganeseShort),
  copperShort: (f) => is(f.copperShort),
  ammonium: (f) => f.ammoniumShare,
  nitrate: (f) => 1 - f.ammoniumShare,
  air: (f) => f.airFilledPorosity,
  airLeast: (f) => f.airBand.low,
  airMost: (f) => f.airBand.high,
  drains: (f) => is(f.drains),
  conductivity: (f) => f.conductivity,
  daysBetween: (f) => f.daysBetween,
  daysBetweenOrLong: (f) => f.daysBetween ?? LONG,
  /** Three days where nobody knows. */
  usualGap: (f) => f.daysBetween ?? 3,
  daysSinceWatered: (f) => f.daysSinceWatered,
  longestGap: (f) => f.longestGap,
  alkalinity: (f) => f.alkalinity,
  waterEc: (f) => f.waterEc,
  temperature: (f) => f.temperature,
  hottest: (f) => f.tMax,
  coldest: (f) => f.tMin,
  rainy: (f) => is(f.rainy),
  windy: (f) => is(f.windy),
  ageDays: (f) => f.ageDays,
  litresPerPlant: (f) => f.litresPerPlant,
  litresWanted: (f) => f.litresWanted,
  perennial: (f) => is(f.perennial),
  fabric: (f) => is(f.fabric),
  peatOrBark: (f) => f.peatOrBark,
  soil: (f) => f.soil,
  wood: (f) => f.wood,
  woodOrCompost: (f) => f.wood + f.compost,
  compost: (f) => f.compost,
  compostOrManure: (f) => f.compost + f.manure,
  manure: (f) => f.manure,
  meals: (f) => f.meals,
  limed: (f) => is(f.limed),
  limedWithMagnesium: (f) => is(f.limedWithMagnesium),
  slump: (f) => f.slump,
  depth: (f) => f.depth,
} as const satisfies Record<string, (f: BedFacts) => number | null>

export type Fact = keyof typeof FACTS
