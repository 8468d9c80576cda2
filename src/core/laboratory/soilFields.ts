/** How a laboratory draws phosphorus out of a soil. */
export const SOIL_METHODS = ['mehlich3', 'bray', 'olsen', 'morgan'] as const
export type SoilMethod = (typeof SOIL_METHODS)[number]

/** What reports on field soil print by weight, mg/kg. */
export const SOIL_ELEMENTS = [
  'phosphorus',
  'potassium',
  'magnesium',
  'calcium',
  'sulfur',
  'nitrate',
  'boron',
  'manganese',
  'iron',
] as const
export type SoilElement = (typeof SOIL_ELEMENTS)[number]
/** What each is called among the fields of a test. */
export const SOIL_FIELD = {
  phosphorus: 'soilPhosphorus',
  potassium: 'soilPotassium',
  magnesium: 'soilMagnesium',
  calcium: 'soilCalcium',
  sulfur: 'soilSulfur',
  nitrate: 'soilNitrate',
  boron: 'soilBoron',
  manganese: 'soilManganese',
  iron: 'soilIron',
} as const satisfies Record<SoilElement, string>
