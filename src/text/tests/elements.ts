/** Elements of reports, as their labels say them. */
export const ELEMENT_NAMES = {
  nitrogen: 'Nitrogen',
  nitrate: 'Nitrate nitrogen',
  phosphorus: 'Phosphorus',
  potassium: 'Potassium',
  calcium: 'Calcium',
  magnesium: 'Magnesium',
  sulfur: 'Sulfur',
  sodium: 'Sodium',
  chloride: 'Chloride',
  iron: 'Iron',
  manganese: 'Manganese',
  zinc: 'Zinc',
  copper: 'Copper',
  boron: 'Boron',
  molybdenum: 'Molybdenum',
} as const

/** Elements of soil by weight, by the fields of a test. */
export const SOIL_NAMES = {
  soilLead: 'Lead',
  soilArsenic: 'Arsenic',
  soilCadmium: 'Cadmium',
  soilCopper: 'Copper',
  soilZinc: 'Zinc',
  soilNickel: 'Nickel',
  soilMercury: 'Mercury',
  soilPhosphorus: ELEMENT_NAMES.phosphorus,
  soilPotassium: ELEMENT_NAMES.potassium,
  soilMagnesium: ELEMENT_NAMES.magnesium,
  soilCalcium: ELEMENT_NAMES.calcium,
  soilSulfur: ELEMENT_NAMES.sulfur,
  soilNitrate: ELEMENT_NAMES.nitrate,
  soilBoron: ELEMENT_NAMES.boron,
  soilManganese: ELEMENT_NAMES.manganese,
  soilIron: ELEMENT_NAMES.iron,
} as const
