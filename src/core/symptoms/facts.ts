/** A figure that was read, or that is expected where nobody read it. */
export interface KnownFigure {
  value: number
  isRead: boolean
}

/** What is known of a bed on the day something looks wrong. Null where nobody knows. */
export interface BedFacts {
  pH: KnownFigure
  pHBand: { low: number; high: number }
  /** dS/m in the saturated extract, and from which the crop suffers. */
  salts: KnownFigure
  saltLimit: number
  /** In reach, mg per litre of mix, and what the crop takes in a week. */
  nitrogen: number | null
  nitrogenWanted: number | null
  /** Tied up by wood and bark, mg per litre. */
  drawdown: number
  daysSinceFed: number | null
  /** In reach at mixing or over a season, mg per litre of mix. */
  phosphorus: number
  potassium: number
  magnesium: number
  calcium: number
  boron: number
  /** Does the mix at its own pH give the crop too little of these traces? */
  ironShort: boolean
  manganeseShort: boolean
  copperShort: boolean
  /** Of dissolved nitrogen, 0 to 1. */
  ammoniumShare: number
  airFilledPorosity: number
  airBand: { low: number; high: number }
  drains: boolean
  /** cm/h. */
  conductivity: number
  /** Days between waterings in dry weather of this month; null without a place. */
  daysBetween: number | null
  /** Days since it was last watered, and the longest gap of the last month; null where nothing is noted. */
  daysSinceWatered: number | null
  longestGap: number | null
  /** meq/L and dS/m of the water. */
  alkalinity: number
  waterEc: number
  /** Of the mix, mean of this month, C; and the air's mean highest and lowest. Null without a place. */
  temperature: number | null
  tMax: number | null
  tMin: number | null
  rainy: boolean
  windy: boolean
  ageDays: number
  litresPerPlant: number
  litresWanted: number
  perennial: boolean
  fabric: boolean
  /** Shares of the loose parts, 0 to 1. */
  peatOrBark: number
  soil: number
  wood: number
  compost: number
  manure: number
  /** Meals stirred in, g per litre. */
  meals: number
  limed: boolean
  limedWithMagnesium: boolean
  /** Share of its depth gone after a year as it rots, and sunk as read, cm; null where nobody measured. */
  slump: number
  sunk: number | null
  /** Of the mix, cm. */
  depth: number
}
